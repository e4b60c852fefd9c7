import type { RipeSeed } from '@core/goals';
import { piece, usePiece } from '@/data/device/pieces';
import { useForesight } from '@/data/foresight/foresight';

/** Nothing is ripe before late summer, so it is fetched then. */
const rows = piece(() => import('./RipeRows'));

/** Seed fruit that is ripe, or must come in before a frost. Nothing while there is none. */
export function RipeCard() {
  const ripe = useForesight()?.ripe ?? [];
  return ripe.length > 0 ? <Rows ripe={ripe} /> : null;
}

function Rows(props: { ripe: readonly RipeSeed[] }) {
  const { RipeRows } = usePiece(rows, true) ?? {};
  return RipeRows ? <RipeRows {...props} /> : null;
}
