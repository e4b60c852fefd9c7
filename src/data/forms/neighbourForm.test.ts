import type { Neighbour } from '@core/ledger';
import {
  neighbourDraft,
  neighbourForm,
  typedNeighbour,
  type ReadNeighbour,
  type TypedNeighbour,
} from './neighbourForm';
import { readTyped } from './typed';

const METRES = { name: 'metres', metres: 1 };
/** The entry of a form, or what is wrong with it. */
function draftOf(typed: TypedNeighbour, before: Neighbour | null = null, unit = METRES) {
  const read = readTyped<ReadNeighbour>(neighbourForm(before, unit), typed);
  return read.ok ? { draft: neighbourDraft(read.value, before) } : { wrong: read.wrong };
}

const good: TypedNeighbour = {
  ...typedNeighbour(null),
  crop: 'squash-maxima',
  distance: ' 120,5 ',
  knownBy: 'told',
};

test('what is left out is not known; the distance is read with point or comma', () => {
  expect(draftOf(good)).toEqual({
    draft: {
      kind: 'neighbourNoted',
      crop: 'squash-maxima',
      variety: null,
      plants: null,
      distanceM: 120.5,
      bearingDeg: null,
      between: [],
      besides: [],
      bloomFrom: null,
      bloomTo: null,
      knownBy: 'told',
    },
  });
});

test.each([
  ['crop', { crop: null }, /what grows there/],
  ['knownBy', { knownBy: null }, /how you know/],
  ['distance', { distance: '' }, /distance must be a number/],
  ['distance', { distance: 'over the fence' }, /distance must be a number/],
  ['plants', { plants: '2.5' }, /whole number/],
  ['to', { from: '2026-07-10', to: '2026-07-01' }, /before the first day/],
] as const)('%s: %p is answered at its field', (field, change, wanted) => {
  expect(draftOf({ ...good, ...change }).wrong?.[field]).toMatch(wanted);
});

test('a species is kept for peppers alone', () => {
  const said = (crop: 'pepper' | 'melon') => draftOf({ ...good, crop, species: 'chinense' }).draft?.species;
  expect([said('pepper'), said('melon')]).toEqual(['chinense', undefined]);
});

test('what was put on the plan stays there until another distance or direction is said; spray days are kept', () => {
  const before = {
    ...({} as Neighbour),
    ...{ distanceM: 120.5, bearingDeg: null, place: [7, -120] as const, sprayed: ['2026-06-30'] },
  };
  const read = (change: Partial<TypedNeighbour>) => {
    const { draft, wrong } = draftOf({ ...good, ...change }, before);
    return draft ? [draft.place, draft.sprayed] : wrong;
  };
  expect(read({ sprayed: ['2026-06-30', '2026-07-02'] })).toEqual([
    [7, -120],
    ['2026-06-30', '2026-07-02'],
  ]);
  // Picked, and not put to the others before it was kept.
  expect(read({ sprayed: ['2026-07-02'], sprayedToo: '2026-06-30' })).toEqual([
    [7, -120],
    ['2026-06-30', '2026-07-02'],
  ]);
  expect(read({ distance: '80' })).toEqual([undefined, undefined]);
  expect(read({ bearingDeg: 90 })).toEqual([undefined, undefined]);
});

test('a distance typed in feet stays as it was said until another is typed', () => {
  const before: Neighbour = { ...({} as Neighbour), distanceM: 120.5, bearingDeg: null };
  const feet = { name: 'feet', metres: 0.3048 };
  const shown = typedNeighbour(before, feet.metres).distance;
  const at = (distance: string) => draftOf({ ...good, distance }, before, feet).draft?.distanceM;
  expect([shown, at(shown), at('400')]).toEqual(['395.3', 120.5, 121.92]);
});
