import fc from 'fast-check';
import { distanceVerdict, isolationNeeded, WEIGHTS, type Surroundings } from '.';
import { BESIDES, BETWEEN, PRECIOUS } from '../ledger';
import { CROP_IDS, cropOf, NEIGHBOUR_IDS } from '../crops';

const around: fc.Arbitrary<Surroundings> = fc.record({
  between: fc.subarray([...BETWEEN]),
  besides: fc.subarray([...BESIDES]),
  largeBlock: fc.boolean(),
});
const kind = fc.constantFrom(...CROP_IDS, ...NEIGHBOUR_IDS);
const importance = fc.constantFrom(...PRECIOUS);

// Handbook ranges: US seed-saving guides, from memory.
test.each([
  ['squash-maxima', 245, 800],
  ['cucumber', 245, 800],
  ['corn', 400, 1600],
  ['pepper', 90, 490],
  ['aubergine', 90, 490],
  ['tomato', 3, 15],
  ['lettuce', 3, 6],
] as const)('%s: %d to %d m', (crop, nearM, farM) => {
  expect(isolationNeeded({ crop, importance: 'spare' })).toMatchObject({ nearM, farM, chosenM: nearM });
  expect(isolationNeeded({ crop, importance: 'rare' }).chosenM).toBe(farM);
});

test('whatever is so around, the figure lies in the range, and rarer seed never asks for less', () => {
  fc.assert(
    fc.property(kind, around, (crop, surroundings) => {
      const chosen = PRECIOUS.map((each) => isolationNeeded({ crop, importance: each, surroundings }));
      for (const { nearM, farM, chosenM } of chosen) {
        expect(chosenM).toBeGreaterThanOrEqual(nearM);
        expect(chosenM).toBeLessThanOrEqual(farM);
      }
      const metres = chosen.map(({ chosenM }) => chosenM);
      expect(metres).toEqual([...metres].sort((a, b) => a - b));
    }),
  );
});

test('what is weighed adds up to the figure, and a weight the grower changes counts as changed', () => {
  fc.assert(
    fc.property(importance, around, (each, surroundings) => {
      const { weighed, chosenM } = isolationNeeded({ crop: 'melon', importance: each, surroundings });
      const share = Math.max(
        0,
        Math.min(
          1,
          weighed.reduce((sum, { weight }) => sum + weight, 0),
        ),
      );
      expect(chosenM).toBeCloseTo(245 + share * 555, 9);
    }),
  );
  const weights = { ...WEIGHTS, hedge: -1 };
  expect(
    isolationNeeded({
      crop: 'melon',
      importance: 'rare',
      surroundings: { between: ['hedge'] },
      weights,
    }).chosenM,
  ).toBe(245);
});

test('wind is never set below insects, and a stigma that sticks out takes the larger range', () => {
  fc.assert(
    fc.property(importance, around, (each, surroundings) => {
      const metres = (crop: 'corn' | 'melon') =>
        isolationNeeded({ crop, importance: each, surroundings: { ...surroundings, between: [] } });
      expect(metres('corn').nearM).toBeGreaterThanOrEqual(metres('melon').nearM);
      expect(metres('corn').farM).toBeGreaterThanOrEqual(metres('melon').farM);
    }),
  );
  const out = isolationNeeded({ crop: 'tomato', stigmaOut: true, importance: 'keep' });
  expect([out.nearM, out.farM]).toEqual(cropOf('pepper').isolationM?.value);
});

test('flowers between clean bees and not the wind; upwind is a thing of the wind', () => {
  const reasons = (crop: 'corn' | 'melon', surroundings: Surroundings) =>
    isolationNeeded({ crop, importance: 'keep', surroundings }).weighed.map(({ reason }) => reason);
  expect(reasons('melon', { between: ['forage'], besides: ['upwind', 'hives'] })).toEqual(['keep', 'forage']);
  expect(reasons('corn', { between: ['forage', 'few-flowers'], besides: ['upwind'] })).toEqual([
    'keep',
    'upwind',
  ]);
  expect(reasons('melon', { between: ['water'], besides: ['larger'], largeBlock: true })).toEqual([
    'keep',
    'larger',
    'large-block',
  ]);
});

test('two squashes of one species 200 m apart, a hedge and flower strips between', () => {
  const surroundings = { between: ['hedge', 'forage'] as const };
  const easy = isolationNeeded({ crop: 'squash-pepo', importance: 'spare', surroundings });
  expect(easy.chosenM).toBe(245);
  expect(distanceVerdict(200, easy.chosenM)).toBe('in-between');
  const last = isolationNeeded({ crop: 'squash-pepo', importance: 'rare', surroundings });
  expect(distanceVerdict(200, last.chosenM)).toBe('too-near');
  expect(last.why).toBe(
    'Insects carry its pollen. Chosen for seed that can’t be had again, a hedge between, other flowers between.',
  );
});

test('two lettuces 4 m apart are fine; strawberries are kept by runners and need nothing', () => {
  expect(distanceVerdict(4, isolationNeeded({ crop: 'lettuce', importance: 'keep' }).chosenM)).toBe('fine');
  expect(isolationNeeded({ crop: 'strawberry', importance: 'rare' })).toMatchObject({
    chosenM: 0,
    why: 'It is not kept from seed: it needs no distance.',
  });
});
