import { useState } from 'react';
import { View } from 'react-native';
import type { Corner } from '@core/ledger';
import { bedTo, moveBy, type Thing } from '@core/patch';
import { spotForm, typedSpot, type ReadSpot, type TypedSpot } from '@/data/forms/spotForm';
import { Button } from '../controls';
import { TypedField } from '../forms/TypedField';
import { useTyped } from '../forms/useTyped';
import { groundUnit } from '../words';
import type { Plan } from './usePlan';

/** Where something lies, by numbers: from the left and the top edge of the plan, and how it is turned. */
export function PlanNumbers({ plan, thing }: { plan: Plan; thing: Thing }) {
  const [open, setOpen] = useState(false);
  if (!open) return <Button title="By numbers" look="quiet" small onPress={() => setOpen(true)} />;
  return <Numbers plan={plan} thing={thing} onDone={() => setOpen(false)} />;
}

function Numbers({ plan, thing, onDone }: { plan: Plan; thing: Thing; onDone: () => void }) {
  const at = placeOf(plan, thing);
  const bed = thing.kind === 'bed' ? plan.state.beds.get(thing.id) : undefined;
  const unit = groundUnit(plan.units);
  const now = { east: at[0], south: at[1], bed };
  const form = useTyped<TypedSpot, ReadSpot>(spotForm(now, unit), typedSpot(now, unit));
  const place = form.keep(({ east, south, ...size }) => {
    const by: Corner = [east - at[0], south - at[1]];
    plan.attempt(bed ? bedTo(bed, { ...size, xM: east, yM: south }) : moveBy(plan.state, thing, by));
    onDone();
  });
  const field = (name: keyof TypedSpot, label: string) => (
    <TypedField of={form} name={name} label={label} keyboard="decimal-pad" />
  );
  return (
    <View>
      {field('east', `From the left edge of the plan, ${unit.name}`)}
      {field('south', `From its top edge, ${unit.name}`)}
      {bed ? (
        <>
          {field('lengthM', `Length, ${unit.name}`)}
          {field('widthM', `Width, ${unit.name}`)}
          {field('turnedDeg', 'Turned to the right, degrees')}
        </>
      ) : null}
      <Button title="Try it there" small onPress={place} />
    </View>
  );
}

/** The point of a thing that its numbers speak of: a bed's corner as it would lie unturned, else its first corner. */
function placeOf({ scene, state }: Plan, thing: Thing): Corner {
  switch (thing.kind) {
    case 'bed': {
      const bed = state.beds.get(thing.id);
      return bed ? [bed.xM, bed.yM] : [0, 0];
    }
    case 'stand':
      return scene.stands.find(({ id }) => id === thing.id)?.plants[0] ?? [0, 0];
    case 'obstacle':
      return state.obstacles.get(thing.id)?.corners[0] ?? [0, 0];
    case 'neighbour':
      return scene.neighbours.find(({ neighbour }) => neighbour.id === thing.id)?.place ?? [0, 0];
  }
}
