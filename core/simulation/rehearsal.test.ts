import fc from 'fast-check';
import { costliest, perfectForesight, playOut, rehearsalOf, type Rehearsal } from '.';

const seeds = fc.integer({ min: 0, max: 1e6 });
const crops = fc.constantFrom('squash-maxima', 'melon', 'cucumber', 'bottle-gourd') as fc.Arbitrary<'melon'>;
const choice = (rehearsal: Rehearsal, picks: readonly number[]) =>
  picks.map((pick) => rehearsal.flowers[pick % rehearsal.flowers.length]?.id ?? '');
const picks = fc.array(fc.nat(60), { maxLength: 25 });

test('the same seed gives the same patch; flowers of both sexes stand on every rehearsal patch', () => {
  for (let seed = 0; seed < 30; seed++) {
    const rehearsal = rehearsalOf(seed, 'squash-maxima');
    expect(rehearsalOf(seed, 'squash-maxima')).toEqual(rehearsal);
    expect(new Set(rehearsal.flowers.map(({ sex }) => sex)).size).toBe(2);
    expect(new Set(rehearsal.flowers.map(({ id }) => id)).size).toBe(rehearsal.flowers.length);
    expect(rehearsal.tape).toBeGreaterThanOrEqual(4);
  }
});

test('no choice beats perfect foresight, and no more tape is used than there is', () => {
  fc.assert(
    fc.property(seeds, crops, picks, (seed, crop, chosen) => {
      const rehearsal = rehearsalOf(seed, crop);
      const result = playOut(rehearsal, choice(rehearsal, chosen));
      expect(result.fruits).toBeLessThanOrEqual(perfectForesight(rehearsal).fruits);
      expect(result.tapeUsed).toBeLessThanOrEqual(rehearsal.tape);
    }),
  );
});

test('pollen never comes from the same plant, and each male serves one female', () => {
  fc.assert(
    fc.property(seeds, picks, (seed, chosen) => {
      const rehearsal = rehearsalOf(seed, 'melon');
      const plantOf = new Map(rehearsal.flowers.map(({ id, plant }) => [id, plant]));
      const used: string[] = [];
      for (const { flower, males } of playOut(rehearsal, choice(rehearsal, chosen)).flowers) {
        for (const male of males) expect(plantOf.get(male)).not.toBe(flower.plant);
        used.push(...males);
      }
      expect(new Set(used).size).toBe(used.length);
    }),
  );
});

test('dawn tells each flower by what was done and what it did', () => {
  fc.assert(
    fc.property(seeds, picks, (seed, chosen) => {
      const rehearsal = rehearsalOf(seed, 'squash-maxima');
      const shut = new Set([...new Set(choice(rehearsal, chosen))].slice(0, rehearsal.tape));
      for (const { flower, dawn, fruit } of playOut(rehearsal, choice(rehearsal, chosen)).flowers) {
        if (dawn === 'open-unshut' || dawn === 'still-a-bud') expect(shut.has(flower.id)).toBe(false);
        if (dawn.startsWith('shut')) expect(shut.has(flower.id)).toBe(true);
        if (flower.stage === 'open' || flower.stage === 'spent') expect(dawn).toBe('over');
        if (fruit !== null) expect([flower.sex, dawn]).toEqual(['female', 'shut-and-open']);
      }
    }),
  );
});

test('a mistake is one whose undoing brings what it says; three at most, the costliest first', () => {
  for (let seed = 0; seed < 60; seed++) {
    const rehearsal = rehearsalOf(seed, 'squash-moschata');
    const shut = rehearsal.flowers
      .filter(({ stage }) => stage === 'coloured' || stage === 'green')
      .slice(0, rehearsal.tape)
      .map(({ id }) => id);
    const mistakes = costliest(rehearsal, shut);
    expect(mistakes.length).toBeLessThanOrEqual(3);
    const costs = mistakes.map(({ fruits, strips }) => fruits * 10 + strips);
    expect(costs).toEqual([...costs].sort((a, b) => b - a));
    for (const { words } of mistakes) expect(words).toMatch(/^Plant \d, node \d+: .{15,}/);
    const best = perfectForesight(rehearsal).fruits;
    const gained = playOut(rehearsal, shut).fruits + Math.max(0, ...mistakes.map(({ fruits }) => fruits));
    expect(gained).toBeLessThanOrEqual(best);
  }
});

test('shutting nothing brings nothing, and ids from nowhere are passed over', () => {
  const rehearsal = rehearsalOf(5, 'cucumber');
  expect(playOut(rehearsal, []).fruits).toBe(0);
  expect(playOut(rehearsal, ['9-99', '<b>']).tapeUsed).toBe(0);
});
