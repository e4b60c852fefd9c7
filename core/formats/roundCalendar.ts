import { bloomDayOf } from '../bloom';
import { cropOf } from '../crops';
import { cornDay } from '../corn';
import { crossDay } from '../crosses';
import { nextRounds, looksDue, type Round } from '../rounds';
import { fateOf, workedOn } from '../fruitset';
import type { Place, State } from '../ledger';
import { mainPatch, growing } from '../patch';
import { addDays, localDateOf, toInstant, type LocalDate } from '../time';
import { DateTime } from 'luxon';
import type { CalendarEntry } from './calendar';

/** How many days of looks are written out. */
const LOOK_DAYS = 14;
const ALARM_MIN = { walk: 30, dawn: 45, dusk: 30 } as const;

const roundWords = { walk: 'Evening walk', dawn: 'Dawn round', dusk: 'Dusk round' } as const;

/**
 * The rounds that come next and the looks of the next two weeks, as calendar entries. Their uids hang on patch, kind and
 * date alone, so that a calendar which takes the file again changes what it has and adds nothing; `sequence` counts minutes.
 */
export function roundCalendar(
  state: State,
  place: Place,
  now: number,
  rounds: readonly Round[] = nextRounds(state, place, now),
): CalendarEntry[] {
  const patch = mainPatch(state);
  const home = (patch?.id ?? 'patch').replace(/[^a-z0-9]/gi, '').toLowerCase();
  const sequence = Math.max(0, Math.floor(now / 60_000) - 29_000_000);
  const base = { stamp: toInstant(now), timeZone: place.zone, location: patch?.name ?? place.name, sequence };
  const local = (at: number) => DateTime.fromMillis(at, { zone: place.zone }).toFormat("yyyy-MM-dd'T'HH:mm");
  const entries = rounds.map((round): CalendarEntry => {
    const walk = round.kind === 'walk';
    const from = walk ? Math.max(round.startsAt, Math.min(round.startBy, round.endsAt)) : round.startBy;
    return {
      ...base,
      uid: `${round.kind}-${round.date}-${home}@steady-trowel`,
      start: local(from),
      minutes: Math.max(10, round.minutes),
      summary: walk
        ? `${roundWords.walk}: look over ${round.plants.length - round.walked.length} plants`
        : `${roundWords[round.kind]}: ${round.toDo.length} shut females`,
      description: walk
        ? 'Shut what opens tomorrow: full, coloured, still closed. Tape or bags, and a light.'
        : `Males on ${round.fatherPlants} plants. One variety at a time, clean hands and brush between. Over before the insects.`,
      categories: ['pollination', round.kind],
      alarmsMin: [ALARM_MIN[round.kind]],
    };
  });
  for (const { kind, at, minutes, summary, description } of otherWork(state, place, now))
    entries.push({
      ...base,
      uid: `${kind}-${localDateOf(at, place.zone)}-${home}@steady-trowel`,
      start: local(at),
      minutes,
      summary,
      description,
      categories: ['pollination', kind],
      alarmsMin: [ALARM_MIN.dawn],
    });
  for (const [date, count] of looksByDay(state, place, now))
    entries.push({
      ...base,
      uid: `looks-${date}-${home}@steady-trowel`,
      start: date,
      allDay: true,
      summary: count === 1 ? 'Look at 1 fruit' : `Look at ${count} fruits`,
      description: 'Growing, the same, yellow or gone: the look that tells set from drop.',
      categories: ['pollination', 'looks'],
    });
  return entries;
}

/** This morning's ear swaps and the next visit to the crosses, where they are still to come. */
function otherWork(state: State, place: Place, now: number) {
  const today = localDateOf(now, place.zone);
  const work: { kind: string; at: number; minutes: number; summary: string; description: string }[] = [];
  const { pairs } = cornDay(state, place, today);
  const dry = bloomDayOf(state, place, today).window(cropOf('corn')).opens;
  if (pairs.length > 0 && dry > now)
    work.push({
      kind: 'corn',
      at: dry,
      minutes: Math.max(10, pairs.length * 4),
      summary: pairs.length === 1 ? 'Corn: pour 1 tassel bag' : `Corn: pour ${pairs.length} tassel bags`,
      description: 'When the dew is off and before the breeze: tap, pour, cover, in one movement.',
    });
  const due = crossDay(state, place, today).flatMap(({ mothers }) =>
    mothers.flatMap(({ nextAt }) => nextAt ?? []),
  );
  const next = due.length === 0 ? null : Math.min(...due);
  if (next !== null && next > now)
    work.push({
      kind: 'crosses',
      at: next,
      minutes: 15,
      summary: 'Crosses: pollen on again',
      description: 'Clean dry brush, pollen of the bagged fathers, bag on again.',
    });
  return work;
}

function looksByDay(state: State, place: Place, now: number): Map<LocalDate, number> {
  const days = new Map<LocalDate, number>();
  const today = localDateOf(now, place.zone);
  const owed = looksDue(state, place.zone, today);
  if (owed.length > 0) days.set(today, owed.length);
  const last = addDays(today, LOOK_DAYS);
  for (const flower of state.flowers.values()) {
    const found = flower.pollinations.length > 0 ? growing(state, flower.plant) : null;
    const day0 = found && workedOn(flower, place.zone);
    if (!found || !day0 || fateOf(flower, found.crop, place.zone, today) !== 'waiting') continue;
    for (const { day } of found.crop.looks.value) {
      const date = addDays(day0, day);
      if (date > today && date <= last) days.set(date, (days.get(date) ?? 0) + 1);
    }
  }
  return new Map([...days].sort());
}
