import { expose } from 'comlink';
import { fromGeoJson, fromJson, type ReadFile, type ReadMap } from '@core/formats';
import { idMaker } from '@core/ids';
import {
  fold,
  judgeBy,
  validateEvent,
  type AnyEvent,
  type LedgerEvent,
  type Place,
  type State,
} from '@core/ledger';
import { yearPurity, type YearPurity } from '@core/purity';
import {
  foresight,
  sumOf,
  type Foresight,
  type ForesightInput,
  type GoalSum,
  type SumInput,
} from '@core/goals';
import { planInPieces, type PlanRequest, type RoundPlan } from '@core/planning';
import { seedOverview, type SeedOverview } from '@core/seed';
import { demoLog, demoMeanwhile } from '@core/simulation';
import { study, studyAhead, weekOf, type Study, type StudyQuestion, type Week } from '@core/study';
import type { LocalDate } from '@core/time';
import { Latest } from './latest';
import { stateOf } from './log';
import { Quiet } from './quiet';

// Here all code is at hand, and what comes in was judged by who sent it.
judgeBy(validateEvent);

const plans = new Latest();
const quiet = new Quiet();

/** An answer from this thread's own reading of the log, with how many events it rests on. */
async function fromLog<T>(
  box: string,
  recent: readonly AnyEvent[],
  count: number,
  answer: (state: State) => T,
): Promise<{ readonly count: number; readonly answer: T }> {
  quiet.interrupt();
  const state = await stateOf(box, recent, count);
  return { count: state.count, answer: answer(state) };
}

/** The heavy work, off the interface's thread. Stopped by ending the worker. */
const trade = {
  makeDemo: (onProgress: (share: number) => void): LedgerEvent[] => demoLog(undefined, onProgress),
  demoMeanwhile: (events: readonly AnyEvent[], from: number, to: number): LedgerEvent[] =>
    demoMeanwhile(fold(events), from, to),
  /** `null` when the same asker asked again, or dropped it, before it was done. */
  plan: (asker: string, request: PlanRequest): Promise<RoundPlan | null> =>
    plans.run(asker, planInPieces(request)),
  dropPlan: (asker: string): void => plans.drop(asker),
  foresight: (
    box: string,
    recent: readonly AnyEvent[],
    count: number,
    input: Omit<ForesightInput, 'state'>,
  ) =>
    fromLog(box, recent, count, (state): Foresight => {
      const answer = foresight({ ...input, state });
      void quiet.work(studyAhead(state, input.place, input.today));
      return answer;
    }),
  goalSum: (box: string, recent: readonly AnyEvent[], count: number, input: Omit<SumInput, 'state'>) =>
    fromLog(box, recent, count, (state): GoalSum | null => sumOf({ ...input, state })),
  study: (box: string, recent: readonly AnyEvent[], count: number, place: Place, question: StudyQuestion) =>
    fromLog(box, recent, count, (state): Study => study(state, place, question)),
  week: (box: string, recent: readonly AnyEvent[], count: number, place: Place, today: LocalDate) =>
    fromLog(box, recent, count, (state): Week => weekOf(state, place, today)),
  /** How pure the fruits of a year are; `null`: of the last one that has any. */
  purity: (box: string, recent: readonly AnyEvent[], count: number, today: LocalDate, year: string | null) =>
    fromLog(box, recent, count, (state): YearPurity => yearPurity(state, today, year)),
  /** Every lot with its standing, and what comes into the next ones. */
  seed: (box: string, recent: readonly AnyEvent[], count: number, today: LocalDate) =>
    fromLog(box, recent, count, (state): SeedOverview => seedOverview(state, today)),
  /** What a map file says that the record does not, as new entries. */
  readMap: (box: string, recent: readonly AnyEvent[], count: number, text: string, now: number) =>
    fromLog(box, recent, count, (state): ReadMap => {
      const { subject } = idMaker(Math.random);
      return fromGeoJson(text, state, (kind) => subject(kind, now));
    }),
  readFile: (text: string, onProgress: (share: number) => void): ReadFile => fromJson(text, onProgress),
};

export type Trade = typeof trade;

expose(trade);
