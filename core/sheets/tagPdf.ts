import { jsPDF } from 'jspdf';
import { create } from 'qrcode';
import { codeText, DO_NOT_PICK, tagPlace, tagsOn, type Tag, type TagSize } from '../tags';

/** A typeface that has accents, as base64 of its TTF files. */
export interface TagFonts {
  readonly regular: string;
  readonly bold: string;
}

const FONT = 'tags';
/** Millimetres of a point of type, and how far lines lie apart. */
const POINT_MM = 0.3528;
const LEADING = 1.12;
/** White inside the edge of a tag, mm: printers are off by a millimetre or two. */
const EDGE_MM = 2.5;
/** The white frame that readers of square codes need, in squares. */
const QUIET = 4;
/** No code is printed larger, mm. */
const MOST_CODE_MM = 26;

/**
 * Sheets of tags, each with its mark, its square code, the warning not to pick, parents and day. A folder of its own, which a worker alone
 * loads: the package that writes the file is large.
 * @param skip so many labels at the head of the first sheet are used up already
 */
export function tagPdf(
  tags: readonly Tag[],
  size: TagSize,
  fonts: TagFonts,
  { skip = 0, onProgress }: { readonly skip?: number; readonly onProgress?: (share: number) => void } = {},
): ArrayBuffer {
  const { wideMm, highMm } = size.page;
  const doc = new jsPDF({
    unit: 'mm',
    format: [wideMm, highMm],
    orientation: wideMm > highMm ? 'landscape' : 'portrait',
    compress: true,
  });
  doc.setProperties({ title: 'Tags', creator: 'Steady Trowel' });
  for (const style of ['regular', 'bold'] as const) {
    doc.addFileToVFS(`${style}.ttf`, fonts[style]);
    doc.addFont(`${style}.ttf`, FONT, style === 'bold' ? 'bold' : 'normal');
  }
  let page = 0;
  tags.forEach((tag, i) => {
    const place = tagPlace(size, i + skip);
    if (place.page > page) {
      doc.addPage([wideMm, highMm], wideMm > highMm ? 'landscape' : 'portrait');
      page = place.page;
    }
    drawTag(doc, tag, size, place.xMm, place.yMm);
    if (i % tagsOn(size) === 0) onProgress?.(i / tags.length);
  });
  return doc.output('arraybuffer');
}

function drawTag(doc: jsPDF, tag: Tag, { wideMm, highMm, cut }: TagSize, x: number, y: number): void {
  if (cut) {
    doc.setLineWidth(0.15).setLineDashPattern([1.5, 1.5], 0).setDrawColor(120);
    doc.rect(x, y, wideMm, highMm);
  }
  const codeMm = Math.min(highMm - 2 * EDGE_MM, MOST_CODE_MM, wideMm * 0.42);
  drawCode(doc, codeText(tag.mark), x + EDGE_MM, y + (highMm - codeMm) / 2, codeMm);
  const left = x + EDGE_MM + codeMm + 1;
  const wide = wideMm - 2 * EDGE_MM - codeMm - 1;
  const high = highMm - 2 * EDGE_MM;
  // Warning, mark, parents, plant and day share the height as 3 : 7 : 3 : 3.
  const line = high / 16;
  let top = y + EDGE_MM;
  const put = (text: string, parts: number, bold: boolean) => {
    doc.setFont(FONT, bold ? 'bold' : 'normal');
    const { lines, points } = fitted(doc, text, wide, parts * line);
    const first = top + (parts * line - (lines.length - 1) * points * POINT_MM + points * POINT_MM * 0.7) / 2;
    lines.forEach((words, i) => doc.setFontSize(points).text(words, left, first + i * points * POINT_MM));
    top += parts * line;
  };
  put(DO_NOT_PICK, 3, true);
  put(tag.mark, 7, true);
  for (const text of [tag.parents, tag.about]) {
    if (text !== '') put(text, 3, false);
    else {
      // Room to write on.
      doc.setLineWidth(0.2).setLineDashPattern([], 0).setDrawColor(120);
      doc.line(left, top + 2.6 * line, left + wide, top + 2.6 * line);
      top += 3 * line;
    }
  }
}

const MOST_POINTS = 40;
/** Smaller is not read in the field. */
const LEAST_POINTS = 5.5;

/** One line would be smaller than this: two are tried. */
const TWO_LINES_POINTS = 8;

/** Words as large as their room allows, on two lines where one would be too small; what is too long even so is cut with dots. */
function fitted(
  doc: jsPDF,
  text: string,
  wideMm: number,
  highMm: number,
): { readonly lines: readonly string[]; readonly points: number } {
  const wideAtOne = doc.setFontSize(1).getTextWidth(text) || 1;
  const high = highMm / POINT_MM / LEADING;
  const points = Math.min(MOST_POINTS, high, wideMm / wideAtOne);
  if (points >= Math.min(TWO_LINES_POINTS, high)) return { lines: [text], points };
  const half = Math.max(LEAST_POINTS, Math.min(TWO_LINES_POINTS, high / 2));
  const split = doc.setFontSize(half).splitTextToSize(text, wideMm) as string[];
  if (split.length <= 2 && half * 2 <= high * 1.15) return { lines: split, points: half };
  if (points >= LEAST_POINTS) return { lines: [text], points };
  let words = text;
  doc.setFontSize(LEAST_POINTS);
  while (words.length > 1 && doc.getTextWidth(`${words}…`) > wideMm) words = words.slice(0, -1);
  return { lines: [words === text ? text : `${words.trimEnd()}…`], points: LEAST_POINTS };
}

/** A square code as runs of dark squares, filled at once so that no hair lines show between them. */
function drawCode(doc: jsPDF, text: string, x: number, y: number, mm: number): void {
  const { modules } = create(text, { errorCorrectionLevel: 'Q' });
  const one = mm / (modules.size + 2 * QUIET);
  for (let row = 0; row < modules.size; row++) {
    let from = -1;
    for (let column = 0; column <= modules.size; column++) {
      const dark = column < modules.size && modules.get(row, column) === 1;
      if (dark && from < 0) from = column;
      if (!dark && from >= 0) {
        doc.rect(x + (QUIET + from) * one, y + (QUIET + row) * one, (column - from) * one, one, null);
        from = -1;
      }
    }
  }
  doc.setFillColor('#000').fill();
}
