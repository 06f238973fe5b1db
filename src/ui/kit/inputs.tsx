'use client';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import type { TextFieldProps } from '@mui/material/TextField';
import { useController, type Control, type FieldPathByValue, type FieldValues } from 'react-hook-form';
import { Choice } from './Choice';
import { ColourField } from './ColourField';
import { NumberField } from './NumberField';
import { QuantityField, type QuantityFieldProps } from './QuantityField';
import { SelectField, type OptionWords } from './SelectField';
import { SeveralField } from './SeveralField';
import { WordField } from './WordField';

/** A field of a form that holds a value of one kind; another kind does not compile. */
interface Of<Values extends FieldValues, Kind> {
  readonly control: Control<Values, unknown, never>;
  readonly name: FieldPathByValue<Values, Kind>;
  readonly label: string;
}

type Rest = Omit<
  TextFieldProps,
  'name' | 'label' | 'value' | 'onChange' | 'error' | 'helperText' | 'defaultValue'
>;

/** Words, a day or an hour (by `type`). */
export function TextInput<V extends FieldValues>({
  control,
  name,
  error,
  ...rest
}: Of<V, string> & Rest & { readonly hint?: string; readonly error?: string | undefined }) {
  const { field, fieldState } = useController({ control, name });
  return (
    <WordField
      {...rest}
      inputRef={field.ref}
      value={field.value}
      onChange={field.onChange}
      onBlur={field.onBlur}
      error={error ?? fieldState.error?.message}
      {...((rest.type === 'date' || rest.type === 'time') && { slotProps: { inputLabel: { shrink: true } } })}
    />
  );
}

type NumberOf<V extends FieldValues> = Pick<Of<V, number | null>, 'control' | 'name'> & {
  /** Says what is wrong before the schema does. */
  readonly error?: string | undefined;
};

/** What the two kinds of number fields have in common. */
function useNumber<V extends FieldValues>({ control, name, error }: NumberOf<V>) {
  const { field, fieldState } = useController({ control, name });
  return {
    inputRef: field.ref,
    value: field.value as number | null,
    onChange: field.onChange,
    onNotANumber: () => field.onChange(Number.NaN),
    onBlur: field.onBlur,
    error: error ?? fieldState.error?.message,
  };
}

/** A number; null while the field is blank. */
export function NumberInput<V extends FieldValues>(props: Of<V, number | null> & NumberOf<V> & Rest) {
  const { control: _control, name: _name, error: _error, ...rest } = props;
  return <NumberField {...rest} {...useNumber(props)} />;
}

/** A quantity in the reader's units; null while the field is blank. */
export function QuantityInput<V extends FieldValues>(
  props: Of<V, number | null> &
    NumberOf<V> &
    Pick<QuantityFieldProps, 'dimension' | 'digits' | 'isWhole' | 'className'>,
) {
  const { control: _control, name: _name, error: _error, ...rest } = props;
  return <QuantityField {...rest} {...useNumber(props)} />;
}

/** One of a few words; `none` offers "none of them", which is null. */
export function ChoiceInput<V extends FieldValues, T extends string>({
  control,
  name,
  ...rest
}: Of<V, T | null> & {
  readonly options: readonly T[];
  readonly none?: string;
  readonly wordOf?: (option: T) => string;
}) {
  const { field, fieldState } = useController({ control, name });
  return (
    <Choice<T> {...rest} value={field.value} onChange={field.onChange} error={fieldState.error?.message} />
  );
}

/** Several of a short list of words, or none. */
export function SeveralInput<V extends FieldValues, T extends string>({
  control,
  name,
  ...rest
}: Of<V, T[]> & {
  readonly options: readonly T[];
  readonly className?: string | undefined;
}) {
  const { field } = useController({ control, name });
  return <SeveralField<T> {...rest} value={field.value} onChange={(value) => field.onChange([...value])} />;
}

/** One of a few, whose words are not their values; the option "" is null. */
export function SelectInput<V extends FieldValues>({
  control,
  name,
  onChosen,
  ...rest
}: Of<V, string | number | null> & {
  readonly options: OptionWords<string | number>;
  /** Called with what was chosen, after the field has it. */
  readonly onChosen?: (value: string) => void;
}) {
  const { field, fieldState } = useController({ control, name });
  return (
    <SelectField<string | number>
      {...rest}
      value={field.value}
      onChange={(value) => {
        field.onChange(value === '' ? null : value);
        onChosen?.(String(value));
      }}
      error={fieldState.error?.message}
    />
  );
}

/** Yes or no. */
export function SwitchInput<V extends FieldValues>({ control, name, label }: Of<V, boolean>) {
  const { field } = useController({ control, name });
  return (
    <FormControlLabel
      control={<Switch checked={field.value} onChange={(event) => field.onChange(event.target.checked)} />}
      label={label}
    />
  );
}

/** Yes, no, or nothing noted. */
export function YesNoInput<V extends FieldValues>({
  control,
  name,
  label,
  yes,
  no,
}: Of<V, boolean | null> & { readonly yes: string; readonly no: string }) {
  const { field, fieldState } = useController({ control, name });
  const value: unknown = field.value;
  return (
    <SelectField<'' | 'yes' | 'no'>
      label={label}
      value={value === null ? '' : value ? 'yes' : 'no'}
      onChange={(next) => field.onChange(next === '' ? null : next === 'yes')}
      error={fieldState.error?.message}
      options={[
        ['', 'not known'],
        ['yes', yes],
        ['no', no],
      ]}
    />
  );
}

/** A fired colour, `#rrggbb`. */
export function ColourInput<V extends FieldValues>({ control, name, label }: Of<V, string>) {
  const { field, fieldState } = useController({ control, name });
  return (
    <ColourField
      label={label}
      value={field.value}
      onChange={field.onChange}
      error={fieldState.error?.message}
    />
  );
}
