import { useRouter } from 'expo-router';
import { hasTrusses, kitchenTool } from '@core/crops';
import { freeThread, fruitsFrom, type CrossFlower, type SelfedTruss, type SelfingPlant } from '@core/crosses';
import type { Draft } from '@core/ledger';
import { plantName, type Growing } from '@core/patch';
import { shortDayText } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { useNextMark } from '@/data/garden/nextMark';
import { Button, Card, Notice } from '../controls';
import { FlowerRow } from '../FlowerRow';
import { Txt } from '../theme';
import { closureWords, plural } from '../words';
import { bagOf } from './crossProps';

interface Props {
  readonly plant: SelfingPlant;
  readonly busy: boolean;
  readonly onSave: (...drafts: Draft[]) => void;
}

/** Pure seed of one plant with perfect flowers: what was covered, what is shaken inside, what stands and gets its mark. */
export function SelfingCard({ plant, busy, onSave }: Props) {
  const { newId, place } = useGarden();
  const { growing, toStrip, withoutBags, toBag, toShake, waiting, toMark, marked } = plant;
  const { crop } = growing;
  const name = plantName(growing);
  const unit = hasTrusses(crop) ? 'truss' : 'bud';
  const others = [...toBag, ...toShake, ...waiting, ...toMark, ...marked].map(({ flower }) => flower);
  const thread = freeThread(others);
  const begin = () => {
    const flower = newId('flower');
    onSave(
      {
        kind: 'flowerSeen',
        flower,
        plant: growing.plant.id,
        sex: 'perfect',
        stage: withoutBags ? 'open' : 'coloured',
        node: null,
      },
      ...(withoutBags
        ? []
        : [{ kind: 'flowerShut' as const, flower, closure: bagOf(growing), stillShut: true as const }]),
      ...(thread ? [{ kind: 'threaded' as const, flower, colour: thread }] : []),
    );
  };
  const tied = thread ? `, ${thread} thread on` : '';
  return (
    <Card>
      <Txt size="heading">{name}</Txt>
      {toStrip ? (
        <Notice
          tone="pollen"
          text="First take off every open flower and every fruit that has set: nobody knows whose pollen they had."
        >
          <Button
            title="Open flowers and fruit off"
            small
            label={`${name}: open flowers and fruit off`}
            disabled={busy}
            onPress={() => onSave({ kind: 'stripped', plant: growing.plant.id })}
          />
        </Notice>
      ) : null}
      {toBag.map(({ flower }) => (
        <FlowerRow
          key={flower.id}
          flower={flower}
          growing={growing}
          title={unitName(growing)}
          note="not open yet, no bag"
        >
          <Button
            title="Still shut: bag on"
            small
            label={`Bag on the ${unit} of ${name}`}
            disabled={busy}
            onPress={() =>
              onSave({ kind: 'flowerShut', flower: flower.id, closure: bagOf(growing), stillShut: true })
            }
          />
        </FlowerRow>
      ))}
      {toShake.map((truss) => (
        <ShakeRow
          key={truss.flower.id}
          truss={truss}
          bare={withoutBags !== null}
          busy={busy}
          onSave={onSave}
        />
      ))}
      {waiting.map((truss) => (
        <FlowerRow
          key={truss.flower.id}
          flower={truss.flower}
          growing={growing}
          title={unitName(growing)}
          note={waitWords(truss, place.zone)}
        >
          <StandsKey truss={truss} busy={busy} onSave={onSave} />
        </FlowerRow>
      ))}
      {toMark.map((each) => (
        <MarkKeys key={each.flower.id} each={each} busy={busy} onSave={onSave} />
      ))}
      {marked.map(({ flower }) => (
        <MarkedRow key={flower.id} each={{ flower, growing }} />
      ))}
      <Button
        title={
          withoutBags
            ? `A ${unit} in flower, for seed${tied}`
            : `A ${unit} about to open: ${closureWords[bagOf(growing)]} on${tied}`
        }
        label={`${name}: a ${unit} ${withoutBags ? 'in flower, for seed' : 'about to open, bag on'}`}
        small
        disabled={busy}
        onPress={begin}
      />
    </Card>
  );
}

/** What is bagged together: a truss, or a single bud. */
const unitName = ({ crop }: Growing) => (hasTrusses(crop) ? 'Truss' : 'Bud');

function waitWords({ flower, growing, shaken }: SelfedTruss, zone: string): string {
  if (shaken === 0) return 'bagged: shaken inside from tomorrow';
  const from = fruitsFrom({ flower, growing }, zone);
  return `shaken on ${plural(shaken, 'morning')}${from ? ` · fruits from about ${shortDayText(from)}` : ''}`;
}

