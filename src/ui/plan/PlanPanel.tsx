import { useState } from 'react';
import { View } from 'react-native';
import type { Bed, Corner } from '@core/ledger';
import { turnTo, type Thing } from '@core/patch';
import { useRecording } from '@/data/garden/useRecording';
import { BESIDE, Row, Badge, Button, Card, Notice, Tile, Tiles } from '../controls';
import { verdictTone, verdictWords } from '../crossing/words';
import { Txt } from '../theme';
import { groundUnit, plural } from '../words';
import { MapFile } from './MapFile';
import { PlanNumbers } from './PlanNumbers';
import { PlanThings } from './PlanThings';
import { FEW } from './scene';
import type { Plan } from './usePlan';
import { answerLine, thingName } from './words';

/** Beside the drawing: everything on it by name, what is chosen, and what the distances come to. */
export function PlanPanel({
  plan,
  onPicked,
  onSheet,
}: {
  plan: Plan;
  onPicked: () => void;
  onSheet: () => void;
}) {
  return (
    <>
      {plan.problem ? <Notice tone="brick" text={plan.problem} /> : null}
      {plan.chosen ? <Chosen plan={plan} chosen={plan.chosen} /> : null}
      <Answers plan={plan} />
      <PlanThings plan={plan} onPicked={onPicked} />
      {plan.tried ? null : <MapFile onSheet={onSheet} />}
    </>
  );
}

/** How far a step goes, in the grower's unit. */
const STEPS = { metric: [0.1, 1, 10], us: [0.5, 3, 30] } as const;

function Chosen({ plan, chosen }: { plan: Plan; chosen: Thing }) {
  const { tried, busy, units } = plan;
  const unit = groundUnit(units);
  const steps = STEPS[units];
  const [step, setStep] = useState<number>(steps[1]);
  const name = thingName(plan.state, chosen) ?? '';
  const still =
    chosen.kind === 'neighbour' && !plan.scene.neighbours.some(({ neighbour }) => neighbour.id === chosen.id);
  const nudge = (title: string, [east, south]: Corner) => (
    <Button
      key={title}
      title={title}
      label={`${name} ${step} ${unit.short} to the ${title}`}
      small
      grow
      onPress={() => plan.move([east * step * unit.metres, south * step * unit.metres])}
    />
  );
  return (
    <Card>
      <Row>
        <Txt size="heading" style={BESIDE}>
          {name}
        </Txt>
        {tried ? null : (
          <Button
            title="Let go"
            look="quiet"
            small
            label={`Let go of ${name}`}
            onPress={() => plan.choose(null)}
          />
        )}
      </Row>
      {still ? (
        <Txt>Nobody has said which way it lies. Say so under “Who could cross”, and it is drawn here.</Txt>
      ) : (
        <>
          <Txt size="label" tone="muted">
            Drag it on the plan, or go by steps. Nothing is kept until you say so.
          </Txt>
          <Tiles question="Steps of">
            {steps.map((each) => (
              <Tile
                key={each}
                title={`${each} ${unit.short}`}
                small
                minWidth={60}
                chosen={step === each}
                onPress={() => setStep(each)}
              />
            ))}
          </Tiles>
          <View style={{ flexDirection: 'row', gap: 6 }}>
            {nudge('north', [0, -1])}
            {nudge('south', [0, 1])}
            {nudge('west', [-1, 0])}
            {nudge('east', [1, 0])}
          </View>
        </>
      )}
      {chosen.kind === 'bed' ? <Turning plan={plan} bed={plan.state.beds.get(chosen.id)} /> : null}
      {still ? null : <PlanNumbers plan={plan} thing={chosen} />}
      <Corners plan={plan} chosen={chosen} />
      {tried ? (
        <View style={{ flexDirection: 'row', gap: 8 }}>
          <Button title="Put it back" grow onPress={plan.putBack} />
          <Button title="Keep it so" look="main" grow busy={busy} onPress={() => void plan.keep()} />
        </View>
      ) : null}
    </Card>
  );
}

const TURN_DEG = 15;

