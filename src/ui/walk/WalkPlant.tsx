import { useMemo, useState, type ReactNode } from 'react';
import { doubtAbout, type Doubt } from '@core/bloom';
import {
  closuresFor,
  eveningAdvice,
  sexesOf,
  STAGES,
  stagesOf,
  systemAdvice,
  type Closure,
  type Sex,
} from '@core/crops';
import { workedForKitchen, type Draft, type Flower, type State } from '@core/ledger';
import { flowersOn, hasFlowersOf, plantName, type Growing } from '@core/patch';
import { fitForSeed } from '@core/purity';
import { daysBetween, localDateOf } from '@core/time';
import type { PlantTonight } from '@core/goals';
import { useDraft } from '@/data/device/draft';
import { useGarden } from '@/data/garden/garden';
import { Card, Key, Notice, Row, Sheet, Stepper, Tile, Tiles } from '../controls';
import { FlowerDrawing } from '../drawings/FlowerDrawing';
import { HealthTiles } from '../patch/HealthTiles';
import { Page } from '../Page';
import { Txt } from '../theme';
import { UndoLine } from '../UndoLine';
import { useKeys } from '../useKeys';
import { InSight, type Choice } from './InSight';
import { PlannedHere } from './PlannedHere';
import { Tonight } from './Tonight';
import { closureWords, healthWords, partName, partNote, plural } from '../words';

const FIRST: Omit<Choice, 'sex'> = { stage: 'coloured', node: null, count: 1, ovaryMm: null };

interface Doubted {
  readonly doubt: Doubt;
  readonly choice: Choice;
  readonly shut: boolean;
  readonly known?: Flower;
}

export interface WalkPlantProps {
  readonly growing: Growing;
  /** What the plan wants shut on this plant; `null` = nothing, or not known yet. */
  readonly tonight: PlantTonight | null;
  readonly over: string;
  readonly side: ReactNode;
  /** `null` on the first and the last plant. */
  readonly onBack: (() => void) | null;
  readonly onNext: (() => void) | null;
  readonly onLeave: () => void;
  /** "Not sure": the key for this plant. */
  readonly onKey: () => void;
}