function ShakeRow({
  truss,
  bare,
  busy,
  onSave,
}: Omit<Props, 'plant'> & { truss: SelfedTruss; bare: boolean }) {
  const { flower, growing, shaken, shakenToday } = truss;
  const where = `${plantName(growing)}${flower.thread ? `, ${flower.thread} thread` : ''}`;
  const tool = kitchenTool(growing.crop);
  const closure = flower.shuttings.at(-1)?.closure ?? null;
  const shake = () =>
    onSave(
      ...(closure ? [{ kind: 'closureChecked' as const, flower: flower.id, result: 'whole' as const }] : []),
      {
        kind: 'pollinated',
        flower: flower.id,
        fathers: [],
        tool,
        purpose: 'seed',
        // The bag stayed on: nothing got in.
        ...(closure ? { shutAgain: closure, beeIn: false } : {}),
      },
    );
  return (
    <FlowerRow
      flower={flower}
      growing={growing}
      title={unitName(growing)}
      below
      note={shakenToday ? 'shaken today' : shaken > 0 ? `shaken on ${plural(shaken, 'morning')}` : 'to shake'}
    >
      {shakenToday ? null : (
        <Button
          title={closure ? 'Bag whole, shaken inside' : bare ? 'Shaken' : 'Shaken, no bag'}
          small
          label={`${where}: ${closure ? 'bag whole, shaken inside' : 'shaken'}`}
          disabled={busy}
          onPress={shake}
        />
      )}
      {closure && !shakenToday ? (
        <Button
          title="Bag torn"
          small
          label={`${where}: bag torn`}
          disabled={busy}
          onPress={() => onSave({ kind: 'closureChecked', flower: flower.id, result: 'torn' })}
        />
      ) : null}
      {shaken > 0 ? <StandsKey truss={truss} busy={busy} onSave={onSave} /> : null}
    </FlowerRow>
  );
}

function StandsKey({
  truss: { flower, growing },
  busy,
  onSave,
}: Omit<Props, 'plant'> & { truss: CrossFlower }) {
  return (
    <Button
      title="Fruits stand"
      small
      label={`Fruits stand on ${plantName(growing)}${flower.thread ? `, ${flower.thread} thread` : ''}`}
      disabled={busy}
      onPress={() => onSave({ kind: 'lookedAt', flower: flower.id, result: 'growing', sizeMm: null })}
    />
  );
}

/** All on one visit: the bag off, the mark on, what flowers on after it pinched off. */
function MarkKeys({ each: { flower, growing }, busy, onSave }: Omit<Props, 'plant'> & { each: CrossFlower }) {
  const mark = useNextMark();
  const bagged = flower.shuttings.length > 0 && flower.coverOffAt === null;
  const rest = hasTrusses(growing.crop);
  const title = [bagged ? 'Bag whole, off' : null, `mark ${mark} on`, rest ? 'the rest pinched off' : null]
    .filter(Boolean)
    .join(', ');
  return (
    <FlowerRow flower={flower} growing={growing} title={unitName(growing)} note="fruits stand" below>
      <Button
        title={title.charAt(0).toUpperCase() + title.slice(1)}
        small
        label={`${plantName(growing)}: ${title}`}
        disabled={busy}
        onPress={() =>
          onSave(
            ...(bagged
              ? [
                  { kind: 'closureChecked' as const, flower: flower.id, result: 'whole' as const },
                  { kind: 'coverOff' as const, flower: flower.id },
                ]
              : []),
            { kind: 'marked', flower: flower.id, mark },
            ...(rest ? [{ kind: 'pinched' as const, flower: flower.id }] : []),
          )
        }
      />
      {bagged ? (
        <Button
          title="Bag torn"
          small
          label={`${plantName(growing)}: bag torn over its fruits`}
          disabled={busy}
          onPress={() =>
            onSave(
              { kind: 'closureChecked', flower: flower.id, result: 'torn' },
              { kind: 'coverOff', flower: flower.id },
            )
          }
        />
      ) : null}
    </FlowerRow>
  );
}

function MarkedRow({ each: { flower, growing } }: { each: CrossFlower }) {
  const router = useRouter();
  return (
    <FlowerRow
      flower={flower}
      growing={growing}
      title={unitName(growing)}
      note={`mark ${flower.mark ?? ''}: seed, do not pick`}
    >
      <Button
        title="Its label"
        small
        label={`Label for ${flower.mark ?? ''}`}
        onPress={() => router.navigate({ pathname: '/label', params: { flower: flower.id } })}
      />
    </FlowerRow>
  );
}
