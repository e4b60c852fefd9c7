import { useState } from 'react';
import { View } from 'react-native';
import type { Corner } from '@core/ledger';
import { moveBy, turnTo, type Thing } from '@core/patch';
import { Button, Field } from '../controls';
import type { Plan } from './usePlan';

/** Where something lies, by numbers: from the left and the top edge of the plan, and how it is turned. */
export function PlanNumbers({ plan, thing }: { plan: Plan; thing: Thing }) {
  const [open, setOpen] = useState(false);
  if (!open) return <Button title="By numbers" look="quiet" small onPress={() => setOpen(true)} />;
  return <Numbers plan={plan} thing={thing} onDone={() => setOpen(false)} />;
}

const shown = (metres: number) => String(Math.round(metres * 100) / 100);
const read = (text: string) =>
  text.trim() === '' ? NaN : Number(text.trim().replace(',', '.').replace('−', '-'));

function Numbers({ plan, thing, onDone }: { plan: Plan; thing: Thing; onDone: () => void }) {
  const at = placeOf(plan, thing);
  const turned = thing.kind === 'bed' ? (plan.state.beds.get(thing.id)?.turnedDeg ?? 0) : null;
  const [typed, setTyped] = useState({
    east: shown(at[0]),
    south: shown(at[1]),
    turned: turned === null ? '' : String(turned),
  });
  const [wrong, setWrong] = useState<Partial<Record<keyof typeof typed, string>>>({});
  const place = () => {
    const [east, south, degrees] = [read(typed.east), read(typed.south), read(typed.turned)];
    const errors: typeof wrong = {};
    const metres = 'Write metres from -1000 to 1000';
    if (!(Math.abs(east) <= 1000)) errors.east = metres;
    if (!(Math.abs(south) <= 1000)) errors.south = metres;
    if (turned !== null && !(Math.abs(degrees) <= 360)) errors.turned = 'Write degrees from -360 to 360';
    setWrong(errors);
    if (Object.keys(errors).length > 0) return;
    const by: Corner = [east - at[0], south - at[1]];
    const draft = moveBy(plan.state, thing, by);
    const turn = thing.kind === 'bed' ? turnTo(plan.state, thing.id, degrees) : null;
    plan.attempt(
      draft?.kind === 'bedPlaced' && turn?.kind === 'bedPlaced'
        ? { ...draft, turnedDeg: turn.turnedDeg }
        : draft,
    );
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
      {field('east', 'From the left edge of the plan, metres')}
      {field('south', 'From its top edge, metres')}
      {turned === null ? null : field('turned', 'Turned to the right, degrees')}
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
