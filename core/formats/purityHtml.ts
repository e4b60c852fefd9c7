import type { LinkState } from '../purity';
import type { Paper } from './cardHtml';
import { escapeHtml } from './html';

/** The proof of a variety's fruits of one year, in words as the screen says them. */
export interface PuritySheet {
  readonly variety: string;
  /** `Weir garden · worked in 2026 · printed on 4 October 2026`. */
  readonly over: string;
  /** Its grade, its share of foreign seed, its mothers and fathers. */
  readonly summary: readonly string[];
  /** The links by name, in the order of the chain. */
  readonly links: readonly string[];
  readonly fruits: readonly {
    readonly mark: string;
    readonly place: string;
    readonly grade: string;
    /** As many as there are links; `null`: this one does not apply to the fruit. */
    readonly states: readonly (LinkState | null)[];
    readonly foreign: string;
  }[];
}

/** A copier knows no colours: what was seen is full, what nobody recorded empty, what failed crossed out. */
const SHAPES: Readonly<Record<LinkState, string>> = {
  seen: '<circle r="3.4" fill="#000"/>',
  'not-recorded': '<circle r="3.2" fill="#fff" stroke="#000" stroke-width=".7" stroke-dasharray="1.4 1.2"/>',
  broken: '<path d="M-3 -3L3 3M3 -3L-3 3" stroke="#000" stroke-width="1.7"/>',
};
const WORDS: Readonly<Record<LinkState, string>> = {
  seen: 'seen',
  'not-recorded': 'not recorded',
  broken: 'broken',
};

const shape = (state: LinkState | null) =>
  state === null
    ? ''
    : `<svg width="15" height="15" viewBox="-5 -5 10 10" role="img" aria-label="${WORDS[state]}">${SHAPES[state]}</svg>`;

/** How pure the seed of a variety is, as a page of its own to print and to keep with the seed: a line a fruit. Names are escaped. */
export function purityHtml(sheet: PuritySheet, paper: Exclude<Paper, 'strip'>): string {
  const rows = sheet.fruits.map(
    ({ mark, place, grade, states, foreign }) =>
      `<tr><td><b>${escapeHtml(mark)}</b><br><small>${escapeHtml(place)}</small></td>${states.map((state) => `<td class="c">${shape(state)}</td>`).join('')}<td><b>${escapeHtml(grade)}</b><br><small>${escapeHtml(foreign)}</small></td></tr>`,
  );
  return `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>${escapeHtml(`Purity of ${sheet.variety}`)}</title><style>
@page{size:${paper};margin:12mm}
*{box-sizing:border-box}body{margin:0;padding:2mm;background:#fff;color:#000;font:13px/1.4 sans-serif}
h1{font-size:19px;margin:0}p{margin:0 0 2mm}ol{margin:2mm 0 3mm;padding-left:6mm;columns:2}table{width:100%;border-collapse:collapse}
thead{display:table-header-group}th{font-size:12px;text-align:left}td,th{border-top:1px solid #000;padding:3px 4px;vertical-align:top}.c{text-align:center;width:22px;padding:5px 0}tr{break-inside:avoid}small{font-size:11px}.key svg{vertical-align:-3px}
</style></head><body><h1>${escapeHtml(sheet.variety)}</h1><p>${escapeHtml(sheet.over)}</p>${sheet.summary.map((line) => `<p>${escapeHtml(line)}</p>`).join('')}
<ol>${sheet.links.map((name) => `<li>${escapeHtml(name)}</li>`).join('')}</ol>
<p class="key">${(Object.keys(SHAPES) as LinkState[]).map((state) => `${shape(state)} ${WORDS[state]}`).join(' &nbsp; ')}</p>
<table><thead><tr><th>Fruit</th>${sheet.links.map((_, i) => `<th class="c">${i + 1}</th>`).join('')}<th>Grade, and share of foreign seed</th></tr></thead><tbody>${rows.join('')}</tbody></table></body></html>`;
}
