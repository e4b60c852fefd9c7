import { useMemo } from 'react';
import { contradictions } from '@core/rounds';
import { piece, usePiece } from '@/data/device/pieces';
import { useGarden } from '@/data/garden/garden';

/** Seldom needed, so fetched when it is; Today stands without, should it not be had. */
const choices = piece(() => import('./ContradictionChoices'));

/** Entries of two devices that can't both be true, side by side, for a choice. Nothing where there are none. */
export function ContradictionCard() {
  const { state, place, today } = useGarden();
  const found = useMemo(() => contradictions(state, place.zone, today), [state, place.zone, today]);
  return found.length === 0 ? null : <Choices found={found} />;
}

function Choices({ found }: { found: ReturnType<typeof contradictions> }) {
  const { ContradictionChoices } = usePiece(choices, true) ?? {};
  return ContradictionChoices ? <ContradictionChoices found={found} /> : null;
}