function Turning({ plan, bed }: { plan: Plan; bed: Bed | undefined }) {
  if (!bed) return null;
  const turn = (by: number) => plan.attempt(turnTo(plan.state, bed.id, bed.turnedDeg + by));
  return (
    <View style={{ flexDirection: 'row', gap: 6 }}>
      <Button
        title={`↺ ${TURN_DEG}°`}
        label={`Turn ${bed.name} ${TURN_DEG} degrees to the left`}
        small
        grow
        onPress={() => turn(-TURN_DEG)}
      />
      <Button
        title={`↻ ${TURN_DEG}°`}
        label={`Turn ${bed.name} ${TURN_DEG} degrees to the right`}
        small
        grow
        onPress={() => turn(TURN_DEG)}
      />
    </View>
  );
}

/** Corners are dragged on the plan; here they are added and taken off. */
function Corners({ plan, chosen }: { plan: Plan; chosen: Thing }) {
  const { save } = useRecording();
  const { corners, shape, state, tried } = plan;
  if (chosen.kind === 'stand' && corners.length === 0) {
    const ring = plan.scene.stands.find(({ id }) => id === chosen.id)?.ring ?? [];
    return ring.length < 3 ? null : <Button title="Outline its ground" small onPress={() => shape(ring)} />;
  }
  if (chosen.kind === 'bed')
    return (
      <Txt size="label" tone="muted">
        Drag a round handle to make it longer or wider: what grows in it stays where it stands.
      </Txt>
    );
  if (corners.length === 0) return null;
  const area =
    chosen.kind === 'stand' || (chosen.kind === 'obstacle' && state.obstacles.get(chosen.id)?.area);
  const last = corners[corners.length - 1] as Corner;
  const before = (area ? corners[0] : corners[corners.length - 2]) as Corner;
  // A new corner comes halfway on the last side.
  const halfway: Corner = [(last[0] + before[0]) / 2, (last[1] + before[1]) / 2];
  const more = area ? [...corners, halfway] : [...corners.slice(0, -1), halfway, last];
  return (
    <>
      <Txt size="label" tone="muted">{`${plural(corners.length, 'corner')}: drag the round handles.`}</Txt>
      <View style={{ flexDirection: 'row', gap: 6, flexWrap: 'wrap' }}>
        <Button title="One more corner" small grow onPress={() => shape(more)} />
        {corners.length > (area ? 3 : 2) ? (
          <Button title="One corner less" small grow onPress={() => shape(corners.slice(0, -1))} />
        ) : null}
        {chosen.kind === 'stand' && !tried ? (
          <Button
            title="As its plants stand"
            small
            grow
            onPress={() => plan.attempt({ kind: 'outlineSet', stand: chosen.id, outline: null })}
          />
        ) : null}
        {chosen.kind === 'obstacle' && !tried ? (
          <Button
            title="It is gone"
            small
            grow
            onPress={() =>
              void save({ kind: 'obstacleGone', obstacle: chosen.id }).then(() => plan.choose(null))
            }
          />
        ) : null}
      </View>
    </>
  );
}

/** What every stand for seed comes to, the way things are tried. */
function Answers({ plan }: { plan: Plan }) {
  const { answers, asked, tried, units } = plan;
  const [all, setAll] = useState(false);
  if (answers.length === 0) return null;
  const shown = all ? answers : answers.filter((answer, i) => i < FEW || answer === asked);
  return (
    <Card>
      <Txt size="heading">{tried ? 'So it would be' : 'How far apart'}</Txt>
      {shown.map((answer) => (
        <Row key={answer.stand.id}>
          <Txt style={BESIDE}>{answerLine(answer, units)}</Txt>
          <Badge text={verdictWords[answer.verdict]} tone={verdictTone[answer.verdict]} />
        </Row>
      ))}
      {shown.length === answers.length ? null : (
        <Button title={`Show all ${answers.length} stands`} look="quiet" small onPress={() => setAll(true)} />
      )}
      <Txt size="label" tone="muted">
        Distance lowers the risk and proves nothing. A flower shut, worked clean and shut again needs none.
      </Txt>
    </Card>
  );
}
