import { useMemo } from 'react';
import { View } from 'react-native';
import { systemAdvice } from '@core/crops';
import { CHECK_RESULTS, type CheckResult, type Draft, type LossCause, type Purpose } from '@core/ledger';
import { plantName } from '@core/patch';
import {
  fathersFor,
  fatherVarietyOf,
  isWhole,
  lastTool,
  nextMarkIn,
  suggestFathers,
  lobesOf,
  windowNow,
  type PollinationRound,
  type Stop,
} from '@core/rounds';
import { gardenDay, openWindow } from '@core/bloom';
import { closureAtDawn, DEMO_SEED } from '@core/simulation';
import { clockText } from '@core/time';
import type { DawnPlan } from '@/data/dawnPlan';
import { useDraft } from '@/data/draft';
import { useGarden } from '@/data/garden';
import { useRecording } from '@/data/useRecording';
import { Key, Notice, Tile, Tiles } from '../controls';
import { flowerAppearance } from '../drawings/appearance';
import { FlowerDrawing } from '../drawings/FlowerDrawing';
import { LeaveKey } from '../LeaveKey';
import { Page } from '../Page';
import { Txt, useIsWide } from '../theme';
import { UndoLine } from '../UndoLine';
import { useKeys } from '../useKeys';
import { checkWords, closureWords, flowerPlace } from '../words';
import { BeesBadge } from './BeesBadge';
import { DeadlineLine } from './DeadlineLine';
import { NextStops } from './NextStops';
import { NO_ANSWERS, StopWork, type Answers } from './StopWork';
import { WhereItIs } from './WhereItIs';

const GONE_CAUSES: readonly { cause: LossCause; words: string }[] = [
  { cause: 'knocked-off', words: 'knocked off' },
  { cause: 'pest', words: 'eaten' },
  { cause: 'weather', words: 'weather' },
  { cause: 'unknown', words: "can't tell" },
];

/** Seconds a flower stands open when all goes well [M]. */
const QUICK_S = 40;

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
  const { flower, growing } = stop;
  const { crop, variety, plant, bed } = growing;
  const wide = useIsWide();
  const { value: answers, change, clear } = useDraft<Answers>(`stop/${space}/${flower.id}`, NO_ANSWERS);
  const schools = patch?.schools;
  const kitchenRound = growing.stand.reason === 'fruit';
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
    return matched.size > 0 ? matched : suggestFathers(offers, Number(schools?.males ?? 2));
  }, [match, flower.id, state, offers, schools]);
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
  const whole = found !== null && isWhole(found) && found !== 'not-open';
  // With a bee inside the flower is no longer provably pure, however whole it was.
  const purpose: Purpose = whole && !kitchenRound && !answers.beeIn ? 'seed' : 'kitchen';
  const pollinating =
    whole || (found !== null && ['torn', 'holed', 'insect'].includes(found) && answers.purpose === 'kitchen');
  const males = answers.males ?? Object.fromEntries(suggested);
  const tool = answers.tool ?? lastTool(state, crop);
  const wanted = fatherVarietyOf(growing);
  const carried =
    dawn?.hands && dawn.hands !== wanted && !answers.clean
      ? (state.varieties.get(dawn.hands)?.name ?? null)
      : null;
  const wornClosure = flower.shuttings[flower.shuttings.length - 1]?.closure ?? 'tape';
  // An ear is covered with the tassel's own bag.
  const shutBefore = wornClosure === 'shoot-bag' ? 'tassel-bag' : wornClosure;
  const shutAgain =
    purpose === 'kitchen' && answers.shutAgain === null ? 'open' : (answers.shutAgain ?? shutBefore);
  const fathers = offers.flatMap(({ growing: father, free }) => {
    const count = males[father.plant.id] ?? 0;
    return count > 0 ? [{ plant: father.plant.id, males: count, flowers: free.slice(0, count) }] : [];
  });
  const total = fathers.reduce((sum, father) => sum + father.males, 0);
  const markNow = schools?.marking !== 'when-growing' && purpose === 'seed';

  const { busy, problem, save: saved } = useRecording();
  const save = async (...drafts: Draft[]) => {
    if (!(await saved(...drafts))) return;
    clear();
    onGo(null);
  };
  const pollinate = () =>
    save(
      { kind: 'closureChecked', flower: flower.id, result: found as CheckResult },
      ...fathers.flatMap(({ flowers }) =>
        flowers
          .filter((id) => state.flowers.get(id)?.checks.length === 0)
          .map((id): Draft => ({ kind: 'closureChecked', flower: id, result: 'whole' })),
      ),
      {
        kind: 'pollinated',
        flower: flower.id,
        fathers,
        tool,
        shutAgain: shutAgain === 'open' ? null : shutAgain,
        purpose,
        ...(lobesOf(crop) === null ? {} : { lobes: answers.lobes ?? (lobesOf(crop) as number) }),
        openS: answers.openS ?? QUICK_S,
        ...(answers.beeIn ? { beeIn: true } : {}),
      },
      ...(markNow ? [{ kind: 'marked' as const, flower: flower.id, mark }] : []),
    );
  const window = dawn ? dawn.morning.window(crop) : openWindow(crop, gardenDay(place, round.date));
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
              : total === 0
                ? 'Choose the males first'
                : 'Pollinated — next'
          : found === null
            ? 'First look at the closure'
            : 'Skip it';
  const main = () => {
    if (found === 'not-open') return save({ kind: 'closureChecked', flower: flower.id, result: 'not-open' });
    if (pollinating) return pollinate();
    if (found !== null) return save({ kind: 'closureChecked', flower: flower.id, result: found });
    return Promise.resolve();
  };
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
                onPress={() =>
                  void save(
                    { kind: 'closureChecked', flower: flower.id, result: 'gone' },
                    { kind: 'lost', flower: flower.id, cause },
                  )
                }
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
              disabled={found === null || (pollinating && (total === 0 || carried !== null))}
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
                  change({ found: result, purpose: 'seed' });
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
      {found !== null && ['torn', 'holed', 'insect'].includes(found) ? (
        <Tiles question="Insects may have been in it: not for seed. What now?">
          <Tile
            title="Skip it"
            note="leave it to the bees"
            chosen={answers.purpose === 'seed'}
            onPress={() => change({ purpose: 'seed' })}
          />
          <Tile
            title="For the kitchen"
            note="work it, no mark"
            chosen={answers.purpose === 'kitchen'}
            onPress={() => change({ purpose: 'kitchen' })}
          />
        </Tiles>
      ) : null}
      {pollinating ? (
        <StopWork
          growing={growing}
          answers={answers}
          onChange={change}
          offers={offers}
          males={males}
          tool={tool}
          purpose={purpose}
          worn={wornClosure}
          shutBefore={shutBefore}
          shutAgain={shutAgain}
          mark={markNow ? mark : null}
          carried={carried}
          selfing={fathers.some((father) => father.plant === plant.id)}
        />
      ) : null}
      {wide ? null : (
        <NextStops round={round} dawn={dawn} numbered={numbered} current={flower.id} onGo={onGo} />
      )}
      <UndoLine />
    </Page>
  );
}
