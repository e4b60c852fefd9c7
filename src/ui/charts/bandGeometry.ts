/** A strip of time laid over a width. Pure numbers. */
export interface Band {
  readonly start: number;
  readonly end: number;
  readonly width: number;
}

/** Pixels from the left; a moment outside the strip is held at its edge. */
export function bandX({ start, end, width }: Band, time: number): number {
  const share = (time - start) / (end - start);
  return Math.round(Math.min(1, Math.max(0, share)) * width * 10) / 10;
}

/** Between a word and a line beside it, px. */
const AIR = 5;

/** Where words of this width begin so that no upright line runs through them: at `x`, or right of the lines in their way. */
export function clearOf(lines: readonly number[], x: number, width: number): number {
  return [...lines]
    .sort((a, b) => a - b)
    .reduce((from, line) => (line > from - AIR && line < from + width + AIR ? line + AIR : from), x);
}

/** Every full hour inside the strip, of a zone whose clock is `offsetMs` ahead of UTC. */
export function fullHours({ start, end }: Band, offsetMs: number): number[] {
  const hour = 3_600_000;
  const hours: number[] = [];
  for (let time = Math.ceil((start + offsetMs) / hour) * hour - offsetMs; time <= end; time += hour)
    hours.push(time);
  return hours;
}

export interface Span {
  readonly x: number;
  readonly width: number;
}

/** Where a bar lies, or `null` when it is wholly outside. */
export function bandSpan(band: Band, from: number, to: number): Span | null {
  if (to <= band.start || from >= band.end || to <= from) return null;
  const x = bandX(band, from);
  return { x, width: Math.max(2, bandX(band, to) - x) };
}

export interface NamePlace {
  /** The end of the words that `anchor` names, px from the left. */
  readonly x: number;
  readonly anchor: 'start' | 'end';
  readonly inside: boolean;
}

/**
 * Where a bar's name of `words` px stands on a band of `width` px: within it and clear of the lines, else after it, else before it.
 * On a band too narrow for any of these it stands within it or over it, wherever it can be read whole.
 */
export function namePlace(span: Span, words: number, lines: readonly number[], width: number): NamePlace {
  const end = span.x + span.width;
  const within = clearOf(lines, span.x + 6, words);
  if (within + words < end) return { x: within, anchor: 'start', inside: true };
  const after = clearOf(lines, end + 6, words);
  if (after + words <= width - 6) return { x: after, anchor: 'start', inside: false };
  if (span.x - 6 - words >= 0) return { x: span.x - 6, anchor: 'end', inside: false };
  return { x: Math.max(0, Math.min(span.x + 6, width - 6 - words)), anchor: 'start', inside: true };
}
