import ICAL from 'ical.js';
import { fold } from '../ledger';
import { DEMO_PLACE, demoStart } from '../simulation';
import { demoSeason } from '../testLogs';
import { nextRounds } from '../rounds';
import { TestGarden } from '../testGarden';
import { roundCalendar, toCalendar } from '.';

const demo = fold(demoSeason());
const now = demoStart();
const read = (text: string) =>
  new ICAL.Component(ICAL.parse(text) as never)
    .getAllSubcomponents('vevent')
    .map((each) => new ICAL.Event(each));

test('rounds, swaps, visits and looks: what an independent reader finds is what the round says', () => {
  const events = read(toCalendar(roundCalendar(demo, DEMO_PLACE, now)));
  const dawn = nextRounds(demo, DEMO_PLACE, now).find(({ kind }) => kind === 'dawn');
  const found = events.find(({ summary }) => summary.startsWith('Dawn round'));
  expect(found?.startDate.toJSDate().getTime()).toBe(Math.floor((dawn?.startBy ?? 0) / 60_000) * 60_000);
  expect(found?.component.getAllSubcomponents('valarm')).toHaveLength(1);
  const kinds = events.map(({ uid }) => uid.split('-')[0]);
  expect(new Set(kinds)).toEqual(new Set(['dawn', 'walk', 'corn', 'crosses', 'looks']));
  expect(new Set(events.map(({ uid }) => uid)).size).toBe(events.length);
});

test('taken in again later the uids are the same and the sequence is higher: changed, not doubled', () => {
  const first = roundCalendar(demo, DEMO_PLACE, now);
  const later = roundCalendar(demo, DEMO_PLACE, now + 5 * 60_000);
  const byUid = new Map(first.map((entry) => [entry.uid, entry]));
  const shared = later.filter(({ uid }) => byUid.has(uid));
  expect(shared.length).toBeGreaterThan(2);
  for (const { uid, sequence = 0, stamp } of shared) {
    expect(sequence).toBeGreaterThan(byUid.get(uid)?.sequence ?? Infinity);
    expect(stamp > (byUid.get(uid)?.stamp ?? '')).toBe(true);
  }
});

test('a patch renamed in markup, or with nothing on it, makes a file that reads', () => {
  const garden = new TestGarden();
  expect(read(toCalendar(roundCalendar(garden.state, garden.place, now)))).toEqual([]);
  garden.write(now, { kind: 'patchBegun', patch: garden.patchId, name: 'A;B,\\ <i>\u{1F33B}' });
  garden.plant('squash-maxima', 'Dome', 1);
  const [walk] = read(toCalendar(roundCalendar(garden.state, garden.place, now)));
  expect(walk?.location).toBe([...garden.state.patches.values()][0]?.name);
});
