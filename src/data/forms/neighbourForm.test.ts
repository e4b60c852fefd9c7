import type { Neighbour } from '@core/ledger';
import { readNeighbour, typedNeighbour, type TypedNeighbour } from './neighbourForm';

const good: TypedNeighbour = {
  ...typedNeighbour(null),
  crop: 'squash-maxima',
  distance: ' 120,5 ',
  knownBy: 'told',
};

test('what is left out is not known; the distance is read with point or comma', () => {
  expect(readNeighbour(good)).toEqual({
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
  const read = readNeighbour({ ...good, ...change });
  expect('errors' in read ? read.errors[field] : '').toMatch(wanted);
});

test('a species is kept for peppers alone', () => {
  const said = (crop: 'pepper' | 'melon') => {
    const read = readNeighbour({ ...good, crop, species: 'chinense' });
    return 'draft' in read ? read.draft.species : null;
  };
  expect([said('pepper'), said('melon')]).toEqual(['chinense', undefined]);
});

test('what was put on the plan stays there until another distance or direction is said; spray days are kept', () => {
  const before = {
    ...({} as Neighbour),
    ...{ distanceM: 120.5, bearingDeg: null, place: [7, -120] as const, sprayed: ['2026-06-30'] },
  };
  const read = (change: Partial<TypedNeighbour>) => {
    const found = readNeighbour({ ...good, ...change }, before);
    return 'draft' in found ? [found.draft.place, found.draft.sprayed] : found.errors;
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
