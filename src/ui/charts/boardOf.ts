/** Units across and pixels a unit of `room` pixels, where letters are `letters` times their usual size. */
export function boardOf(room: number, letters: number, least: number): { width: number; scale: number } {
  const width = Math.max(least, Math.floor(room / letters));
  return { width, scale: Math.min(room / width, letters) };
}
