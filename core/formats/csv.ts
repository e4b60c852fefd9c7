import { csvFormatRow, csvParseRows } from 'd3-dsv';

/** What may stand in a cell; `null` and `undefined` leave it empty. */
export type Cell = string | number | boolean | null | undefined;

/**
 * RFC 4180 text: CRLF after every record, a field quoted only where it must be. With `guardFormulas` a text
 * that a spreadsheet would run (it starts with = + - @, tab or carriage return) gets an apostrophe in front;
 * numbers stay numbers.
 * @example csvText([['plant', '=1+1']], { guardFormulas: true }) // "plant,'=1+1\r\n"
 */
export function csvText(
  rows: readonly (readonly Cell[])[],
  { guardFormulas }: { guardFormulas: boolean },
): string {
  const field = (cell: Cell): string => {
    if (cell === null || cell === undefined) return '';
    if (typeof cell !== 'string') return String(cell);
    return guardFormulas && /^[=+\-@\t\r]/.test(cell) ? `'${cell}` : cell;
  };
  return rows.map((row) => `${csvFormatRow(row.map(field))}\r\n`).join('');
}

/** The records of RFC 4180 text; a byte order mark is passed over, CRLF and LF both end a record. */
export function csvRows(text: string): string[][] {
  return csvParseRows(text.startsWith('\ufeff') ? text.slice(1) : text);
}
