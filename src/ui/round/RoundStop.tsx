import { useMemo } from 'react';
import { systemAdvice } from '@core/crops';
import type { Draft } from '@core/ledger';
import { plantName } from '@core/patch';
import {
  goneDrafts,
  shutAgainWith,
  stopDrafts,
  withoutMaleDrafts,
  type Found,
  type PollinationRound,
  type Stop,
} from '@core/rounds';
import { closureAtDawn, DEMO_SEED } from '@core/simulation';
import type { DawnPlan } from '@/data/round/dawnPlan';
import { useGarden } from '@/data/garden/garden';
import { useRecording } from '@/data/garden/useRecording';
import { Button, Notice } from '../controls';
import { LeaveButton } from '../LeaveButton';
import { Page } from '../Page';
import { SprayNotice } from '../care/SprayNotice';
import { LastUsefulNotice } from '../goals/LastUsefulNotice';
import { Txt, useIsWide } from '../theme';
import { UndoLine } from '../UndoLine';
import { useShortcuts } from '../useShortcuts';
import { checkWords, closureWords, flowerPlace, workWords } from '../words';
import { BeesBadge } from './BeesBadge';
import { DeadlineLine } from './DeadlineLine';
import { buttonWords } from './buttonWords';
import { NextStops } from './NextStops';
import { NoFatherCard } from './NoFatherCard';
import { ClosureQuestion, ColdNotice, GoneTiles, HoursNotice, SpoiledTiles } from './StopQuestions';
import { StopWorkTiles } from './StopWork';
import { useStopHours, useStopWork } from './useStopWork';
import { WhereItIs } from './WhereItIs';

export interface RoundStopProps {
  readonly round: PollinationRound;
  readonly stop: Stop;
  readonly dawn: DawnPlan | null;
  readonly numbered: readonly string[];
  readonly onGo: (flower: string | null) => void;
  /** Something was answered here: no new plan may take the flower away. */
  readonly onPin: () => void;
  readonly onLeave: () => void;
}

/** One flower of the round: find it, look at its closure, pollinate, shut again, mark. */
export function RoundStop({ round, stop, dawn, numbered, onGo, onPin, onLeave }: RoundStopProps) {
  const { flower, growing } = stop;
  const wide = useIsWide();
  const doing = useStopWork(round, stop, dawn);
  const { answers, change, clear, work } = doing;
  const index = numbered.indexOf(flower.id);
  useLeafing(numbered[index - 1], numbered[index + 1], onGo);
  const { busy, problem, save: saved } = useRecording();
  const save = async (...drafts: Draft[]) => {
    if (!(await saved(...drafts))) return;
    clear();
    onGo(null);
  };
  const kept = (...drafts: Draft[]) => void save(...drafts);
  return (
    <Page
      title={plantName(growing)}
      over={[`Stop ${index + 1} of ${round.stops.length}`, growing.bed.name, flowerPlace(flower)]
        .filter(Boolean)
        .join(' · ')}
      badge={<BeesBadge round={round} />}
      corner={<LeaveButton onPress={onLeave} />}
      side={
        wide ? (
          <NextStops round={round} dawn={dawn} numbered={numbered} current={flower.id} onGo={onGo} all />
        ) : undefined
      }
      foot={<StopFoot round={round} stop={stop} dawn={dawn} doing={doing} busy={busy} onSave={kept} />}
    >
      <ClosureQuestion
        stop={stop}
        found={answers.found}
        onFound={(result) => {
          onPin();
          change({ found: result, kitchen: false });
        }}
      />
      {problem ? <Notice tone="brick" text={problem} /> : null}
      <AgainNotice stop={stop} found={answers.found} busy={busy} onSave={kept} />
      <BeforeTheWork round={round} stop={stop} dawn={dawn} found={answers.found} />
      {work.purpose === 'seed' ? <LastUsefulNotice growing={growing} /> : null}
      {work.spoiled ? (
        <SpoiledTiles kitchen={answers.kitchen} onKitchen={(kitchen) => change({ kitchen })} />
      ) : null}
      {work.pollinating ? <TheWork stop={stop} doing={doing} onSave={kept} /> : null}
      {wide ? null : (
        <NextStops round={round} dawn={dawn} numbered={numbered} current={flower.id} onGo={onGo} />
      )}
      <UndoLine />
    </Page>
  );
}

type Doing = ReturnType<typeof useStopWork>;

