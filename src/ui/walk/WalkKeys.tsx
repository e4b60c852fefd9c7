import { isEdible, stagesOf, type StageAdvice } from '@core/crops';
import type { Growing } from '@core/patch';
import { useGarden } from '@/data/garden/garden';
import { Button, Row } from '../controls';
import { MalesButton } from '../kitchen/PickedSheet';
import { plural } from '../words';
import type { WalkEntry } from './useWalkEntry';
import type { mainKey, WalkWords } from './walkWords';

/** What else can be done with the flower looked at, beside the main key. */
export function WalkKeys({
  entry,
  growing,
  advice,
  main,
  words,
}: {
  entry: WalkEntry;
  growing: Growing;
  advice: StageAdvice;
  main: ReturnType<typeof mainKey>;
  words: WalkWords;
}) {
  const { patch } = useGarden();
  const { value, busy, again, enter, workOpen } = entry;
  const { crop, stand, variety } = growing;
  const forFruit = stand.reason === 'fruit';
  const open = value.stage === 'open';
  const mayShut = advice.shutTonight || value.stage === 'green' || forFruit;
  // The school that works a flower as it opens, before the bees, and ties it shut: weaker proof, and recorded as what it is.
  const practical = patch?.schools.proof === 'practical';
  return (
    <Row>
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
      {again ? (
        <Button
          title={`Once more: ${again.how === 'note' ? 'note' : again.how === 'shut' ? 'shut' : 'anthers out,'} ${again.sight.sex === 'male' ? plural(again.sight.count, 'male') : `a ${words.one}`}, ${stagesOf(crop, value.sex)[again.sight.stage].name}`}
          small
          disabled={busy}
          onPress={() => enter(again.sight, again.how)}
        />
      ) : null}
    </Row>
  );
}
