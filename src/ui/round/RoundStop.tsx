import { useMemo } from 'react';
import { View } from 'react-native';
import { systemAdvice } from '@core/crops';
import { CHECK_RESULTS, type Draft, type LossCause } from '@core/ledger';
import { fatherVarietyOf, plantName } from '@core/patch';
import { lastTool, saidTool } from '@core/fruitset';
import { malesFor } from '@core/goals';
import { nextMarkIn } from '@core/purity';
import {
  fathersFor,
  goneDrafts,
  shutAgainWith,
  stopDrafts,
  stopWork,
  suggestFathers,
  type PollinationRound,
  type Stop,
} from '@core/rounds';
import { morningOf, windowNow } from '@core/bloom';
import { closureAtDawn, DEMO_SEED } from '@core/simulation';
import { clockText } from '@core/time';
import type { DawnPlan } from '@/data/round/dawnPlan';
import { useDraft } from '@/data/device/draft';
import { useGarden } from '@/data/garden/garden';
import { useRecording } from '@/data/garden/useRecording';
import { useWeather } from '@/data/weather/weather';
import { Key, Notice, Tile, Tiles } from '../controls';
import { flowerAppearance } from '../drawings/appearance';
import { FlowerDrawing } from '../drawings/FlowerDrawing';
import { LeaveKey } from '../LeaveKey';
import { Page } from '../Page';
import { Txt, useIsWide } from '../theme';
import { UndoLine } from '../UndoLine';
import { useKeys } from '../useKeys';
import { checkWords, closureWords, flowerPlace, workWords } from '../words';
import { BeesBadge } from './BeesBadge';
import { DeadlineLine } from './DeadlineLine';
import { NextStops } from './NextStops';
import { NOTHING_SAID, StopWorkTiles, type Answers } from './StopWork';
import { WhereItIs } from './WhereItIs';

