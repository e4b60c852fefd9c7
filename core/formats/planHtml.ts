import type { Corner, ObstacleKind } from '../ledger';
import type { Paper } from './cardHtml';
import { escapeHtml } from './html';

/** What is printed of a plan, metres, east and south. */
export interface PlanSheet {
  readonly patch: string;
  readonly date: string;
  readonly beds: readonly { readonly name: string; readonly corners: readonly Corner[] }[];
  readonly stands: readonly {
    readonly name: string;
    readonly ring: readonly Corner[];
    readonly plants: readonly Corner[];
  }[];
  readonly obstacles: readonly {
    readonly what: ObstacleKind;
    readonly corners: readonly Corner[];
    readonly area: boolean;
  }[];
  /** What the bar under the drawing is marked in. */
  readonly unit: { readonly short: string; readonly metres: number };
  /** In words beneath the drawing: how large the beds are, what lies next door, what the distances come to. */
  readonly lines: readonly string[];
}

/** Room for the drawing on a sheet inside its margins, mm. */
const ROOM: Readonly<Record<Exclude<Paper, 'strip'>, { readonly wideMm: number; readonly highMm: number }>> =
  {
    A4: { wideMm: 184, highMm: 170 },
    Letter: { wideMm: 190, highMm: 155 },
  };
/** Scales that a ruler reads. */
const SCALES = [
  10, 20, 25, 50, 100, 200, 250, 500, 1000, 2000, 2500, 5000, 10_000, 20_000, 50_000, 100_000, 200_000,
] as const;
const BARS = [0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50, 100, 200, 500, 1000, 2000, 5000, 10_000, 20_000] as const;
/** White around the drawing, mm. */
const EDGE_MM = 6;

/**
 * The largest scale (as 1 : n) at which so many metres go on a sheet; the smallest there is where none will do.
 * @example planScale(12, 9, 'A4') // 100
 */
export function planScale(wideM: number, highM: number, paper: Exclude<Paper, 'strip'>): number {
  const { wideMm, highMm } = ROOM[paper];
  const fits = (n: number) =>
    (wideM * 1000) / n <= wideMm - 2 * EDGE_MM && (highM * 1000) / n <= highMm - 2 * EDGE_MM;
  return SCALES.find(fits) ?? (SCALES[SCALES.length - 1] as number);
}

/** The plan as a sheet of its own to print, to a scale that a ruler reads, north at the top; names are escaped. */
export function planHtml(sheet: PlanSheet, paper: Exclude<Paper, 'strip'>): string {
  const all = [
    ...sheet.beds.flatMap(({ corners }) => corners),
    ...sheet.stands.flatMap(({ ring, plants }) => [...ring, ...plants]),
    ...sheet.obstacles.flatMap(({ corners }) => corners),
  ];
  const [xs, ys] = [all.map(([x]) => x), all.map(([, y]) => y)];
  const [west, north] = [Math.min(...xs), Math.min(...ys)];
  const [wideM, highM] = all.length === 0 ? [0, 0] : [Math.max(...xs) - west, Math.max(...ys) - north];
  const scale = planScale(wideM, highM, paper);
  const mm = (metres: number) => Math.round((metres * 100_000) / scale) / 100;
  const onPaper = ([x, y]: Corner): Corner => [EDGE_MM + mm(x - west), EDGE_MM + mm(y - north)];
  const [wideMm, highMm] = [mm(wideM) + 2 * EDGE_MM, mm(highM) + 2 * EDGE_MM];
  // A bar of some centimetres in a round number of metres or feet, or in tenths of one beside a small bed.
  const bar = BARS.find((each) => mm(each * sheet.unit.metres) >= 25) ?? (BARS[BARS.length - 1] as number);
  const barMm = mm(bar * sheet.unit.metres);
  return `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>${escapeHtml(`Plan of ${sheet.patch}`)}</title><style>
@page{size:${paper};margin:12mm}
*{box-sizing:border-box}body{margin:0;padding:2mm;background:#fff;color:#000;font:13px/1.4 sans-serif}
h1{font-size:19px;margin:0}p{margin:0 0 2mm}svg{display:block;max-width:none}ul{margin:3mm 0 0;padding-left:5mm}li{break-inside:avoid}
path{fill:none;stroke:#000;stroke-width:.3}.bed{fill:#fff}.stand{fill:#ddd;stroke:#ddd;stroke-width:1.6;stroke-linejoin:round}
.hedge{stroke-width:1.4;stroke-dasharray:.5 .9;stroke-linecap:round}.building{fill:#bbb}.hill{stroke-dasharray:2 1}.water{stroke-dasharray:.6 .6}.area{fill:#f2f2f2}
text{font-size:3px;text-anchor:middle;paint-order:stroke;stroke:#fff;stroke-width:.9px}.small{font-size:2.3px}
</style></head><body><h1>${escapeHtml(sheet.patch)}</h1><p>${escapeHtml(sheet.date)} · scale 1 : ${scale} · north at the top</p>
<svg width="${wideMm}mm" height="${highMm}mm" viewBox="0 0 ${wideMm} ${highMm}" role="img" aria-label="${escapeHtml(`Plan at 1 to ${scale}`)}">${drawn(sheet, onPaper)}</svg>
<svg width="${barMm + 30}mm" height="9mm" viewBox="0 0 ${barMm + 30} 9"><path d="M1 3v3h${barMm}v-3"/><text x="${barMm + 14}" y="6.5">${bar} ${escapeHtml(sheet.unit.short)} · N ↑</text></svg>
<p><small>Print at full size (100 %), and lay a ruler on the bar: ${Math.round(barMm) / 10} cm.</small></p>
<ul>${sheet.lines.map((line) => `<li>${escapeHtml(line)}</li>`).join('')}</ul></body></html>`;
}

/** Everything to scale, in millimetres on the paper; names last, so that nothing is drawn over them. */
function drawn({ beds, stands, obstacles }: PlanSheet, onPaper: (corner: Corner) => Corner): string {
  const path = (kind: string, corners: readonly Corner[], closed = true) =>
    `<path class="${kind}" d="M${corners.map((each) => onPaper(each).join(' ')).join('L')}${closed ? 'Z' : ''}"/>`;
  const label = (corners: readonly Corner[], words: string, upMm: number, kind = '') => {
    const middle = (axis: 0 | 1) => corners.reduce((sum, corner) => sum + corner[axis], 0) / corners.length;
    const [x, y] = onPaper([middle(0), middle(1)]);
    return `<text class="${kind}" x="${x}" y="${y - upMm}">${escapeHtml(words)}</text>`;
  };
  const dot = (plant: Corner) => {
    const [x, y] = onPaper(plant);
    return `<circle cx="${x}" cy="${y}" r="0.7"/>`;
  };
  return [
    ...obstacles.map(({ what, corners, area }) => path(area ? `${what} area` : what, corners, area)),
    ...beds.map(({ corners }) => path('bed', corners)),
    ...stands.map(({ ring, plants }) => path('stand', ring) + plants.map(dot).join('')),
    ...obstacles.map(({ what, corners }) => label(corners, what, 2)),
    ...beds.map(({ name, corners }) => {
      const top = Math.min(...corners.map(([, y]) => y));
      return label(
        corners.map(([x]): Corner => [x, top]),
        name,
        1,
      );
    }),
    ...stands.map(({ name, ring }) => label(ring, name, -3, 'small')),
  ].join('');
}
