export { DataTable, type TableColumn, type TableRowData } from './DataTable';
export type { TableOrder, TableValue } from './tableRows';
export { RadioCards } from './RadioCards';
