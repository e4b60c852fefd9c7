import { escapeHtml } from './html';

/** One line of a table of the week: what it is of, and its cells. */
export type WeekRow = readonly [name: string, ...cells: string[]];

/** What stands on the sheet of a week, in words. */
export interface WeekSheet {
  readonly patch: string;
  /** `8 to 14 July 2026`. */
  readonly days: string;
  /** What the week came to: a number and what it counts. */
  readonly counts: readonly (readonly [count: number, name: string])[];
  readonly varieties: readonly WeekRow[];
  readonly lost: readonly WeekRow[];
  /** Fruits to look at in the days that come. */
  readonly ahead: readonly WeekRow[];
}

/** A week on one sheet, to pin up in the shed; names are escaped. */
export function weekHtml({ patch, days, counts, varieties, lost, ahead }: WeekSheet): string {
  const table = (title: string, heads: readonly string[], rows: readonly WeekRow[]) =>
    rows.length === 0
      ? ''
      : `<h2>${title}</h2><table><tr>${heads.map((head) => `<th>${head}</th>`).join('')}</tr>${rows
          .map((row) => `<tr>${row.map((cell) => `<td>${escapeHtml(cell)}</td>`).join('')}</tr>`)
          .join('')}</table>`;
  return `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>The week</title><style>
@page{size:A4;margin:15mm}
*{box-sizing:border-box}body{margin:0;padding:24px;background:#fff;color:#000;font:15px/1.4 sans-serif}
h1{font-size:26px;margin:0 0 4px}h2{font-size:18px;margin:22px 0 6px}
.counts{display:flex;gap:28px;margin:16px 0}.counts b{display:block;font-size:28px;line-height:1.1}
table{border-collapse:collapse;width:100%}td,th{border-bottom:1px solid #999;padding:5px 8px 5px 0;text-align:left}
td+td,th+th{text-align:right}tr{break-inside:avoid}
</style></head><body><h1>${escapeHtml(patch)}</h1><p>${escapeHtml(days)}</p><div class="counts">${counts
    .map(([count, name]) => `<div><b>${count}</b>${escapeHtml(name)}</div>`)
    .join(
      '',
    )}</div>${table('Set by variety, flowers worked this week', ['Variety', 'Worked', 'Set', 'Dropped', 'Waiting'], varieties)}${table('Lost this week', ['Cause', 'Flowers'], lost)}${table('To look at in the next seven days', ['Day', 'Flowers'], ahead)}</body></html>`;
}
