import { toCsv, type Table } from '@core/formats';
import type { State } from '@core/ledger';
import { saveFile } from './files';

/** Hands a table of the record to the browser as a file to keep. */
export function exportTable(state: State, table: Table, date: string): void {
  saveFile(`steady-trowel-${table}-${date}.csv`, 'text/csv;charset=utf-8', toCsv(state, table, date));
}
