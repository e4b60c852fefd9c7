import type { PatchId } from '../ids';
import type { Corner, Draft } from '../ledger';
import { atLocalTime, type LocalDate } from '../time';
import type { Diary } from './growers';

type Next = Omit<Extract<Draft, { kind: 'neighbourNoted' }>, 'kind' | 'neighbour' | 'patch'>;
type Standing = Pick<Extract<Draft, { kind: 'obstacleNoted' }>, 'what' | 'area'> & {
  readonly corners: readonly Corner[];
};

const OBSTACLES: readonly Standing[] = [
  {
    what: 'hedge',
    area: false,
    corners: [
      [-3, -3],
      [9, -3.6],
      [19, -2.4],
    ],
  },
  {
    what: 'building',
    area: true,
    corners: [
      [17.5, 9.5],
      [21, 9.5],
      [21, 13],
      [17.5, 13],
    ],
  },
  {
    what: 'water',
    area: true,
    corners: [
      [-6, 20],
      [6, 18.5],
      [24, 21],
      [24, 24],
      [6, 22],
      [-6, 23.5],
    ],
  },
];

const UNSAID = {
  variety: null,
  plants: null,
  bearingDeg: null,
  between: [],
  besides: [],
  bloomFrom: null,
  bloomTo: null,
} as const;
const NEXT_DOOR: readonly Next[] = [
  {
    ...UNSAID,
    crop: 'squash-maxima',
    plants: 3,
    distanceM: 140,
    bearingDeg: 330,
    between: ['forage'],
    knownBy: 'seen',
  },
  { ...UNSAID, crop: 'squash-pepo', plants: 6, distanceM: 28, bearingDeg: 90, knownBy: 'told' },
  {
    ...UNSAID,
    crop: 'corn',
    variety: 'Field corn',
    plants: 4000,
    distanceM: 420,
    bearingDeg: 255,
    besides: ['upwind'],
    bloomFrom: '2026-07-12',
    bloomTo: '2026-07-26',
    knownBy: 'seen',
  },
  { ...UNSAID, crop: 'melon', distanceM: 650, knownBy: 'guessed' },
];

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
  for (const obstacle of OBSTACLES)
    write({ kind: 'obstacleNoted', obstacle: diary.subject('obstacle', time), patch, ...obstacle });
  for (const next of NEXT_DOOR)
    write({ kind: 'neighbourNoted', neighbour: diary.subject('neighbour', time), patch, ...next });
}
