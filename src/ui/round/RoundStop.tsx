import { useMemo } from 'react';
import { systemAdvice } from '@core/crops';
import type { Draft } from '@core/ledger';
import { plantName } from '@core/patch';
import {
  goneDrafts,
  shutAgainWith,
  stopDrafts,
  withoutMaleDrafts,
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
  const { state, demo, patch } = useGarden();
  const { flower, growing } = stop;
  const { crop, variety, bed } = growing;
  const wide = useIsWide();
  const { answers, change, clear, offers, work, noMales, kitchen, tool, carried, noFather } = useStopWork(
    round,
    stop,
    dawn,
  );
  const { window, cold, comeBack } = useStopHours(round, stop, dawn);
  const index = numbered.indexOf(flower.id);
  useLeafing(numbered[index - 1], numbered[index + 1], onGo);
  const { found } = answers;
  const { pollinating, spoiled } = work;
  const { busy, problem, save: saved } = useRecording();
  const save = async (...drafts: Draft[]) => {
    if (!(await saved(...drafts))) return;
    clear();
    onGo(null);
  };
  const hermaphrodite = systemAdvice(
    variety.system ?? crop.sexSystem.value,
    flower.sex,
    growing.stand.reason,
    patch?.schools.selfing,
  );
  return (
    <Page
      title={plantName(growing)}
      over={`Stop ${index + 1} of ${round.stops.length} · ${bed.name} · ${flowerPlace(flower)}`}
      badge={<BeesBadge round={round} />}
      corner={<LeaveButton onPress={onLeave} />}
      side={
        wide ? (
          <NextStops round={round} dawn={dawn} numbered={numbered} current={flower.id} onGo={onGo} all />
        ) : undefined
      }
      foot={
        found === 'gone' ? (
          <GoneTiles onCause={(cause) => void save(...goneDrafts(stop, cause))} />
        ) : (
          <>
            <DeadlineLine round={round} dawn={dawn} />
            <Button
              title={buttonWords(
                found,
                pollinating,
                noMales,
                kitchen,
                carried,
                work.males,
                () => workWords(state, work),
                comeBack,
                stop.again,
              )}
              look="main"
              busy={busy}
              disabled={
                found === null || (pollinating && ((work.males === 0 && !kitchen) || carried !== null))
              }
              onPress={() => void save(...stopDrafts(stop, answers, work))}
            />
          </>
        )
      }
    >
      <ClosureQuestion
        stop={stop}
        found={found}
        onFound={(result) => {
          onPin();
          change({ found: result, kitchen: false });
        }}
      />
      {problem ? <Notice tone="brick" text={problem} /> : null}
      {stop.again ? (
        <Notice
          tone="pollen"
          text="Worked yesterday. Only if it is still fresh is it worked once more: it stays one flower, worked twice."
        />
      ) : null}
      {stop.again && found === 'whole' ? (
        <Button
          title="No longer fresh: leave it"
          disabled={busy}
          onPress={() => void save({ kind: 'closureChecked', flower: flower.id, result: 'whole' })}
        />
      ) : null}
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
      {spoiled ? (
        <SpoiledTiles kitchen={answers.kitchen} onKitchen={(kitchen) => change({ kitchen })} />
      ) : null}
      {pollinating ? (
        <StopWorkTiles
          growing={growing}
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
                crop={crop}
                onSelf={() => change({ selfOnce: true })}
                onKitchen={() => change({ kitchen: true })}
                onLeave={() => void save(...withoutMaleDrafts(stop))}
              />
            ) : null
          }
        />
      ) : null}
      {wide ? null : (
        <NextStops round={round} dawn={dawn} numbered={numbered} current={flower.id} onGo={onGo} />
      )}
      <UndoLine />
    </Page>
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
