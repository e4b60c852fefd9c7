import { useState } from 'react';
import { View } from 'react-native';
import type { Corner } from '@core/ledger';
import { bedTo, moveBy, type Thing } from '@core/patch';
import { Button, Field } from '../controls';
import { groundUnit } from '../words';
import type { Plan } from './usePlan';

/** Where something lies, by numbers: from the left and the top edge of the plan, and how it is turned. */
export function PlanNumbers({ plan, thing }: { plan: Plan; thing: Thing }) {
  const [open, setOpen] = useState(false);
  if (!open) return <Button title="By numbers" look="quiet" small onPress={() => setOpen(true)} />;
  return <Numbers plan={plan} thing={thing} onDone={() => setOpen(false)} />;
}

const hundredths = (length: number) => String(Math.round(length * 100) / 100);
const read = (text: string) =>
  text.trim() === '' ? NaN : Number(text.trim().replace(',', '.').replace('−', '-'));

function Numbers({ plan, thing, onDone }: { plan: Plan; thing: Thing; onDone: () => void }) {
  const at = placeOf(plan, thing);
  const bed = thing.kind === 'bed' ? plan.state.beds.get(thing.id) : undefined;
  const unit = groundUnit(plan.units);
  const shown = (metres: number) => hundredths(metres / unit.metres);
  const [typed, setTyped] = useState({
    east: shown(at[0]),
    south: shown(at[1]),
    length: bed ? shown(bed.lengthM) : '',
    width: bed ? shown(bed.widthM) : '',
    turned: bed ? String(bed.turnedDeg) : '',
  });
  const [wrong, setWrong] = useState<Partial<Record<keyof typeof typed, string>>>({});
  const place = () => {
    const errors: typeof wrong = {};
    const most = Math.floor(1000 / unit.metres);
    // What was not typed anew is not rounded to what is shown of it.
    const metres = (name: 'east' | 'south' | 'length' | 'width', now: number) => {
      if (typed[name] === shown(now)) return now;
      const length = read(typed[name]);
      const side = name === 'length' || name === 'width';
      if (!(Math.abs(length) <= most) || (side && !(length > 0)))
        errors[name] = `Write ${unit.name} ${side ? 'above 0, up to' : `from -${most} to`} ${most}`;
      return length * unit.metres;
    };
    const [east, south] = [metres('east', at[0]), metres('south', at[1])];
    const size = bed && {
      lengthM: metres('length', bed.lengthM),
      widthM: metres('width', bed.widthM),
      turnedDeg: read(typed.turned),
    };
    if (size && !(Math.abs(size.turnedDeg) <= 360)) errors.turned = 'Write degrees from -360 to 360';
    setWrong(errors);
    if (Object.keys(errors).length > 0) return;
    const by: Corner = [east - at[0], south - at[1]];
    plan.attempt(bed && size ? bedTo(bed, { ...size, xM: east, yM: south }) : moveBy(plan.state, thing, by));
    onDone();
  };
  const field = (name: keyof typeof typed, label: string) => (
    <Field
      label={label}
      value={typed[name]}
      onChange={(text) => setTyped({ ...typed, [name]: text })}
      error={wrong[name] ?? null}
    />
  );
  return (
    <View>
      {field('east', `From the left edge of the plan, ${unit.name}`)}
      {field('south', `From its top edge, ${unit.name}`)}
      {bed ? (
        <>
          {field('length', `Length, ${unit.name}`)}
          {field('width', `Width, ${unit.name}`)}
          {field('turned', 'Turned to the right, degrees')}
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
