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
  ['watermelon', 'citron', 'freely'],
  ['melon', 'citron', 'never'],
  ['strawberry', 'alpine-strawberry', 'never'],
  ['alpine-strawberry', 'alpine-strawberry', 'freely'],
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

test('what crosses rarely is not kept apart; what does now and then, or in part, is (common practice)', () => {
  const squash = (a: string, b: string) =>
    crossing({ crop: `squash-${a}` as never }, { crop: `squash-${b}` as never });
  for (const [a, b] of [
    ['pepo', 'moschata'],
    ['maxima', 'moschata'],
    ['pepo', 'argyrosperma'],
  ] as const)
    expect(squash(a, b)).toMatchObject({ verdict: 'rarely', counts: false });
  expect(squash('pepo', 'maxima')).toMatchObject({ verdict: 'never', counts: false });
  expect(squash('moschata', 'argyrosperma')).toMatchObject({ verdict: 'rarely', counts: true });
  const peppers = (a: string, b: string) =>
    crossing({ crop: 'pepper', species: a }, { crop: 'pepper', species: b });
  expect(peppers('annuum', 'chinense')).toMatchObject({ verdict: 'rarely', counts: true });
  expect(peppers('baccatum', 'frutescens')).toMatchObject({ verdict: 'rarely', counts: false });
  expect(peppers('pubescens', 'baccatum').verdict).toBe('never');
  // A pepper of which nobody said the species counts as any.
  expect(crossing({ crop: 'pepper' }, { crop: 'pepper', species: 'baccatum' }).counts).toBe(true);
});
