import { escapeHtml } from './html';

/** What stands on the label of one fruit, in words. */
export interface Label {
  readonly mark: string;
  /** `Tallow Bead x Lock Keeper`, or the variety alone. */
  readonly parents: string;
  /** `tomato, cross (F1)`, `squash, pure seed`. */
  readonly what: string;
  readonly plant: string;
  readonly date: string;
  readonly by: string;
  readonly caution: string | null;
}

/** Labels as a page of their own to print on an 80 mm roll or to cut from a sheet; names are escaped. */
export function labelHtml(labels: readonly Label[]): string {
  const one = ({ mark, parents, what, plant, date, by, caution }: Label) =>
    `<section><p class="not">SEED: do not pick</p><h1>${escapeHtml(mark)}</h1><p><b>${escapeHtml(parents)}</b><br>${escapeHtml(what)}</p><p>${escapeHtml(plant)} · ${escapeHtml(date)} · ${escapeHtml(by)}</p>${caution === null ? '' : `<p class="small">${escapeHtml(caution)}</p>`}</section>`;
  return `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>Labels</title><style>
@page{size:80mm 50mm;margin:3mm}
*{box-sizing:border-box}body{margin:0;padding:4px;background:#fff;color:#000;font:12px/1.35 sans-serif}
section{break-after:page;border:1px solid #000;padding:6px;margin:0 0 6px}section:last-child{break-after:auto}
h1{font-size:30px;line-height:1.1;margin:2px 0}p{margin:0 0 4px}.not{font-weight:bold;letter-spacing:.04em}.small{font-size:10px}
</style></head><body>${labels.map(one).join('')}</body></html>`;
}
