import { useMemo, type ReactNode } from 'react';
import {
  eveningAdvice,
  isEdible,
  severalForOne,
  stagesOf,
  systemAdvice,
  type StageAdvice,
} from '@core/crops';
import { seedLoadWords } from '@core/fruitset';
import { coversFor, hasFlowersOf, plantName, type Growing } from '@core/patch';
import { leftToBees, lookedOverOn } from '@core/rounds';
import { clockText } from '@core/time';
import type { PlantTonight } from '@core/goals';
import { useGarden } from '@/data/garden/garden';
import { Card, Button, Notice, Row, Sheet } from '../controls';
import { SprayNotice } from '../care/SprayNotice';
import { CoverAdvice } from '../patch/CoverAdvice';
import { HealthTiles } from '../patch/HealthTiles';
import { InOrder, type Part } from '../InOrder';
import { KeepsHeight } from '../KeepsHeight';
import { Page } from '../Page';
import { Txt, useIsWide } from '../theme';
import { UndoLine } from '../UndoLine';
import { useShortcuts } from '../useShortcuts';
import { AwaitedCard } from './AwaitedCard';
import { InSight } from './InSight';
import { LastUsefulNotice } from './LastUsefulNotice';
import { PlannedHere } from './PlannedHere';
import { SightSteppers } from './SightSteppers';
import { Tonight } from './Tonight';
import { useWalkEntry, type WalkEntry } from './useWalkEntry';
import { WalkKeys } from './WalkKeys';
import { mainKey, walkWords } from './walkWords';
import { WhatYouSee } from './WhatYouSee';
import { healthWords, plural } from '../words';

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

/** Where bees do the work in a cage. */
const LEFT_TO_BEES: StageAdvice = {
  act: 'note',
  shutTonight: false,
  words: 'The bees do the work: note it, and mark its fruit.',
};

/** One plant of the walk: what is on it tonight, by tapping sex and stage. */
export function WalkPlant(props: WalkPlantProps) {
  const { growing, tonight: plan, planKnown, over, side, onLeave } = props;
  const { state, place, today, demo, prefs, patch } = useGarden();
  const bees = useMemo(() => leftToBees(state, growing, today), [state, growing, today]);
  const entry = useWalkEntry(growing, bees);
  const { value, change, first, flowers, tonight, awaited, busy, problem } = entry;
  const { crop, stand } = growing;
  const forFruit = stand.reason === 'fruit';
  const wide = useIsWide();
  const covers = useMemo(() => coversFor(state, growing, today).needed, [state, growing, today]);
  const load = useMemo(
    () => seedLoadWords(state, growing, place.zone, today),
    [state, growing, place.zone, today],
  );
  const read = eveningAdvice(crop, value.sex, value.stage, stand.reason, forFruit || covers);
  const advice = bees && read.act === 'pollinate' ? LEFT_TO_BEES : read;
  const words = walkWords(entry, growing, covers);
  const main = mainKey(entry, growing, advice, words, patch?.schools.selfing);
  const parts: readonly Part[] = [
    {
      key: 'before',
      ready: true,
      node: (
        <>
          {problem ? <Notice tone="brick" text={problem} /> : null}
          <HealthQuestion growing={growing} />
          <SprayNotice stand={growing.stand} entering />
          <CoverAdvice growing={growing} />
          <LastUsefulNotice growing={growing} />
          {load.map((words) => (
            <Notice key={words} tone="pollen" text={words} />
          ))}
        </>
      ),
    },
    {
      key: 'plan',
      ready: planKnown,
      node: (
        <KeepsHeight>
          {plan && (plan.females.length > 0 || plan.males > 0) ? (
            <PlannedHere plan={plan} />
          ) : planKnown && !plan && tonight.some(({ shuttings }) => shuttings.length > 0) ? (
            <Notice tone="leaf" text="Done here: the plan wants nothing more of this plant tonight." />
          ) : null}
        </KeepsHeight>
      ),
    },
    {
      key: 'keys',
      ready: true,
      node: (
        <>
          <AwaitedCard
            awaited={awaited}
            forFruit={forFruit}
            covers={covers}
            busy={busy}
            onReady={(flower) =>
              forFruit
                ? entry.workOpen('kitchen', flower)
                : entry.enter({ ...first, node: flower.node }, covers ? 'shut' : 'note', flower)
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
            <Reading growing={growing} entry={entry} advice={advice} onKey={props.onKey} />
            <WalkKeys entry={entry} growing={growing} advice={advice} main={main} words={words} />
            {advice.shutTonight && value.sex !== 'male' && crop.family !== 'corn' ? (
              <Txt size="label" tone="muted">
                {entry.closure === 'tape'
                  ? 'Half on the petals, half above, no lower than half way down; pinch the top and fold the ends into tabs.'
                  : 'Draw it snug, not so tight that it bruises.'}{' '}
                Rough hands snap the flower off.
              </Txt>
            ) : null}
          </Card>
          {tonight.length > 0 ? <Tonight flowers={tonight} growing={growing} zone={place.zone} /> : null}
        </>
      ),
    },
  ];
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
      side={wide ? side : undefined}
      foot={<WalkFoot {...props} entry={entry} main={main} />}
    >
      <InOrder parts={wide ? parts : [...parts, { key: 'list', ready: true, node: side }]} />
      <Sheet open={entry.doubted !== null} onClose={entry.lookAgain} title="Is that so?">
        <Txt>{entry.doubted?.doubt.words}</Txt>
        <Button title="Look again" look="main" onPress={entry.lookAgain} />
        <Button title="Keep it as I saw it" onPress={entry.keepDoubted} />
      </Sheet>
      <Sheet open={entry.asked !== null} onClose={entry.dropAsked} title="Was it still shut?">
        <Txt>
          {`Its flowers open from about ${entry.asked ? clockText(entry.asked.since, place.zone, prefs.clock === '12') : ''} today. A cover put on later proves nothing, unless the flower was still shut.`}
        </Txt>
        <Button title="Yes, still shut" look="main" onPress={() => entry.answer(true)} />
        <Button title="No, or I can’t say" onPress={() => entry.answer(false)} />
      </Sheet>
    </Page>
  );
}

