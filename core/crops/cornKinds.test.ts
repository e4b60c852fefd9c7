import fc from 'fast-check';
import { CORN_KINDS, crossing, foreignGrain, kindOf, type CornKind, type CornSaid } from '.';

const corn = fc.record({
  corn: fc.constantFrom(...CORN_KINDS, null),
  barrier: fc.constantFrom(true, false, null),
});
const said = (kind: CornKind, barrier: boolean | null = null): CornSaid => ({ corn: kind, barrier });

// General texts on corn, from memory: any field corn makes starchy kernels in any sweet corn, and so do sweet corns of different genes.
test.each([
  ['sweet-su', 'dent', true],
  ['sweet-sh2', 'pop', true],
  ['sweet-su', 'sweet-sh2', true],
  ['sweet-sh2', 'sweet-se', true],
  // The enhancer works on su itself: no starch comes of the two.
  ['sweet-su', 'sweet-se', false],
  // Sweet is recessive: an ear of field corn does not show it.
  ['dent', 'sweet-su', false],
  ['flint', 'flour', false],
] as const)('in an ear of %s, pollen of %s shows: %s', (silk, pollen, shows) => {
  const found = foreignGrain(said(silk), said(pollen));
  expect([found.refused, found.shows]).toEqual([false, shows]);
});

test('silk with a barrier refuses pollen without one, and is no protection to the other (scientific papers, from memory)', () => {
  const [pop, dent] = [said('pop', true), said('dent')];
  expect(foreignGrain(pop, dent).refused).toBe(true);
  expect(foreignGrain(dent, pop).refused).toBe(false);
  // Popcorn next door may have the barrier too.
  expect(foreignGrain(pop, said('pop')).refused).toBe(false);
  expect(foreignGrain(pop, said('pop', false)).refused).toBe(true);
  expect(foreignGrain(pop, said('dent', true)).refused).toBe(false);
  // Nobody said what it is: it counts.
  expect(foreignGrain(pop, {}).refused).toBe(false);
});

test('corn crosses with all corn that its silk does not refuse; what nobody said is never a comfort', () => {
  fc.assert(
    fc.property(corn, corn, (silk, pollen) => {
      const { verdict, counts, why } = crossing({ crop: 'corn', ...silk }, { crop: 'corn', ...pollen });
      expect([verdict, counts]).toEqual(
        foreignGrain(silk, pollen).refused ? ['rarely', false] : ['freely', true],
      );
      expect(why).toMatch(/^[A-Z].*\.$/);
      if (silk.barrier !== true) expect(counts).toBe(true);
      if (silk.corn === null || pollen.corn === null) expect(foreignGrain(silk, pollen).shows).toBeNull();
    }),
  );
});

test('what a variety is said to be reaches the question of who crosses it', () => {
  expect(kindOf({ crop: 'corn', traits: { corn: 'pop', barrier: true } })).toMatchObject({
    corn: 'pop',
    barrier: true,
  });
  expect(kindOf({ crop: 'tomato', traits: { stigmaOut: true } })).toMatchObject({ stigmaOut: true });
  expect(kindOf({ crop: 'tomato', traits: {} })).toMatchObject({ species: null, stigmaOut: false });
});
