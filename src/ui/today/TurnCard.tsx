import { piece, usePiece } from '@/data/device/pieces';
import { useGarden } from '@/data/garden/garden';

/** Few take turns, so it is fetched where somebody does; Today stands without, should it not be had. */
const choices = piece(() => import('./TurnChoices'));

/** Whose day it is where cages take turns. Nothing where none do. */
export function TurnCard({ insectsFrom }: { insectsFrom: number }) {
  const { state } = useGarden();
  const inTurn = [...state.beds.values()].some(({ shelters }) =>
    shelters.some(({ insects }) => insects === 'in-turn'),
  );
  return inTurn ? <Choices insectsFrom={insectsFrom} /> : null;
}

function Choices({ insectsFrom }: { insectsFrom: number }) {
  const { TurnChoices } = usePiece(choices, true) ?? {};
  return TurnChoices ? <TurnChoices insectsFrom={insectsFrom} /> : null;
}
