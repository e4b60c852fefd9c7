import { useMemo } from 'react';
import { ripeSeed } from '@core/goals';
import { piece, usePiece } from '@/data/device/pieces';
import { useGarden } from '@/data/garden/garden';

/** Nothing is ripe before late summer, so it is fetched then. */
const rows = piece(() => import('./RipeRows'));

/** Seed fruit that is ripe, or must come in before a frost. Nothing while there is none. */
export function RipeCard() {
  const { state, place, today } = useGarden();
  const ripe = useMemo(() => ripeSeed(state, place, today), [state, place, today]);
  return ripe.length > 0 ? <Rows ripe={ripe} /> : null;
}

function Rows(props: { ripe: ReturnType<typeof ripeSeed> }) {
  const { RipeRows } = usePiece(rows, true) ?? {};
  return RipeRows ? <RipeRows {...props} /> : null;
}
