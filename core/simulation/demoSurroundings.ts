import type { PatchId } from '../ids';
import type { Corner, Draft } from '../ledger';
import { atLocalTime, type LocalDate } from '../time';
import type { Diary } from './growers';

type Next = Extract<Draft, { kind: 'neighbourNoted' }>;

/** What lies around the demo patch: a hedge, a shed, the river, a tunnel over three beds, and what grows next door. All invented. */
export function noteSurroundings(diary: Diary, patch: PatchId, start: LocalDate): void {
  let time = atLocalTime(start, 18, 0, diary.place.zone);
  const write = (draft: Draft) => diary.write((time += 60_000), 'Oda', draft);
  for (const { id, name } of diary.state.beds.values())
    if (name.startsWith('Tunnel'))
      write({
        kind: 'shelterSet',
        bed: id,
        shelter: 'tunnel',
        insects: 'in',
        lampHours: null,
        from: start,
        to: null,
      });
  const obstacle = (what: 'hedge' | 'building' | 'water', corners: readonly Corner[], area: boolean) =>
    write({ kind: 'obstacleNoted', obstacle: diary.subject('obstacle', time), patch, what, corners, area });
  obstacle(
    'hedge',
    [
      [-3, -3],
      [9, -3.6],
      [19, -2.4],
    ],
    false,
  );
  obstacle(
    'building',
    [
      [17.5, 9.5],
      [21, 9.5],
      [21, 13],
      [17.5, 13],
    ],
    true,
  );
  obstacle(
    'water',
    [
      [-6, 20],
      [6, 18.5],
      [24, 21],
      [24, 24],
      [6, 22],
      [-6, 23.5],
    ],
    true,
  );
  const nextDoor = (
    said: Pick<Next, 'crop' | 'variety' | 'plants' | 'distanceM' | 'bearingDeg' | 'knownBy'> & Partial<Next>,
  ) =>
    write({
      kind: 'neighbourNoted',
      neighbour: diary.subject('neighbour', time),
      patch,
      between: [],
      besides: [],
      bloomFrom: null,
      bloomTo: null,
      ...said,
    });
  nextDoor({
    crop: 'squash-maxima',
    variety: null,
    plants: 3,
    distanceM: 140,
    bearingDeg: 330,
    between: ['forage'],
    knownBy: 'seen',
  });
  nextDoor({ crop: 'squash-pepo', variety: null, plants: 6, distanceM: 28, bearingDeg: 90, knownBy: 'told' });
  nextDoor({
    crop: 'corn',
    variety: 'field corn',
    plants: 4000,
    distanceM: 420,
    bearingDeg: 255,
    besides: ['upwind'],
    bloomFrom: '2026-07-12',
    bloomTo: '2026-07-26',
    knownBy: 'seen',
  });
  nextDoor({
    crop: 'melon',
    variety: null,
    plants: null,
    distanceM: 650,
    bearingDeg: null,
    knownBy: 'guessed',
  });
}