/** Fathers, tool and closure of this flower; or why it has no father, and what can be done. */
function TheWork({
  stop,
  doing: { answers, change, work, offers, tool, carried, noFather },
  onSave,
}: {
  stop: Stop;
  doing: Doing;
  onSave: (...drafts: Draft[]) => void;
}) {
  const { flower, growing } = stop;
  return (
    <StopWorkTiles
      growing={growing}
      flower={flower}
      answers={answers}
      onChange={change}
      offers={offers}
      males={Object.fromEntries(work.fathers.map(({ plant: id, males: count }) => [id, count]))}
      tool={tool}
      work={work}
      worn={flower.shuttings[flower.shuttings.length - 1]?.closure ?? 'tape'}
      shutBefore={shutAgainWith(stop)}
      carried={carried}
      noFather={
        noFather ? (
          <NoFatherCard
            why={noFather}
            crop={growing.crop}
            onSelf={() => change({ selfOnce: true })}
            onKitchen={() => change({ kitchen: true })}
            onLeave={() => onSave(...withoutMaleDrafts(stop))}
          />
        ) : null
      }
    />
  );
}

/** The main key, which says all that it records; or the causes, where the flower is gone. */
function StopFoot({
  round,
  stop,
  dawn,
  doing: { answers, work, noMales, kitchen, carried },
  busy,
  onSave,
}: Pick<RoundStopProps, 'round' | 'stop' | 'dawn'> & {
  doing: Doing;
  busy: boolean;
  onSave: (...drafts: Draft[]) => void;
}) {
  const { state } = useGarden();
  const { comeBack } = useStopHours(round, stop, dawn);
  const { found } = answers;
  const blocked = work.pollinating && ((work.males === 0 && !kitchen) || carried !== null || work.damp);
  const off = found === null || blocked;
  const keep = () => onSave(...stopDrafts(stop, answers, work));
  // Without a list of what it hangs on: what is kept is what is on the screen now.
  useShortcuts({ Enter: off || busy || found === 'gone' ? null : keep });
  if (found === 'gone') return <GoneTiles onCause={(cause) => onSave(...goneDrafts(stop, cause))} />;
  return (
    <>
      <DeadlineLine round={round} dawn={dawn} />
      <Button
        title={buttonWords(
          found,
          work.pollinating,
          noMales,
          kitchen,
          carried,
          work.males,
          () => workWords(state, work),
          comeBack,
          stop.again,
          work.damp,
        )}
        look="main"
        busy={busy}
        disabled={off}
        onPress={keep}
      />
    </>
  );
}

/** A flower that was worked the morning before: what is asked of it now. */
function AgainNotice({
  stop,
  found,
  busy,
  onSave,
}: {
  stop: Stop;
  found: Found | null;
  busy: boolean;
  onSave: (...drafts: Draft[]) => void;
}) {
  if (!stop.again) return null;
  return (
    <>
      <Notice
        tone="pollen"
        text="Worked yesterday. Work it once more only if it is still fresh: it stays one flower, worked twice."
      />
      {found === 'whole' ? (
        <Button
          title="No longer fresh: leave it"
          disabled={busy}
          onPress={() => onSave({ kind: 'closureChecked', flower: stop.flower.id, result: 'whole' })}
        />
      ) : null}
    </>
  );
}

/** Where the flower is, its hours, and what the morning does to it. */
function BeforeTheWork({
  round,
  stop,
  dawn,
  found,
}: Pick<RoundStopProps, 'round' | 'stop' | 'dawn'> & { found: Found | null }) {
  const { demo, patch } = useGarden();
  const { flower, growing } = stop;
  const { crop, variety, stand } = growing;
  const { window, cold } = useStopHours(round, stop, dawn);
  const hermaphrodite = systemAdvice(
    variety.system ?? crop.sexSystem.value,
    flower.sex,
    stand.reason,
    patch?.schools.selfing,
  );
  return (
    <>
      <SprayNotice stand={stand} entering />
      {found === null ? <WhereItIs flower={flower} growing={growing} /> : null}
      {found === null && hermaphrodite ? <Notice tone="pollen" text={hermaphrodite} /> : null}
      <HoursNotice crop={crop} window={window} asked={found === null} />
      {cold && (found === null || found === 'not-open') ? <ColdNotice crop={crop} cold={cold} /> : null}
      {demo ? (
        <Txt
          size="label"
          tone="muted"
        >{`In the demo patch you see: the ${closureWords[shutAgainWith(stop)]} is ${checkWords[closureAtDawn(DEMO_SEED, flower, growing, round.date)]}.`}</Txt>
      ) : null}
    </>
  );
}

/** Arrow keys go from stop to stop. */
function useLeafing(before: string | undefined, after: string | undefined, onGo: (flower: string) => void) {
  useShortcuts(
    useMemo(
      () => ({ ArrowLeft: before ? () => onGo(before) : null, ArrowRight: after ? () => onGo(after) : null }),
      [before, after, onGo],
    ),
  );
}