/** The main key, and the ways to the plants before and after. */
function WalkFoot({
  growing,
  onBack,
  onNext,
  onLeave,
  entry,
  main,
}: WalkPlantProps & { entry: WalkEntry; main: ReturnType<typeof mainKey> }) {
  const { place, today } = useGarden();
  const { plant, crop, stand } = growing;
  const { value, tonight, busy } = entry;
  useShortcuts(useMemo(() => ({ ArrowLeft: onBack, ArrowRight: onNext }), [onBack, onNext]));
  const lookedOver = lookedOverOn(plant, tonight, today, place.zone);
  const kitchen =
    stand.reason === 'fruit' && value.stage === 'open' && value.sex !== 'male' && isEdible(crop);
  return (
    <>
      <UndoLine />
      {kitchen ? (
        <Button
          title="Pollinated now, for the kitchen"
          look="main"
          busy={busy}
          onPress={() => entry.workOpen('kitchen')}
        />
      ) : (
        <Button title={main.title} look="main" busy={busy} onPress={() => entry.enter(value, main.how)} />
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
            else void entry.record({ kind: 'plantPassed', plant: plant.id }).then((saved) => saved && go());
          }}
        />
      </Row>
    </>
  );
}

/** Asked till it was said, and again of a plant that was not well. */
function HealthQuestion({ growing: { plant } }: { growing: Growing }) {
  const doubtful = plant.health === 'doubtful' || plant.health === 'sick';
  if (plant.health !== null && !doubtful) return null;
  return (
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
  );
}

/** What is seen, what that means tonight, and what can be counted of it. */
function Reading({
  growing,
  entry: { value, change, flowers },
  advice,
  onKey,
}: {
  growing: Growing;
  entry: WalkEntry;
  advice: StageAdvice;
  onKey: () => void;
}) {
  const { state, patch } = useGarden();
  const { crop, variety, stand } = growing;
  // How to tell the sexes, till the first flower of the crop is on record.
  const firstOfCrop = useMemo(() => !hasFlowersOf(state, crop), [state, crop]);
  const special = systemAdvice(
    variety.system ?? crop.sexSystem.value,
    value.sex,
    stand.reason,
    patch?.schools.selfing,
  );
  const several = value.sex === 'female' && advice.shutTonight ? severalForOne(crop) : null;
  return (
    <>
      {firstOfCrop ? (
        <Txt size="label" tone="muted">
          {crop.sexing.value}
        </Txt>
      ) : null}
      <WhatYouSee crop={crop} shape={variety.shape} sex={value.sex} stage={value.stage} onChange={change} />
      <Button title="Not sure? Ask the key" small onPress={onKey} />
      <Notice
        tone={advice.shutTonight ? 'leaf' : advice.act === 'too-late' ? 'brick' : 'pollen'}
        text={`${stagesOf(crop, value.sex)[value.stage].looks} ${advice.words}`}
      />
      {special ? <Txt size="label">{special}</Txt> : null}
      {several ? <Txt size="label">{several}</Txt> : null}
      <SightSteppers crop={crop} system={variety.system} sight={value} flowers={flowers} onChange={change} />
    </>
  );
}