const GONE_CAUSES: readonly { cause: LossCause; words: string }[] = [
  { cause: 'knocked-off', words: 'knocked off' },
  { cause: 'pest', words: 'eaten' },
  { cause: 'weather', words: 'weather' },
  { cause: 'unknown', words: "can't tell" },
];

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
  const { state, place, now, prefs, patch, demo, space } = useGarden();
  const { weatherOf } = useWeather();
  const { flower, growing } = stop;
  const { crop, variety, bed } = growing;
  const wide = useIsWide();
  const { value: answers, change, clear } = useDraft<Answers>(`stop-2/${space}/${flower.id}`, NOTHING_SAID);
  const schools = patch?.schools;
  const offers = useMemo(
    () => fathersFor(state, stop, round.date, place.zone, schools?.selfing ?? 'others-first'),
    [state, stop, round.date, place.zone, schools],
  );
  const match = dawn?.question.match;
  const suggested = useMemo(() => {
    // The matching of the whole round knows who else needs these males.
    const matched = new Map<string, number>();
    for (const { female, male } of match?.pairs ?? []) {
      const father = female === flower.id ? state.flowers.get(male)?.plant : undefined;
      if (father) matched.set(father, (matched.get(father) ?? 0) + 1);
    }
    return matched.size > 0
      ? matched
      : suggestFathers(offers, malesFor(state, crop, growing.stand.goal).value);
  }, [match, flower.id, state, offers, crop, growing.stand.goal]);
  const mark = useMemo(() => nextMarkIn(state), [state]);

  const index = numbered.indexOf(flower.id);
  const before = numbered[index - 1];
  const after = numbered[index + 1];
  useKeys(
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
  const window = (dawn?.morning ?? morningOf(state, place, round.date, weatherOf)).window(crop);
  const status = windowNow(window, now);
  const title =
    found === 'not-open'
      ? 'Come back to it later'
      : found === 'gone'
        ? 'Gone'
        : pollinating
          ? offers.every(({ free }) => free.length === 0)
            ? 'No male to be had'
            : carried
              ? 'Clean hands and brush first'
              : work.males === 0
                ? 'Choose the males first'
                : workWords(state, work)
          : found === null
            ? 'First look at the closure'
            : 'Skip it';
  const main = () => save(...stopDrafts(stop, answers, work));
  const hermaphrodite = systemAdvice(
    variety.system ?? crop.sexSystem.value,
    flower.sex,
    growing.stand.reason,
  );
  const look = flowerAppearance(flower, crop, place.zone);
  return (
    <Page
      title={plantName(growing)}
      over={`Stop ${index + 1} of ${round.stops.length} · ${bed.name} · ${flowerPlace(flower)}`}
      badge={<BeesBadge round={round} />}
      corner={<LeaveKey onPress={onLeave} />}
      side={
        wide ? (
          <NextStops round={round} dawn={dawn} numbered={numbered} current={flower.id} onGo={onGo} all />
        ) : undefined
      }
      foot={
        found === 'gone' ? (
          <Tiles question="How was it lost?">
            {GONE_CAUSES.map(({ cause, words }) => (
              <Tile
                key={cause}
                title={words}
                chosen={false}
                onPress={() => void save(...goneDrafts(stop, cause))}
              />
            ))}
          </Tiles>
        ) : (
          <>
            <DeadlineLine round={round} dawn={dawn} />
            <Key
              title={title}
              look="main"
              busy={busy}
              disabled={found === null || (pollinating && (work.males === 0 || carried !== null))}
              onPress={() => void main()}
            />
          </>
        )
      }
    >
      <View style={{ flexDirection: 'row', gap: 12, alignItems: 'center' }}>
        <View style={{ width: 112, alignItems: 'center' }}>
          <FlowerDrawing
            {...look}
            closureState={
              found === 'torn'
                ? 'torn'
                : found === 'holed' || found === 'insect'
                  ? 'holed'
                  : (look.closureState ?? 'whole')
            }
            shape={variety.shape}
            crop={crop.id}
            size={150}
          />
        </View>
        <View style={{ flex: 1, gap: 6 }}>
          <Tiles question={`How is the ${closureWords[shutBefore]}?`}>
            {CHECK_RESULTS.map((result) => (
              <Tile
                key={result}
                title={checkWords[result]}
                chosen={found === result}
                onPress={() => {
                  onPin();
                  change({ found: result, kitchen: false });
                }}
                minWidth={92}
              />
            ))}
          </Tiles>
        </View>
      </View>
      {problem ? <Notice tone="brick" text={problem} /> : null}
      {found === null ? <WhereItIs flower={flower} growing={growing} /> : null}
      {found === null && hermaphrodite ? <Notice tone="pollen" text={hermaphrodite} /> : null}
      {status === 'before' ? (
        <Notice
          tone="dusk"
          text={`${crop.plural} open from about ${clockText(window.opens, place.zone, prefs.clock === '12')}. If it is still shut, say "not open" and come back.`}
        />
      ) : null}
      {status === 'over' && found === null ? (
        <Notice
          tone="brick"
          text="By now this flower has most likely closed: one that has shut can't be worked. If it is still open, go on."
        />
      ) : null}
      {demo ? (
        <Txt
          size="label"
          tone="muted"
        >{`In the demo patch you see: the ${closureWords[shutBefore]} is ${checkWords[closureAtDawn(DEMO_SEED, flower, growing, round.date)]}.`}</Txt>
      ) : null}
      {spoiled ? (
        <Tiles question="Insects may have been in it: not for seed. What now?">
          <Tile
            title="Skip it"
            note="leave it to the bees"
            chosen={!answers.kitchen}
            onPress={() => change({ kitchen: false })}
          />
          <Tile
            title="For the kitchen"
            note="work it, no mark"
            chosen={answers.kitchen}
            onPress={() => change({ kitchen: true })}
          />
        </Tiles>
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
        />
      ) : null}
      {wide ? null : (
        <NextStops round={round} dawn={dawn} numbered={numbered} current={flower.id} onGo={onGo} />
      )}
      <UndoLine />
    </Page>
  );
}
