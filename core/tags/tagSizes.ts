/** One kind of sheet to cut or peel tags from, mm: the first tag's corner, a tag's size, and the way from one to the next. */
export interface TagSize {
  readonly key: string;
  /** What it is called in a shop: by its measure. */
  readonly name: string;
  readonly page: { readonly wideMm: number; readonly highMm: number };
  readonly columns: number;
  readonly rows: number;
  readonly leftMm: number;
  readonly topMm: number;
  readonly wideMm: number;
  readonly highMm: number;
  readonly stepXMm: number;
  readonly stepYMm: number;
  /** To be cut out along lines; peeled labels have their edges. */
  readonly cut: boolean;
}

const A4 = { wideMm: 210, highMm: 297 };
const LETTER = { wideMm: 215.9, highMm: 279.4 };

/** Common sheets (common practice), strips to wind around a stalk or cut for plastic tags, and a roll of single labels. */
export const TAG_SIZES: readonly TagSize[] = [
  grid('a4-24', 'A4: 24 of 70 × 37 mm', A4, [3, 8], [70, 37], [0, 0.5]),
  grid('a4-65', 'A4: 65 of 38 × 21 mm', A4, [5, 13], [38.1, 21.2], [4.7, 10.7], [40.6, 21.2]),
  grid('a4-strips', 'A4: 12 strips to cut', A4, [1, 12], [190, 22], [10, 16.5], undefined, true),
  grid('letter-30', 'Letter: 30 of 2⅝ × 1 in', LETTER, [3, 10], [66.7, 25.4], [4.8, 12.7], [69.9, 25.4]),
  grid(
    'letter-strips',
    'Letter: 12 strips to cut',
    LETTER,
    [1, 12],
    [190, 21.5],
    [12.9, 10.7],
    undefined,
    true,
  ),
  grid('roll', 'Roll: 80 × 50 mm', { wideMm: 80, highMm: 50 }, [1, 1], [80, 50], [0, 0]),
];

function grid(
  key: string,
  name: string,
  page: TagSize['page'],
  [columns, rows]: readonly [number, number],
  [wideMm, highMm]: readonly [number, number],
  [leftMm, topMm]: readonly [number, number],
  [stepXMm, stepYMm]: readonly [number, number] = [wideMm, highMm],
  cut = false,
): TagSize {
  return { key, name, page, columns, rows, leftMm, topMm, wideMm, highMm, stepXMm, stepYMm, cut };
}

/** How many tags go on a sheet. */
export const tagsOn = ({ columns, rows }: TagSize) => columns * rows;

/** Where the nth tag lies: its page, counted from 0, and its corner, mm. */
export function tagPlace(
  size: TagSize,
  n: number,
): { readonly page: number; readonly xMm: number; readonly yMm: number } {
  const on = n % tagsOn(size);
  return {
    page: Math.floor(n / tagsOn(size)),
    xMm: size.leftMm + (on % size.columns) * size.stepXMm,
    yMm: size.topMm + Math.floor(on / size.columns) * size.stepYMm,
  };
}

/** What stands on a tag besides its warning, its mark and its code. */
export interface Tag {
  readonly mark: string;
  /** `Slate Dome`, or mother × father; `''`: to be written by hand. */
  readonly parents: string;
  /** Plant and day; `''`: to be written by hand. */
  readonly about: string;
}

/** What a helper or a picker reads first (common practice). */
export const DO_NOT_PICK = 'SEED - do not pick';

/** What the square code of a tag holds: capitals, digits, spaces and hyphens alone, so that its squares are few and large. */
export const codeText = (mark: string) => `MARK ${mark.toUpperCase()}`;

/** The mark that a square code holds; a text that is none of ours comes back as it is. */
export const markInCode = (text: string) => /^MARK (.+)$/i.exec(text.trim())?.[1] ?? text.trim();
