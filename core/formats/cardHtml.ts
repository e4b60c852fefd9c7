import { FOUND_CODES, SHUT_CODES, type CardRow } from '../rounds';
import { escapeHtml } from './html';

/** Sizes of paper that a card can be printed on. */
export const PAPERS = ['A4', 'Letter', 'strip'] as const;
export type Paper = (typeof PAPERS)[number];

/** What stands above the lines of the printed card, in words. */
export interface CardHead {
  readonly patch: string;
  /** `Dawn round`, and its day in words. */
  readonly title: string;
  readonly startBy: string;
  readonly end: string;
  readonly people: string;
}

const SIZE: Readonly<Record<Paper, string>> = { A4: 'A4', Letter: 'Letter', strip: '80mm 297mm' };
const FOUND_WORDS = 'W whole, T torn, H hole, I insect, N not open, G gone';
const SHUT_WORDS = 'T tape, M mesh bag, C cloth bag, S twine, B tassel bag, O left open';

/**
 * A round card as a page of its own to print: a line for each flower in the order of the round, with room for a pencil. Names
 * are escaped. The strip is for an 80 mm roll or to fold into a pocket.
 */
export function cardHtml(rows: readonly CardRow[], head: CardHead, paper: Paper): string {
  const narrow = paper === 'strip';
  const fathers = (row: CardRow) =>
    row.fathers.map(({ label, males }) => `${males.length} of plant ${label}`).join(', ') || 'no male';
  const place = (row: CardRow) => (row.node === null ? '' : `, node ${row.node}`);
  const lines = rows.map((row) =>
    narrow
      ? `<tr><td class="n">${row.line}</td><td><b>${escapeHtml(row.plant)}</b>${place(row)}<br><small>${escapeHtml(fathers(row))} · mark ${escapeHtml(row.mark)}</small><div class="boxes"><i>${Object.values(FOUND_CODES).join('</i><i>')}</i></div>males ___ shut ___ marked &#9633;</td></tr>`
      : `<tr><td class="n">${row.line}</td><td><b>${escapeHtml(row.plant)}</b>${place(row)}<br><small>${escapeHtml(row.stop.growing.bed.name)}</small></td><td class="boxes"><i>${Object.values(FOUND_CODES).join('</i><i>')}</i></td><td>${escapeHtml(fathers(row))}</td><td class="fill"></td><td class="boxes"><i>${Object.values(
          SHUT_CODES,
        )
          .filter((code) => code !== 'E')
          .join('</i><i>')}</i></td><td>${escapeHtml(row.mark)} &#9633;</td></tr>`,
  );
  const heads = narrow
    ? ''
    : '<tr><th></th><th>Mother</th><th>Found</th><th>Males</th><th>Used</th><th>Shut again</th><th>Mark</th></tr>';
  return `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>${escapeHtml(head.title)}</title><style>
@page{size:${SIZE[paper]};margin:${narrow ? '4mm' : '12mm'}}
*{box-sizing:border-box}body{margin:0;padding:${narrow ? '4px' : '10px'};background:#fff;color:#000;font:${narrow ? '11px' : '13px'}/1.35 sans-serif}
h1{font-size:${narrow ? '15px' : '19px'};margin:0 0 4px}p{margin:0 0 6px}table{width:100%;border-collapse:collapse}
th{text-align:left;font-size:11px}td,th{border-top:1px solid #000;padding:5px 4px;vertical-align:top}tr{break-inside:avoid}
.n{font-weight:bold;font-size:16px;width:26px}.boxes i{font-style:normal;display:inline-block;border:1px solid #000;border-radius:50%;width:20px;height:20px;line-height:18px;text-align:center;margin:0 2px 2px 0}
.fill{min-width:34px}small{font-size:11px}
</style></head><body><h1>${escapeHtml(head.title)}</h1><p>${escapeHtml(head.patch)} · start by ${escapeHtml(head.startBy)} · over by ${escapeHtml(head.end)} · ${escapeHtml(head.people)}</p><table>${heads}${lines.join('')}</table><p><small>Ring one letter. Found: ${FOUND_WORDS}. Shut again: ${SHUT_WORDS}. Used: how many males. Tick the box when the mark is on. One variety at a time, clean hands and brush between.</small></p></body></html>`;
}
