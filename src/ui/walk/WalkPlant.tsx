import { useMemo, useRef, useState, type ReactNode } from 'react';
import { doubtAbout, nodeTaken, type Doubt } from '@core/bloom';
import {
  closuresFor,
  eveningAdvice,
  isEdible,
  sexesOf,
  stagesOf,
  severalForOne,
  systemAdvice,
  type Closure,
} from '@core/crops';
import type { Flower } from '@core/ledger';
import { coversFor, flowersOn, hasFlowersOf, plantName, type Growing } from '@core/patch';
import {
  awaitedBuds,
  bearingSex,
  eveningDrafts,
  lookedOverOn,
  openDrafts,
  sameBud,
  unworkedOn,
  writtenOn,
  type EveningSight,
} from '@core/rounds';
import type { PlantTonight } from '@core/goals';
import { useDraft } from '@/data/device/draft';
import { useGarden } from '@/data/garden/garden';
import { useRecording } from '@/data/garden/useRecording';
import { Card, Button, Notice, Row, Sheet } from '../controls';
import { CoverAdvice } from '../patch/CoverAdvice';
import { MalesButton } from '../kitchen/PickedSheet';
import { HealthTiles } from '../patch/HealthTiles';
import { Page } from '../Page';
import { Txt } from '../theme';
import { UndoLine } from '../UndoLine';
import { useShortcuts } from '../useShortcuts';
import { AwaitedCard } from './AwaitedCard';
import { InSight } from './InSight';
import { LastUsefulNotice } from './LastUsefulNotice';
import { PlannedHere } from './PlannedHere';
import { SightSteppers } from './SightSteppers';
import { Tonight } from './Tonight';
import { WhatYouSee } from './WhatYouSee';
import { closureWords, healthWords, plural } from '../words';

/** Two taps nearer than this are one press of a cold thumb [M]. */
const DOUBLE_TAP_MS = 600;

const FIRST: Omit<EveningSight, 'sex'> = { stage: 'coloured', node: null, count: 1, ovaryMm: null };

interface Doubted {
  readonly doubt: Doubt;
  readonly sight: EveningSight;
  readonly shut: boolean;
  readonly known?: Flower;
}

