import fc from 'fast-check';
import { CROP_IDS, crossing, NEIGHBOUR_IDS, PEPPER_SPECIES, type CrossingKind } from '.';

const KINDS: CrossingKind[] = [...CROP_IDS, ...NEIGHBOUR_IDS].map((crop) => ({ crop }));

test('who crosses is the same both ways, with oneself freely, and always has a reason', () => {
  fc.assert(
    fc.property(fc.constantFrom(...KINDS), fc.constantFrom(...KINDS), (a, b) => {
      expect(crossing(a, b).verdict).toBe(crossing(b, a).verdict);
      expect(crossing(a, a).verdict).toBe('freely');
      expect(crossing(a, b).why).toMatch(/^[A-Z].*\.$/);
    }),
  );
});

// General texts on growing, from memory.
test.each([
  ['squash-argyrosperma', 'squash-moschata', 'rarely'],
  ['squash-pepo', 'squash-moschata', 'rarely'],
  ['squash-maxima', 'squash-moschata', 'rarely'],
  ['squash-pepo', 'squash-maxima', 'never'],
  ['melon', 'cucumber', 'never'],
  ['melon', 'watermelon', 'never'],
  ['squash-maxima', 'melon', 'never'],
  ['pepper', 'aubergine', 'never'],
  ['tomato', 'potato', 'never'],
  ['corn', 'corn', 'freely'],
  ['beet', 'chard', 'freely'],
  ['lettuce', 'bean', 'never'],
] as const)('%s and %s: %s', (a, b, verdict) => {
  expect(crossing({ crop: a }, { crop: b }).verdict).toBe(verdict);
});

test('peppers by their species: three cross in part, the others stand apart, one that is not said counts as any', () => {
  const verdict = (a: string | null, b: string | null) =>
    crossing({ crop: 'pepper', species: a }, { crop: 'pepper', species: b }).verdict;
  expect(verdict('annuum', 'chinense')).toBe('rarely');
  expect(verdict('annuum', 'pubescens')).toBe('never');
  for (const species of PEPPER_SPECIES) {
    expect(verdict(species, species)).toBe('freely');
    expect(verdict(species, null)).toBe('freely');
  }
});
