import type { Lot } from '@core/ledger';
import { couldBeOf, plantsOfStand, stoodSince } from '@core/patch';
import { useGarden } from '@/data/garden/garden';
import { useRecording } from '@/data/garden/useRecording';
import { Button, Notice } from '../controls';
import { plural } from '../words';

/** Stands of a lot's variety of which nobody said what they were sown from: this lot, perhaps. */
export function SownHere({ lot }: { lot: Lot }) {
  const { state } = useGarden();
  const { busy, problem, save } = useRecording();
  const unsaid = [...state.stands.values()].flatMap((stand) => {
    const plants = plantsOfStand(state, stand.id).filter(
      (plant) => !plant.ended && plant.sown === null && couldBeOf(stoodSince(plant), lot, state),
    );
    return stand.variety === lot.variety && stand.sown === null && plants.length > 0
      ? [{ stand, plants: plants.length, bed: state.beds.get(stand.bed)?.name ?? 'a bed' }]
      : [];
  });
  return (
    <>
      {problem ? <Notice tone="brick" text={problem} /> : null}
      {unsaid.map(({ stand, plants, bed }) => (
        <Button
          key={stand.id}
          title={`${plural(plants, 'plant')} in ${bed}: sown from this lot`}
          small
          disabled={busy}
          onPress={() => void save({ kind: 'sownFrom', subject: stand.id, lot: lot.id, fruit: null })}
        />
      ))}
    </>
  );
}
