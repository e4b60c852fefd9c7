import { allTrials, fateOf, countSet } from '../fruitset';
import { fold, validateEvent } from '../ledger';
import { growing, walkOrder } from '../patch';
import { pollinationRound } from '../rounds';
import {
  budsInSight,
  closureAtDawn,
  DEMO_PLACE,
  DEMO_TODAY,
  demoLog,
  demoMeanwhile,
  demoStart,
  weatherOn,
} from '.';

const log = demoLog();
const state = fold(log);

test('the same seed gives the same demo, byte for byte; another seed another', () => {
  expect(JSON.stringify(demoLog())).toBe(JSON.stringify(log));
  expect(JSON.stringify(demoLog(2))).not.toBe(JSON.stringify(log));
});

test('nothing in it lies after its clock, and ids and times are in order', () => {
  const now = new Date(demoStart()).toISOString();
  expect(log.every(({ at }) => at < now)).toBe(true);
  expect(new Set(log.map(({ id }) => id)).size).toBe(log.length);
  expect(new Date(demoStart()).toISOString()).toBe('2026-07-14T03:05:00.000Z');
});

test('a round waits, looks are due, and every fate has come up', () => {
  const round = pollinationRound(state, DEMO_PLACE, DEMO_TODAY, 'dawn');
  expect(round?.toDo.length).toBeGreaterThanOrEqual(8);
  const flowers = [...state.flowers.values()];
  const fates = new Set(
    flowers.map((flower) =>
      fateOf(flower, growing(state, flower.plant)?.crop as never, DEMO_PLACE.zone, DEMO_TODAY),
    ),
  );
  for (const fate of ['waiting', 'set', 'dropped'] as const) expect(fates).toContain(fate);
  const all = countSet(allTrials(state, DEMO_PLACE.zone), DEMO_TODAY);
  // Neither a patch where everything takes nor one where nothing does would teach anything.
  expect(all.share).toBeGreaterThan(0.4);
  expect(all.share).toBeLessThan(0.85);
});

test('males outnumber females by far, and come first', () => {
  for (const each of walkOrder(state)) {
    const sexes = Array.from({ length: 60 }, (_, i) =>
      budsInSight(
        each,
        `2026-0${i < 15 ? 6 : i < 46 ? 7 : 8}-${String(i < 15 ? i + 16 : i < 46 ? i - 14 : i - 45).padStart(2, '0')}`,
      ),
    ).flat();
    const first = sexes[0];
    expect(first?.sex).toBe('male');
  }
});

describe('moving the clock', () => {
  const evening = demoStart() + 16 * 3_600_000;
  test('the others finish the round and walk; what they write is sound and within the time passed', () => {
    const meanwhile = demoMeanwhile(state, demoStart(), evening);
    expect(meanwhile.every((event) => validateEvent(event).ok)).toBe(true);
    expect(meanwhile.every(({ at }) => Date.parse(at) > demoStart() && Date.parse(at) <= evening)).toBe(true);
    expect(meanwhile.some(({ kind }) => kind === 'pollinated')).toBe(true);
    expect(demoMeanwhile(state, demoStart(), evening)).toEqual(meanwhile);
    const later = fold([...log, ...meanwhile]);
    expect(
      pollinationRound(later, DEMO_PLACE, DEMO_TODAY, 'dawn')?.toDo.filter(
        ({ state: how }) => how === 'to-do',
      ).length,
    ).toBeLessThanOrEqual(3);
  });
  test('no time passed, nothing written; a patch without a place, nothing either', () => {
    expect(demoMeanwhile(state, demoStart(), demoStart())).toEqual([]);
    expect(demoMeanwhile(fold([]), demoStart(), evening)).toEqual([]);
  });
});

test('closures hold more often than not, and worse in rain', () => {
  const stops = pollinationRound(state, DEMO_PLACE, DEMO_TODAY, 'dawn')?.stops ?? [];
  const whole = (date: string) =>
    stops.filter(({ flower, growing: at }) =>
      ['whole', 'not-open'].includes(closureAtDawn(3, flower, at, date)),
    ).length;
  expect(whole(DEMO_TODAY)).toBeGreaterThan(stops.length / 2);
  expect(weatherOn(3, DEMO_TODAY)).toEqual(weatherOn(3, DEMO_TODAY));
});
