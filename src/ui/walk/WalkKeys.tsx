import { isEdible, stagesOf } from '@core/crops';
import type { Growing } from '@core/patch';
import { useGarden } from '@/data/garden/garden';
import { Button, Row } from '../controls';
import { MalesButton } from '../kitchen/PickedSheet';
import { partName, plural } from '../words';
import type { WalkEntry } from './useWalkEntry';
import type { Said } from './walkWords';

/** What else can be done with the flower looked at, beside the main key. */
export function WalkKeys({
  entry,
  growing,
  said,
}: {
  entry: WalkEntry;
  growing: Growing;
  /** `null` before both sex and stage were said. */
  said: Said | null;
}) {
  return (
    <Row>
      {said ? <OtherWays entry={entry} growing={growing} said={said} /> : null}
      <OnceMore entry={entry} growing={growing} />
    </Row>
  );
}

/** The same as the last entry, in one tap. */
function OnceMore({ entry: { again, busy, resting, enter }, growing: { crop } }: Omit<Of, 'said'>) {
  if (!again) return null;
  const { sight, how } = again;
  const did = how === 'note' ? 'note' : how === 'shut' ? 'shut' : 'anthers out,';
  const name = partName(crop, sight.sex);
  const what =
    sight.sex === 'male' ? plural(sight.count, name) : `${/^[aeiou]/.test(name) ? 'an' : 'a'} ${name}`;
  return (
    <Button
      title={`Once more: ${did} ${what}, ${stagesOf(crop, sight.sex)[sight.stage].name}`}
      small
      disabled={busy || resting}
      onPress={() => enter(sight, how)}
    />
  );
}

interface Of {
  readonly entry: WalkEntry;
  readonly growing: Growing;
  readonly said: Said;
}

function OtherWays({ entry, growing, said: { seen: value, advice, words, main } }: Of) {
  const { patch } = useGarden();
  const { busy, enter, workOpen } = entry;
  const { crop, stand, variety } = growing;
  const forFruit = stand.reason === 'fruit';
  const open = value.stage === 'open';
  const mayShut = advice.shutTonight || value.stage === 'green' || forFruit;
  // The school that works a flower as it opens, before the bees, and ties it shut: weaker proof, and recorded as what it is.
  const practical = patch?.schools.proof === 'practical';
  return (
    <>
      {main.how === 'mother' ? (
        <Button
          title={value.sex === 'female' ? `${words.shut}, her anthers left in` : `${words.shut}: as a father`}
          small
          disabled={busy}
          onPress={() => enter(value, 'shut')}
        />
      ) : null}
      {(main.sick && advice.shutTonight) || (!advice.shutTonight && !(forFruit && open) && mayShut) ? (
        <Button
          title={`${words.shut} all the same`}
          small
          disabled={busy}
          onPress={() => enter(value, 'shut')}
        />
      ) : advice.shutTonight || (forFruit && open) ? (
        <Button title={words.note} small disabled={busy} onPress={() => enter(value, 'note')} />
      ) : null}
      {!forFruit && open && value.sex !== 'male' && isEdible(crop) ? (
        <Button
          title="Pollinated now, for the kitchen"
          small
          disabled={busy}
          onPress={() => workOpen('kitchen')}
        />
      ) : null}
      {!forFruit && !crop.flowers.perfect && open && value.sex === 'female' && practical ? (
        <Button
          title="Worked as it opened, then tied shut: for seed"
          small
          disabled={busy}
          onPress={() => workOpen('tied')}
        />
      ) : null}
      {crop.id.startsWith('squash') && value.sex === 'male' && open ? (
        <MalesButton stand={stand} name={variety.name} />
      ) : null}
    </>
  );
}
