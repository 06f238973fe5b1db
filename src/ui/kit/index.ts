export { Card } from './Card';
export { Choice } from './Choice';
export { ColourField } from './ColourField';
export { BothValues, ConflictNotice } from './ConflictNotice';
export { DataTable, type TableColumn, type TableRowData, type Tick } from './DataTable';
export { Form } from './Form';
export { FormErrors } from './FormErrors';
export {
  ChoiceInput,
  ColourInput,
  NumberInput,
  QuantityInput,
  SelectInput,
  SeveralInput,
  SwitchInput,
  TextInput,
  YesNoInput,
} from './inputs';
export { NumberField } from './NumberField';
export { QuantityField } from './QuantityField';
export { Acts, PageHeader, TitleRow } from './PageHeader';
export { RadioCards } from './RadioCards';
export { SelectField, type OptionWords } from './SelectField';
export { SeveralField } from './SeveralField';
export { TickField } from './TickField';
export type { TableOrder, TableValue } from './tableRows';
export { ToggleRow } from './ToggleRow';
export { useSavedForm, type FormValues, type SavedForm } from './useSavedForm';
export { WordField } from './WordField';
export { TwoColumns } from './TwoColumns';
