import { readNeighbour, typedNeighbour, type TypedNeighbour } from './neighbourForm';

const TODAY = '2026-07-10';
const good: TypedNeighbour = {
  ...typedNeighbour(null),
  crop: 'squash-maxima',
  distance: ' 120,5 ',
  knownBy: 'told',
};

test('what is left out is not known; the distance is read with point or comma', () => {
  expect(readNeighbour(good, TODAY)).toEqual({
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
  ['from', { from: 'July' }, /year-month-day/],
  ['to', { from: '2026-07-10', to: '2026-07-01' }, /before the first day/],
] as const)('%s: %p is answered at its field', (field, change, wanted) => {
  const read = readNeighbour({ ...good, ...change }, TODAY);
  expect('errors' in read ? read.errors[field] : '').toMatch(wanted);
});

test('a species is kept for peppers alone', () => {
  const said = (crop: 'pepper' | 'melon') => {
    const read = readNeighbour({ ...good, crop, species: 'chinense' }, TODAY);
    return 'draft' in read ? read.draft.species : null;
  };
  expect([said('pepper'), said('melon')]).toEqual(['chinense', undefined]);
});
