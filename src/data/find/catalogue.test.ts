import { existsSync } from 'node:fs';
import { join } from 'node:path';
import fc from 'fast-check';
import MiniSearch from 'minisearch';
import type { PlantId } from '@core/ids';
import { growing, plantName, type Growing } from '@core/patch';
import { markAt } from '@core/purity';
import { TestGarden } from '@core/testGarden';
import { catalogueOf } from './catalogue';
import { SCREENS } from './screenNames';

function garden() {
  const made = new TestGarden();
  const { plants } = made.plant('squash-maxima', 'Rouge d’Étampes Nouveau', 2);
  made.plant('corn', 'Early Flint', 3);
  made.plant('squash-pepo', 'Squash', 1);
  const flower = made.see(made.time('2026-07-13', 19), plants[0] as never, 'female', 'coloured', 9);
  made.work(made.time('2026-07-14', 5), flower, []);
  made.write(made.time('2026-07-14', 6), { kind: 'marked', flower, mark: markAt(0) });
  return made.state;
}
const first = (query: string) => {
  const [found] = catalogueOf(garden(), MiniSearch)(query);
  return found && [found.kind, found.title];
};

test.each([
  ['etampes', 'variety', 'Rouge d’Étampes Nouveau'],
  ['rouge 2', 'plant', 'Rouge d’Étampes Nouveau 2'],
  ['Early Flimt', 'variety', 'Early Flint'],
  [markAt(0), 'fruit', markAt(0)],
  [markAt(0).replace('-', '').toLowerCase(), 'fruit', markAt(0)],
  ['courg', 'plant', 'Squash 1'],
  ['emascul', 'word', 'emasculate'],
  ['backcross', 'word', 'backcross'],
  ['import', 'screen', 'Settings'],
  ['hedges', 'screen', 'Plan'],
])('“%s” finds the %s %s first', (query, kind, title) => {
  expect(first(query)).toEqual([kind, title]);
});

test('a plant is found by the beginnings of its words, in any order and case', () => {
  const state = garden();
  const find = catalogueOf(state, MiniSearch);
  const plants = [...state.plants.keys()];
  fc.assert(
    fc.property(fc.constantFrom(...plants), fc.nat(4), fc.boolean(), (plant, cut, shout) => {
      const name = plantName(growing(state, plant as PlantId) as Growing);
      const words = name
        .split(' ')
        .map((word) => (/\d/.test(word) ? word : word.slice(0, Math.max(3, word.length - cut))));
      const query = words.reverse().join(' ');
      expect(find(shout ? query.toUpperCase() : query).map(({ id }) => id)).toContain(plant);
    }),
  );
});

test('a variety leads to its first plant, or to the seed where none grows', () => {
  const made = new TestGarden();
  const { plants } = made.plant('corn', 'Early Flint', 2);
  made.plant('corn', 'Late Dent', 0);
  const to = (query: string) =>
    catalogueOf(made.state, MiniSearch)(query).find(({ kind }) => kind === 'variety')?.to;
  expect([to('early flint'), to('late dent')]).toEqual([`/plant/${plants[0] ?? ''}`, '/seed']);
});

test('nothing typed and nothing there find nothing; markup is only text', () => {
  const find = catalogueOf(garden(), MiniSearch);
  expect([find('  '), find('zzzzqqq'), find('<img src=x>')]).toEqual([[], [], []]);
});

test('every screen that is named is there', () => {
  const missing = SCREENS.filter(({ to }) => {
    const path = join(__dirname, '../../app', to === '/' ? 'index' : to.slice(1));
    return !existsSync(`${path}.tsx`) && !existsSync(join(path, 'index.tsx'));
  });
  expect(missing).toEqual([]);
});
