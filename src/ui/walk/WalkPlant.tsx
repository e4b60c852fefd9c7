import { useMemo, type ReactNode } from 'react';
import { isEdible, severalForOne, stagesOf, systemAdvice, type Sex, type StageAdvice } from '@core/crops';
import type { Flower } from '@core/ledger';
import { seedLoadWords } from '@core/fruitset';
import { coversFor, hasFlowersOf, plantName, type Growing } from '@core/patch';
import { bearingSex, leftToBees, lookedOverOn, type EveningSight } from '@core/rounds';
import { clockText } from '@core/time';
import type { PlantTonight } from '@core/goals';
import { useGarden } from '@/data/garden/garden';
import { Card, Button, Notice, Row, Sheet } from '../controls';
import { SprayNotice } from '../care/SprayNotice';
import { CoverAdvice } from '../patch/CoverAdvice';
import { LastUsefulNotice } from '../goals/LastUsefulNotice';
import { HealthTiles } from '../patch/HealthTiles';
import { InOrder, type Part } from '../InOrder';
import { KeepsHeight } from '../KeepsHeight';
import { Page } from '../Page';
import { Txt, useIsWide } from '../theme';
import { UndoLine } from '../UndoLine';
import { useShortcuts } from '../useShortcuts';
import { AwaitedCard } from './AwaitedCard';
import { InSight } from './InSight';
import { PlannedHere } from './PlannedHere';
import { SightSteppers } from './SightSteppers';
import { Tonight } from './Tonight';
import { useAskHour } from '../useAskHour';
import { useWalkEntry, type WalkEntry } from './useWalkEntry';
import { WalkKeys } from './WalkKeys';
import { saidOf, waitingWords, type Said } from './walkWords';
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

/** The sex that the plan still wants shut here: females first. */
function wantedSex(plan: PlantTonight | null): Sex | null {
  if (plan && plan.females.length > 0) return 'female';
  return plan && plan.males > 0 ? 'male' : null;
}

/** One plant of the walk: what is on it tonight, by tapping sex and stage. */
export function WalkPlant(props: WalkPlantProps) {
  const { growing, tonight: plan, planKnown, over, side, onLeave } = props;
  const { state, place, today, demo, prefs, patch } = useGarden();
  const bees = useMemo(() => leftToBees(state, growing, today), [state, growing, today]);
  const looked = useWalkEntry(growing, bees, wantedSex(plan));
  const hour = useAskHour(growing.crop);
  const entry: WalkEntry = {
    ...looked,
    workOpen: (how, bud) => {
      hour.ask(() => looked.workOpen(how, bud));
    },
  };
  const { seen, change, flowers, tonight, awaited, busy, problem } = entry;
  const { crop, stand } = growing;
  const forFruit = stand.reason === 'fruit';
  const wide = useIsWide();
  // Picked from those awaited with a key that says "coloured".
  const asReady = ({ node }: Flower): EveningSight => ({
    sex: bearingSex(crop),
    stage: 'coloured',
    node,
    count: 1,
    ovaryMm: null,
  });
  const covers = useMemo(() => coversFor(state, growing, today).needed, [state, growing, today]);
  const load = useMemo(
    () => seedLoadWords(state, growing, place.zone, today),
    [state, growing, place.zone, today],
  );
  const said = seen
    ? saidOf(seen, entry.closure, { ...growing, covers, bees }, patch?.schools.selfing)
    : null;
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
                : entry.enter(asReady(flower), covers ? 'shut' : 'note', flower)
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
            <Reading growing={growing} entry={entry} advice={said?.advice ?? null} onKey={props.onKey} />
            <WalkKeys entry={entry} growing={growing} said={said} />
            {said?.advice.shutTonight && said.seen.sex !== 'male' && crop.family !== 'corn' ? (
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
      foot={<WalkFoot {...props} entry={entry} said={said} />}
    >
      <InOrder parts={wide ? parts : [...parts, { key: 'list', ready: true, node: side }]} />
      {hour.sheet}
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
  said,
}: WalkPlantProps & { entry: WalkEntry; said: Said | null }) {
  const { place, today } = useGarden();
  const { plant, crop, stand } = growing;
  const { value, tonight, busy, resting } = entry;
  useShortcuts(useMemo(() => ({ ArrowLeft: onBack, ArrowRight: onNext }), [onBack, onNext]));
  const lookedOver = lookedOverOn(plant, tonight, today, place.zone);
  const kitchen =
    stand.reason === 'fruit' && value.stage === 'open' && said?.seen.sex !== 'male' && isEdible(crop);
  return (
    <>
      <UndoLine />
      {!said ? (
        <Button title={waitingWords(value, growing)} look="main" disabled onPress={() => undefined} />
      ) : kitchen ? (
        <Button
          title="Pollinated now, for the kitchen"
          look="main"
          busy={busy}
          onPress={() => entry.workOpen('kitchen')}
        />
      ) : (
        <Button
          title={said.main.title}
          look="main"
          busy={busy}
          disabled={resting}
          onPress={() => entry.enter(said.seen, said.main.how)}
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
  /** `null` before both were said. */
  advice: StageAdvice | null;
  onKey: () => void;
}) {
  const { state, patch } = useGarden();
  const { crop, variety, stand } = growing;
  // How to tell the sexes, till the first flower of the crop is on record.
  const firstOfCrop = useMemo(() => !hasFlowersOf(state, crop), [state, crop]);
  const { sex, stage } = value;
  const special = sex
    ? systemAdvice(variety.system ?? crop.sexSystem.value, sex, stand.reason, patch?.schools.selfing)
    : null;
  const several = sex === 'female' && advice?.shutTonight ? severalForOne(crop) : null;
  return (
    <>
      {firstOfCrop ? (
        <Txt size="label" tone="muted">
          {crop.sexing.value}
        </Txt>
      ) : null}
      <WhatYouSee crop={crop} shape={variety.shape} sex={sex} stage={stage} onChange={change} />
      <Button title="Not sure? Ask the key" small onPress={onKey} />
      {advice && sex && stage ? (
        <Notice
          tone={advice.shutTonight ? 'leaf' : advice.act === 'too-late' ? 'brick' : 'pollen'}
          text={`${stagesOf(crop, sex)[stage].looks} ${advice.words}`}
        />
      ) : null}
      {special ? <Txt size="label">{special}</Txt> : null}
      {several ? <Txt size="label">{several}</Txt> : null}
      <SightSteppers crop={crop} system={variety.system} sight={value} flowers={flowers} onChange={change} />
    </>
  );
}
