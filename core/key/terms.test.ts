import { cropOf } from '../crops';
import { TERMS } from './terms';

test('every word is there once, under its name or another', () => {
  const names = TERMS.flatMap(({ name, also }) => [name, ...also]).map((name) => name.toLowerCase());
  expect(names.filter((name, i) => names.indexOf(name) !== i)).toEqual([]);
});

test('what shows a word is a flower that the crop has', () => {
  for (const { name, shows } of TERMS) {
    if (!shows) continue;
    const perfect = cropOf(shows.crop).flowers.perfect !== undefined;
    expect([name, shows.sex === 'perfect']).toEqual([name, perfect && shows.sex === 'perfect']);
  }
});

test('each is said in one or two sentences', () => {
  for (const { means } of TERMS) {
    expect(means).toMatch(/^[A-Z].*\.$/);
    expect(means.length).toBeLessThan(140);
  }
});
