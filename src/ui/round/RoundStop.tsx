import { useMemo } from 'react';
import { systemAdvice } from '@core/crops';
import type { Draft } from '@core/ledger';
import { fatherVarietyOf, plantName } from '@core/patch';
import { lastTool, saidTool } from '@core/fruitset';
import { malesFor } from '@core/goals';
import {
  fathersFor,
  goneDrafts,
  matchedFathers,
  shutAgainWith,
  stopDrafts,
  stopWork,
  suggestFathers,
  type PollinationRound,
  type Stop,
  whyNoFather,
  withoutMaleDrafts,
} from '@core/rounds';
import { bloomDayOf } from '@core/bloom';
import { closureAtDawn, DEMO_SEED } from '@core/simulation';
import type { DawnPlan } from '@/data/round/dawnPlan';
import { useDraft } from '@/data/device/draft';
import { clockText } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { useNextMark } from '@/data/garden/nextMark';
import { useRecording } from '@/data/garden/useRecording';
import { useWeather } from '@/data/weather/weather';
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
import { NOTHING_SAID, StopWorkTiles, type Answers } from './StopWork';
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
  const { state, place, patch, demo, space, prefs, now } = useGarden();
  const { weatherOf } = useWeather();
  const { flower, growing } = stop;
  const { crop, variety, bed } = growing;
  const wide = useIsWide();
  const { value: answers, change, clear } = useDraft<Answers>(`stop-3/${space}/${flower.id}`, NOTHING_SAID);
  const schools = patch?.schools;
  const selfing = answers.selfOnce ? 'allowed' : (schools?.selfing ?? 'others-first');
  const offers = useMemo(
    () => fathersFor(state, stop, round.date, place.zone, selfing),
    [state, stop, round.date, place.zone, selfing],
  );
  const match = dawn?.question.match;
  const suggested = useMemo(() => {
    const matched = matchedFathers(state, match?.pairs ?? [], flower.id);
    return matched.size > 0
      ? matched
      : suggestFathers(offers, malesFor(state, crop, growing.stand.goal).value);
  }, [match, flower.id, state, offers, crop, growing.stand.goal]);
  const mark = useNextMark();

  const index = numbered.indexOf(flower.id);
  const before = numbered[index - 1];
  const after = numbered[index + 1];
  useShortcuts(
    useMemo(
      () => ({ ArrowLeft: before ? () => onGo(before) : null, ArrowRight: after ? () => onGo(after) : null }),
      [before, after, onGo],
    ),
  );
  const { found } = answers;
  const work = stopWork(stop, answers, {
    offers,
    suggested,
    saidTool: saidTool(state, crop),
    mark: schools?.marking === 'when-growing' ? null : mark,
  });
  const { pollinating, spoiled } = work;
  const males = Object.fromEntries(work.fathers.map(({ plant: id, males: count }) => [id, count]));
  const wanted = fatherVarietyOf(growing);
  const carried =
    dawn?.hands && dawn.hands !== wanted && !answers.clean
      ? (state.varieties.get(dawn.hands)?.name ?? null)
      : null;
  const shutBefore = shutAgainWith(stop);

  const { busy, problem, save: saved } = useRecording();
  const save = async (...drafts: Draft[]) => {
    if (!(await saved(...drafts))) return;
    clear();
    onGo(null);
  };
  const bloomDay = dawn?.morning ?? bloomDayOf(state, place, round.date, weatherOf);
  const window = bloomDay.window(crop);
  const cold = bloomDay.pollen(crop);
  // When it should be open; one that is late is worth another look in half an hour.
  const comeBack = now < window.opens ? window.opens : Math.max(cold?.from ?? 0, now + 30 * 60_000);
  const noMales = offers.every(({ free }) => free.length === 0);
  const kitchen = work.purpose === 'kitchen';
  const noFather = noMales && !kitchen ? whyNoFather(state, stop, round.date, place.zone, selfing) : null;
  const hermaphrodite = systemAdvice(
    variety.system ?? crop.sexSystem.value,
    flower.sex,
    growing.stand.reason,
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
                clockText(comeBack, place.zone, prefs.clock === '12'),
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
      {found === null ? <WhereItIs flower={flower} growing={growing} /> : null}
      {found === null && hermaphrodite ? <Notice tone="pollen" text={hermaphrodite} /> : null}
      <HoursNotice crop={crop} window={window} asked={found === null} />
      {cold && (found === null || found === 'not-open') ? <ColdNotice crop={crop} cold={cold} /> : null}
      {demo ? (
        <Txt
          size="label"
          tone="muted"
        >{`In the demo patch you see: the ${closureWords[shutBefore]} is ${checkWords[closureAtDawn(DEMO_SEED, flower, growing, round.date)]}.`}</Txt>
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
          males={males}
          tool={work.tool ?? lastTool(state, crop)}
          work={work}
          worn={flower.shuttings[flower.shuttings.length - 1]?.closure ?? 'tape'}
          shutBefore={shutBefore}
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