export interface WalkPlantProps {
  readonly growing: Growing;
  /** What the plan wants shut on this plant; `null` = nothing, or not known yet. */
  readonly tonight: PlantTonight | null;
  /** Whether there is a plan for tonight at all. */
  readonly planKnown: boolean;
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
  planKnown,
  over,
  side,
  onBack,
  onNext,
  onLeave,
  onKey,
}: WalkPlantProps) {
  const { state, place, today, now, patch, newId, demo, space } = useGarden();
  const { busy, problem, save: record } = useRecording();
  const { plant, crop, variety, stand } = growing;
  const flowers = useMemo(() => flowersOn(state, plant.id), [state, plant.id]);
  const sexes = sexesOf(crop);
  // How to tell the sexes, till the first flower of the crop is on record.
  const firstOfCrop = useMemo(() => !hasFlowersOf(state, crop), [state, crop]);
  const bearer = bearingSex(crop);
  const first: EveningSight = { ...FIRST, sex: bearer };
  const { value: kept, change, clear } = useDraft(`walk/${space}/${plant.id}`, first);
  // A sex that this crop doesn't have can only come from another crop's draft.
  const value = sexes.includes(kept.sex) ? kept : { ...kept, sex: bearer };
  const stages = stagesOf(crop, value.sex);
  const [again, setAgain] = useState<{ sight: EveningSight; shut: boolean } | null>(null);
  const savedAt = useRef(-Infinity);
  const [doubted, setDoubted] = useState<Doubted | null>(null);
  useShortcuts(useMemo(() => ({ ArrowLeft: onBack, ArrowRight: onNext }), [onBack, onNext]));
  const closures = closuresFor(crop, value.sex);
  const wanted = (patch?.schools.closure ?? 'tape') as Closure;
  const closure = closures.includes(wanted) ? wanted : (closures[0] as Closure);
  const tonight = useMemo(() => writtenOn(flowers, today, place.zone), [flowers, today, place.zone]);
  const awaited = useMemo(
    () => awaitedBuds(flowers, crop, state, today, place.zone),
    [flowers, crop, state, today, place.zone],
  );
  // Flowers that a record is open for: work on one of these nodes is work on that very flower.
  const unworked = useMemo(() => unworkedOn(flowers, crop), [flowers, crop]);
  const forFruit = stand.reason === 'fruit';
  const covers = useMemo(() => coversFor(state, growing, today).needed, [state, growing, today]);
  const advice = eveningAdvice(crop, value.sex, value.stage, stand.reason, forFruit || covers);
  const special = systemAdvice(
    variety.system ?? crop.sexSystem.value,
    value.sex,
    stand.reason,
    patch?.schools.selfing,
  );
  const several = value.sex === 'female' && advice.shutTonight ? severalForOne(crop) : null;
  const lookedOver = lookedOverOn(plant, tonight, today, place.zone);
  const doubtful = plant.health === 'doubtful' || plant.health === 'sick';

  // The right stage of a mother: her anthers come out before the bag goes on.
  const asMother = advice.act === 'emasculate' && stand.reason === 'cross';
  const save = async (
    sight: EveningSight,
    shut: boolean,
    bud?: Flower,
    certain = false,
    anthersOut = false,
  ) => {
    const known = bud ?? sameBud(sight, awaited);
    // A second tap of the same press is no second flower.
    if (!certain && performance.now() - savedAt.current < DOUBLE_TAP_MS) return;
    savedAt.current = performance.now();
    const doubt =
      doubtAbout({ ...sight, crop: crop.id, at: now }, known, now, place.zone) ??
      (known ? null : nodeTaken(sight, flowers));
    if (doubt && !certain) return setDoubted({ doubt, sight, shut, known: bud });
    setDoubted(null);
    const drafts = eveningDrafts(
      sight,
      plant.id,
      shut ? closure : null,
      known,
      () => newId('flower'),
      anthersOut,
    );
    if (!(await record(...drafts))) return;
    setAgain({ sight: { ...sight, node: null, ovaryMm: null }, shut });
    clear();
  };
  const openNow = { ...value, sex: bearer, stage: 'open' as const };
  const workOpen = async (how: 'kitchen' | 'tied', bud: Flower | null = sameBud(openNow, unworked)) => {
    if (await record(...openDrafts(openNow, plant.id, bud, () => newId('flower'), how))) clear();
  };
  // The school that works a flower as it opens, before the bees, and ties it shut: weaker proof, and recorded as what it is.
  const practical = patch?.schools.proof === 'practical';
  const one = crop.family === 'corn' ? 'ear shoot' : value.sex === 'perfect' ? 'flower' : 'female';
  const what =
    value.sex === 'male' ? plural(value.count, crop.family === 'corn' ? 'tassel' : 'male') : `this ${one}`;
  const shutTitle = `Shut ${what} with ${closureWords[closure]}`;
  const noteTitle =
    value.sex === 'male'
      ? `Count ${what}, not shut`
      : (forFruit || !covers) && value.stage === 'coloured'
        ? 'Note it for tomorrow morning'
        : 'Note it';
  // Seed is not taken from a sick plant: the main key does not offer it.
  const sick = plant.health === 'sick' && value.sex !== 'male';
  const leaveTitle = 'Leave it: note it only';
  const mayShut = advice.shutTonight || value.stage === 'green' || forFruit;
  return (
    <Page
      title={plantName(growing)}
      over={over}
      corner={
        <Button
          title="Leave"
          look="quiet"
          small
          label="Leave the walk; everything is kept"
          onPress={onLeave}
        />
      }
      side={side}
      foot={
        <>
          {forFruit && value.stage === 'open' && value.sex !== 'male' && isEdible(crop) ? (
            <Button
              title="Pollinated now, for the kitchen"
              look="main"
              busy={busy}
              onPress={() => void workOpen('kitchen')}
            />
          ) : (
            <Button
              title={
                sick
                  ? leaveTitle
                  : asMother
                    ? `Anthers out, ${closureWords[closure]} on`
                    : advice.shutTonight
                      ? shutTitle
                      : noteTitle
              }
              look="main"
              busy={busy}
              onPress={() =>
                void save(value, advice.shutTonight && !sick, undefined, false, asMother && !sick)
              }
            />
          )}
          {tonight.length > 0 ? (
            <Txt size="label" tone="muted">{`Written here tonight: ${plural(tonight.length, 'flower')}`}</Txt>
          ) : null}
          <Row gap={8} style={{ flexWrap: 'nowrap' }}>
            <Button title="Back" disabled={onBack === null} onPress={() => onBack?.()} />
            <Button
              title={`${lookedOver ? '' : 'Nothing here. '}${onNext ? 'Next plant' : 'Finish the walk'}`}
              grow
              onPress={() => {
                const go = onNext ?? onLeave;
                if (lookedOver) go();
                else void record({ kind: 'plantPassed', plant: plant.id }).then((saved) => saved && go());
              }}
            />
          </Row>
        </>
      }
    >
      <UndoLine reserve />
      {problem ? <Notice tone="brick" text={problem} /> : null}
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
      <CoverAdvice growing={growing} />
      <LastUsefulNotice growing={growing} />
      {plan ? <PlannedHere plan={plan} /> : null}
      {planKnown && !plan && tonight.some(({ shuttings }) => shuttings.length > 0) ? (
        <Notice tone="leaf" text="Done here: the plan wants nothing more of this plant tonight." />
      ) : null}
      <AwaitedCard
        awaited={awaited}
        forFruit={forFruit}
        covers={covers}
        busy={busy}
        onReady={(flower) =>
          void (forFruit
            ? workOpen('kitchen', flower)
            : save({ ...first, node: flower.node }, covers, flower))
        }
      />
      {demo ? (
        <InSight
          growing={growing}
          date={today}
          known={flowers.filter((flower) => tonight.includes(flower) || flower.shuttings.length > 0)}
          onPick={change}
        />
      ) : null}
      <Card style={{ padding: 10 }}>
        {firstOfCrop ? (
          <Txt size="label" tone="muted">
            {crop.sexing.value}
          </Txt>
        ) : null}
        <WhatYouSee crop={crop} shape={variety.shape} sex={value.sex} stage={value.stage} onChange={change} />
        <Button title="Not sure? Ask the key" small onPress={onKey} />
        <Notice
          tone={advice.shutTonight ? 'leaf' : value.stage === 'open' ? 'brick' : 'pollen'}
          text={`${stages[value.stage].looks} ${advice.words}`}
        />
        {special ? <Txt size="label">{special}</Txt> : null}
        {several ? <Txt size="label">{several}</Txt> : null}
        <SightSteppers
          crop={crop}
          system={variety.system}
          sight={value}
          flowers={flowers}
          onChange={change}
        />
        <Row>
          {asMother && !sick ? (
            <Button
              title={`${shutTitle}: as a father`}
              small
              disabled={busy}
              onPress={() => void save(value, true)}
            />
          ) : null}
          {sick && advice.shutTonight ? (
            <Button
              title={`${shutTitle} all the same`}
              small
              disabled={busy}
              onPress={() => void save(value, true)}
            />
          ) : advice.shutTonight || (forFruit && value.stage === 'open') ? (
            <Button title={noteTitle} small disabled={busy} onPress={() => void save(value, false)} />
          ) : mayShut ? (
            <Button
              title={`${shutTitle} all the same`}
              small
              disabled={busy}
              onPress={() => void save(value, true)}
            />
          ) : null}
          {!forFruit && value.stage === 'open' && value.sex !== 'male' && isEdible(crop) ? (
            <Button
              title="Pollinated now, for the kitchen"
              small
              disabled={busy}
              onPress={() => void workOpen('kitchen')}
            />
          ) : null}
          {!forFruit &&
          !crop.flowers.perfect &&
          value.stage === 'open' &&
          value.sex === 'female' &&
          practical ? (
            <Button
              title="Worked as it opened, then tied shut: for seed"
              small
              disabled={busy}
              onPress={() => void workOpen('tied')}
            />
          ) : null}
          {crop.id.startsWith('squash') && value.sex === 'male' && value.stage === 'open' ? (
            <MalesButton stand={stand.id} name={variety.name} />
          ) : null}
          {again ? (
            <Button
              title={`Once more: ${again.shut ? 'shut' : 'note'} ${again.sight.sex === 'male' ? plural(again.sight.count, 'male') : `a ${one}`}, ${stages[again.sight.stage].name}`}
              small
              disabled={busy}
              onPress={() => void save(again.sight, again.shut)}
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
        <Button title="Look again" look="main" onPress={() => setDoubted(null)} />
        <Button
          title="Keep it as I saw it"
          onPress={() => (doubted ? void save(doubted.sight, doubted.shut, doubted.known, true) : undefined)}
        />
      </Sheet>
    </Page>
  );
}
