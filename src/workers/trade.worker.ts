import { expose } from 'comlink';
import { fromGeoJson, fromJson, type ReadFile, type ReadMap } from '@core/formats';
import { idMaker } from '@core/ids';
import { fold, type AnyEvent, type LedgerEvent, type Place } from '@core/ledger';
import { foresight, type Foresight, type ForesightInput } from '@core/goals';
import { planInPieces, type PlanRequest, type RoundPlan } from '@core/planning';
import { demoLog, demoMeanwhile } from '@core/simulation';
import { study, studyAhead, weekOf, type Study, type StudyQuestion, type Week } from '@core/study';
import type { LocalDate } from '@core/time';
import { Latest } from './latest';
import { stateOf } from './log';
import { Quiet } from './quiet';

const plans = new Latest();
const quiet = new Quiet();

/** The heavy work, off the interface's thread. Stopped by ending the worker. */
const trade = {
  makeDemo: (onProgress: (share: number) => void): LedgerEvent[] => demoLog(undefined, onProgress),
  demoMeanwhile: (events: readonly AnyEvent[], from: number, to: number): LedgerEvent[] =>
    demoMeanwhile(fold(events), from, to),
  /** `null` when the same asker asked again, or dropped it, before it was done. */
  plan: (asker: string, request: PlanRequest): Promise<RoundPlan | null> =>
    plans.run(asker, planInPieces(request)),
  dropPlan: (asker: string): void => plans.drop(asker),
  foresight: async (
    box: string,
    recent: readonly AnyEvent[],
    count: number,
    input: Omit<ForesightInput, 'state'>,
  ): Promise<{ readonly count: number; readonly answer: Foresight }> => {
    quiet.interrupt();
    const state = await stateOf(box, recent, count);
    const answer = foresight({ ...input, state });
    void quiet.work(studyAhead(state, input.place, input.today));
    return { count: state.count, answer };
  },
  study: async (
    box: string,
    recent: readonly AnyEvent[],
    count: number,
    place: Place,
    question: StudyQuestion,
  ): Promise<{ readonly count: number; readonly answer: Study }> => {
    quiet.interrupt();
    const state = await stateOf(box, recent, count);
    return { count: state.count, answer: study(state, place, question) };
  },
  week: async (
    box: string,
    recent: readonly AnyEvent[],
    count: number,
    place: Place,
    today: LocalDate,
  ): Promise<{ readonly count: number; readonly answer: Week }> => {
    quiet.interrupt();
    const state = await stateOf(box, recent, count);
    return { count: state.count, answer: weekOf(state, place, today) };
  },
  /** What a map file says that the record does not, as new entries. */
  readMap: async (
    box: string,
    recent: readonly AnyEvent[],
    count: number,
    text: string,
    now: number,
  ): Promise<{ readonly count: number; readonly answer: ReadMap }> => {
    quiet.interrupt();
    const state = await stateOf(box, recent, count);
    const { subject } = idMaker(Math.random);
    return { count: state.count, answer: fromGeoJson(text, state, (kind) => subject(kind, now)) };
  },
  readFile: (text: string, onProgress: (share: number) => void): ReadFile => fromJson(text, onProgress),
};

export type Trade = typeof trade;

expose(trade);
