import { cropOf } from '../crops';
import { TestGarden } from '../testGarden';
import { hourDoubt } from './hourDoubt';

const garden = new TestGarden();
garden.plant('squash-maxima', 'Slate Dome', 1);
const doubt = (crop: Parameters<typeof cropOf>[0], hour: number) =>
  hourDoubt(garden.state, garden.place, cropOf(crop), garden.time('2026-07-14', hour))?.what ?? null;

test('a squash flower is open from first light to about ten; in the evening it has shut (domain: the clock)', () => {
  expect(doubt('squash-maxima', 7)).toBeNull();
  expect(doubt('squash-maxima', 10)).toBeNull();
  expect(doubt('squash-maxima', 19)).toBe('shut');
  expect(doubt('squash-maxima', 2)).toBe('opens');
});

test('a bottle gourd opens towards evening and is over next morning', () => {
  expect(doubt('bottle-gourd', 21)).toBeNull();
  expect(doubt('bottle-gourd', 14)).toBe('opens');
  expect(doubt('bottle-gourd', 11)).toBe('shut');
});

test('a tomato keeps no hours', () => {
  expect(doubt('tomato', 19)).toBeNull();
  expect(doubt('tomato', 3)).toBeNull();
});
