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
