import {
  catalogue,
  cropOf,
  daysToEatOf,
  isEdible,
  middleOf,
  overripeWords,
  reasonsOf,
  seedsPerGram,
  traitsOf,
  varietyAdvice,
  type CropId,
  type VarietyTraits,
} from '.';

const advice = (id: CropId, traits: VarietyTraits, reason: 'seed' | 'fruit' | 'cross' = 'seed') =>
  varietyAdvice(cropOf(id), { traits, system: null }, reason).join(' ');

test('days to eat follow from how the variety is picked: 4 to 8 for a courgette, 45 to 60 for an acorn squash', () => {
  const pepo = cropOf('squash-pepo');
  expect(daysToEatOf(pepo, { picked: 'young' })?.value).toEqual([4, 8]);
  expect(daysToEatOf(pepo, { picked: 'ripe' })?.value).toEqual([45, 60]);
  expect(daysToEatOf(pepo, {})?.value).toEqual([4, 8]);
  expect(daysToEatOf(cropOf('melon'), { picked: 'young' })?.value).toEqual([5, 10]);
  expect(daysToEatOf(cropOf('melon'), {})?.value).toEqual([35, 45]);
  expect(daysToEatOf(cropOf('pepper'), { picked: 'ripe' })?.value).toEqual([60, 85]);
  expect(daysToEatOf(cropOf('potato'), {})).toBeNull();
});

test('of potatoes nothing is eaten, of strawberries no seed is kept but that of a cross: neither is ever asked for', () => {
  expect(isEdible(cropOf('potato'))).toBe(false);
  expect(reasonsOf(cropOf('potato'))).toEqual(['seed', 'cross']);
  expect(reasonsOf(cropOf('strawberry'))).toEqual(['fruit', 'cross']);
  // The alpine one comes true from seed.
  expect(reasonsOf(cropOf('alpine-strawberry'))).toEqual(['seed', 'fruit', 'cross']);
  for (const crop of catalogue) {
    expect(reasonsOf(crop).length).toBeGreaterThan(0);
    expect(reasonsOf(crop).includes('fruit')).toBe(isEdible(crop));
  }
});

test('each trait is asked where it means something, and says what follows', () => {
  expect(traitsOf(cropOf('pepper'))).toEqual(['species', 'picked', 'f1']);
  expect(traitsOf(cropOf('tomato'))).toEqual(['small', 'stigmaOut', 'f1']);
  expect(traitsOf(cropOf('corn'))).toEqual(['corn', 'f1']);
  // A barrier is asked of popcorn, and of what it was said of.
  expect(traitsOf(cropOf('corn'), { corn: 'pop' })).toEqual(['corn', 'barrier', 'f1']);
  expect(traitsOf(cropOf('corn'), { corn: 'dent' })).toEqual(['corn', 'f1']);
  expect(traitsOf(cropOf('watermelon'))).toEqual(['seedless', 'f1']);
  expect(traitsOf(cropOf('strawberry'))).toEqual([]);
  expect(advice('squash-maxima', { f1: true })).toContain('won’t come true');
  expect(advice('squash-maxima', { f1: true }, 'fruit')).toBe('');
  expect(advice('squash-maxima', { f1: false })).toBe('');
  expect(advice('watermelon', { seedless: true }, 'fruit')).toContain('males of a seeded one');
  expect(advice('watermelon', { seedless: true })).toContain('gives no seed');
  expect(advice('pepper', {})).toContain('say which this is');
  expect(advice('tomato', { stigmaOut: true })).toContain('one seed in twenty');
  expect(advice('tomato', { stigmaOut: true }, 'fruit')).toBe('');
  expect(advice('potato', {})).toContain('new variety');
  expect(advice('pepper', { species: 'baccatum' })).toBe('');
  const cucumber = cropOf('cucumber');
  expect(varietyAdvice(cucumber, { traits: {}, system: 'gynoecious' }, 'seed').join()).toContain(
    'makes a cross',
  );
  expect(varietyAdvice(cucumber, { traits: {}, system: 'parthenocarpic' }, 'seed').join()).toContain(
    'seed unknown',
  );
});

test('seeds a gram are ranges, wide where the crop is: watermelon 8 to 30', () => {
  expect(seedsPerGram('watermelon')?.value).toEqual([8, 30]);
  expect(seedsPerGram('strawberry')).toBeNull();
  for (const { id } of catalogue) {
    const range = seedsPerGram(id)?.value;
    if (range) expect(middleOf(range)).toBeGreaterThan(range[0]);
  }
});

test('a melon vine gives up most of its females: 0.25 to begin with, squash 0.6, watermelon 0.5, a bagged tomato truss 0.7', () => {
  const shares = (['melon', 'squash-pepo', 'watermelon', 'tomato'] as const).map(
    (id) => cropOf(id).setShare.value,
  );
  expect(shares).toEqual([0.25, 0.6, 0.5, 0.7]);
});

test('what is eaten young stays on for seed: cucumber 35 to 50 days, corn 45 to 60; a tomato is ripe both ways', () => {
  expect(overripeWords(cropOf('cucumber'), {})).toContain('35 to 50 days from pollination, not 4 to 12');
  expect(overripeWords(cropOf('squash-pepo'), { picked: 'young' })).toContain('50 to 60 days');
  expect(overripeWords(cropOf('squash-pepo'), { picked: 'ripe' })).toBeNull();
  expect(overripeWords(cropOf('corn'), {})).toContain('45 to 60 days');
  expect(overripeWords(cropOf('tomato'), {})).toBeNull();
  expect(overripeWords(cropOf('potato'), {})).toBeNull();
});