/** One plant of the walk: what is on it tonight, by tapping sex and stage. */
export function WalkPlant({
  growing,
  tonight: plan,
  over,
  side,
  onBack,
  onNext,
  onLeave,
  onKey,
}: WalkPlantProps) {
  const { state, place, today, now, patch, record, newId, demo, space } = useGarden();
  const { plant, crop, variety, stand } = growing;
  const flowers = useMemo(() => flowersOn(state, plant.id), [state, plant.id]);
  const sexes = sexesOf(crop);
  // How to tell the sexes, till the first flower of the crop is on record.
  const firstOfCrop = useMemo(() => !hasFlowersOf(state, crop), [state, crop]);
  const bearer = sexes[0] as Sex;
  const first: Choice = { ...FIRST, sex: bearer };
  const { value: kept, change, clear } = useDraft(`walk/${space}/${plant.id}`, first);
  // A sex that this crop doesn't have can only come from another crop's draft.
  const value = sexes.includes(kept.sex) ? kept : { ...kept, sex: bearer };
  const stages = stagesOf(crop, value.sex);
  const [again, setAgain] = useState<{ choice: Choice; shut: boolean } | null>(null);
  const [busy, setBusy] = useState(false);
  const [doubted, setDoubted] = useState<Doubted | null>(null);
  useKeys(useMemo(() => ({ ArrowLeft: onBack, ArrowRight: onNext }), [onBack, onNext]));
  const closures = closuresFor(crop, value.sex);
  const wanted = (patch?.schools.closure ?? 'tape') as Closure;
  const closure = closures.includes(wanted) ? wanted : (closures[0] as Closure);
  const on = (at: string) => localDateOf(Date.parse(at), place.zone);
  const tonight = flowers.filter(
    (flower) =>
      flower.sightings.some(({ at }) => on(at) === today) ||
      flower.shuttings.some(({ at }) => on(at) === today),
  );
  const awaited = flowers.filter(
    (flower) =>
      flower.sex === bearer &&
      flower.shuttings.length === 0 &&
      flower.pollinations.length === 0 &&
      !flower.lost &&
      isAwaited(flower, state, today, on),
  );
  const advice = eveningAdvice(crop, value.sex, value.stage, stand.reason);
  const special = systemAdvice(variety.system ?? crop.sexSystem.value, value.sex, stand.reason);
  const doubtful = plant.health === 'doubtful' || plant.health === 'sick';

  /** The record of the same bud, where it was seen on an earlier evening. */
  const sameBud = (choice: Choice): Flower | undefined =>
    awaited.find((flower) => choice.sex === bearer && choice.node !== null && flower.node === choice.node);
  const save = async (choice: Choice, shut: boolean, known?: Flower, certain = false) => {
    const before = known ?? sameBud(choice) ?? null;
    const doubt = doubtAbout({ ...choice, crop: crop.id, at: now }, before, now, place.zone);
    if (doubt && !certain) return setDoubted({ doubt, choice, shut, known });
    setDoubted(null);
    setBusy(true);
    const drafts: Draft[] = [];
    const count = choice.sex === 'male' ? choice.count : 1;
    if (choice.sex === 'male' && !shut)
      drafts.push({ kind: 'malesCounted', plant: plant.id, stage: choice.stage, count });
    else {
      for (let i = 0; i < count; i++) {
        // The same bud seen again goes on in its own record.
        const same = known ?? sameBud(choice);
        const flower = same?.id ?? newId('flower');
        drafts.push({
          kind: 'flowerSeen',
          flower,
          plant: plant.id,
          sex: choice.sex,
          stage: choice.stage,
          node: choice.node,
          ...(choice.ovaryMm === null ? {} : { ovaryMm: choice.ovaryMm }),
        });
        if (shut) drafts.push({ kind: 'flowerShut', flower, closure });
      }
    }
    try {
      await record(...drafts);
      setAgain({ choice: { ...choice, node: null, ovaryMm: null }, shut });
      clear();
    } finally {
      setBusy(false);
    }
  };
  const workNow = async () => {
    const flower = newId('flower');
    await record(
      { kind: 'flowerSeen', flower, plant: plant.id, sex: bearer, stage: 'open', node: value.node },
      workedForKitchen(flower),
    );
    clear();
  };
  const one = crop.family === 'corn' ? 'ear shoot' : value.sex === 'perfect' ? 'flower' : 'female';
  const what =
    value.sex === 'male' ? plural(value.count, crop.family === 'corn' ? 'tassel' : 'male') : `this ${one}`;
  const shutTitle = `Shut ${what} with ${closureWords[closure]}`;
  const noteTitle = value.sex === 'male' ? `Count ${what}, not shut` : 'Note it';
  const mayShut = advice.shutTonight || value.stage === 'green' || stand.reason === 'fruit';
  return (
    <Page
      title={plantName(growing)}
      over={over}
      corner={
        <Key title="Leave" look="quiet" small label="Leave the walk; everything is kept" onPress={onLeave} />
      }
      side={side}
      foot={
        <>
          <Key
            title={advice.shutTonight ? shutTitle : noteTitle}
            look="main"
            busy={busy}
            onPress={() => void save(value, advice.shutTonight)}
          />
          <Row gap={8} style={{ flexWrap: 'nowrap' }}>
            <Key title="Back" disabled={onBack === null} onPress={() => onBack?.()} />
            <Key title={onNext ? 'Next plant' : 'Finish the walk'} grow onPress={onNext ?? onLeave} />
          </Row>
        </>
      }
    >
      <UndoLine reserve />
      {plant.health === null || doubtful ? (
        <Card>
          <HealthTiles
            plant={plant}
            question={
              doubtful
                ? `Marked ${healthWords[plant.health ?? 'doubtful']}: take seed mothers from healthy plants. How does it look now?`
                : 'First: is the plant healthy and true to its kind? Only such plants make seed mothers.'
            }
          />
        </Card>
      ) : null}
      {plan ? <PlannedHere plan={plan} /> : null}
      {awaited.length > 0 ? (
        <Card>
          <Txt size="label" tone="muted">
            Seen before, not shut yet. Full and coloured now?
          </Txt>
          <Row>
            {awaited.map((flower) => (
              <Key
                key={flower.id}
                small
                title={`Node ${flower.node ?? '?'}: coloured, shut it`}
                disabled={busy}
                onPress={() => void save({ ...first, node: flower.node }, true, flower)}
              />
            ))}
          </Row>
        </Card>
      ) : null}
      {demo ? (
        <InSight
          growing={growing}
          date={today}
          known={flowers.filter((flower) => tonight.includes(flower) || flower.shuttings.length > 0)}
          onPick={(choice) => change(choice)}
        />
      ) : null}
      <Card style={{ padding: 10 }}>
        {firstOfCrop ? (
          <Txt size="label" tone="muted">
            {crop.sexing.value}
          </Txt>
        ) : null}
        {sexes.length > 1 ? (
          <Tiles question="What do you see?">
            {sexes.map((sex) => (
              <Tile
                key={sex}
                title={partName(crop, sex)}
                note={partNote(crop, sex)}
                chosen={value.sex === sex}
                onPress={() => change({ sex })}
                picture={
                  <FlowerDrawing
                    sex={sex}
                    appearance={value.stage}
                    shape={variety.shape}
                    crop={crop.id}
                    size={64}
                  />
                }
                minWidth={120}
              />
            ))}
          </Tiles>
        ) : null}
        <Tiles question="How far on?">
          {STAGES.map((stage) => (
            <Tile
              key={stage}
              title={stages[stage].name}
              chosen={value.stage === stage}
              onPress={() => change({ stage })}
              picture={
                <FlowerDrawing
                  sex={value.sex}
                  appearance={stage}
                  shape={variety.shape}
                  crop={crop.id}
                  size={52}
                />
              }
              label={`${stages[stage].name}: ${stages[stage].looks}`}
              minWidth={58}
              small
            />
          ))}
        </Tiles>
        <Key title="Not sure? Ask the key" small onPress={onKey} />
        <Notice
          tone={advice.shutTonight ? 'leaf' : value.stage === 'open' ? 'brick' : 'pollen'}
          text={`${stages[value.stage].looks} ${advice.words}`}
        />
        {special ? <Txt size="label">{special}</Txt> : null}
        {value.sex === 'male' ? (
          <Stepper
            label="How many like this"
            value={value.count}
            least={1}
            most={40}
            onChange={(count) => change({ count })}
          />
        ) : null}
        <Stepper
          label={value.node === null ? 'Node from the root (may be left out)' : 'Node from the root'}
          value={value.node ?? suggestedNode(flowers)}
          unset={value.node === null}
          least={0}
          most={200}
          onChange={(node) => change({ node })}
        />
        {value.sex === 'female' && crop.family === 'cucurbit' && value.stage !== 'spent' ? (
          <Stepper
            label={value.ovaryMm === null ? 'Ovary, mm (may be left out)' : 'Ovary, mm'}
            value={value.ovaryMm ?? 25}
            unset={value.ovaryMm === null}
            least={1}
            most={200}
            onChange={(ovaryMm) => change({ ovaryMm })}
          />
        ) : null}
        <Row>
          {advice.shutTonight ? (
            <Key title={noteTitle} small disabled={busy} onPress={() => void save(value, false)} />
          ) : mayShut ? (
            <Key
              title={`${shutTitle} all the same`}
              small
              disabled={busy}
              onPress={() => void save(value, true)}
            />
          ) : null}
          {value.stage === 'open' && value.sex !== 'male' ? (
            <Key
              title="Pollinated now, for the kitchen"
              small
              disabled={busy}
              onPress={() => void workNow()}
            />
          ) : null}
          {again ? (
            <Key
              title={`Once more: ${again.shut ? 'shut' : 'note'} ${again.choice.sex === 'male' ? plural(again.choice.count, 'male') : `a ${one}`}, ${stages[again.choice.stage].name}`}
              small
              disabled={busy}
              onPress={() => void save(again.choice, again.shut)}
            />
          ) : null}
        </Row>
        {advice.shutTonight && value.sex !== 'male' && crop.family !== 'corn' ? (
          <Txt size="label" tone="muted">
            {closure === 'tape'
              ? 'Half on the petals, half above, no lower than half way down; pinch the top and fold the ends into tabs.'
              : 'Draw it snug, not so tight that it bruises.'}{' '}
            Rough hands snap the flower off.
          </Txt>
        ) : null}
      </Card>
      {tonight.length > 0 ? <Tonight flowers={tonight} growing={growing} zone={place.zone} /> : null}
      <Sheet open={doubted !== null} onClose={() => setDoubted(null)} title="Is that so?">
        <Txt>{doubted?.doubt.words}</Txt>
        <Key title="Look again" look="main" onPress={() => setDoubted(null)} />
        <Key
          title="Keep it as I saw it"
          onPress={() => (doubted ? void save(doubted.choice, doubted.shut, doubted.known, true) : undefined)}
        />
      </Sheet>
    </Page>
  );
}

function isAwaited(flower: Flower, state: State, today: string, on: (at: string) => string): boolean {
  const last = flower.sightings[flower.sightings.length - 1];
  // What stood open already is not worth the tape.
  if (!last || fitForSeed(flower, state).verdict === 'unfit') return false;
  const days = daysBetween(on(last.at), today);
  return days >= 1 && days <= (last.stage === 'pin' ? 5 : 3);
}

function suggestedNode(flowers: readonly Flower[]): number {
  return flowers.reduce((most, { node }) => Math.max(most, node ?? 0), 0) + 1;
}
