import type { Cell } from './csv';

/** A column of a table: its heading, and what stands there for a row. */
export type Column<Row> = readonly [heading: string, cell: (row: Row) => Cell];

/** The headings, and a line for each row. */
export function tableOf<Row>(columns: readonly Column<Row>[], rows: readonly Row[]): Cell[][] {
  return [columns.map(([heading]) => heading), ...rows.map((row) => columns.map(([, cell]) => cell(row)))];
}
