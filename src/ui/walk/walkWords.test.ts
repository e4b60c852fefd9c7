import type { PlantId } from '@core/ids';
import type { Draft } from '@core/ledger';
import { TestGarden } from '@core/testGarden';
import type { EveningSight } from '@core/rounds';
import { saidOf, waitingWords } from './walkWords';

const sight = (part: Partial<EveningSight>): EveningSight => ({
  sex: 'female',
  stage: 'coloured',
  node: null,
  count: 1,
  ovaryMm: null,
  ...part,
});

function keys(
  crop: 'squash-maxima' | 'tomato' | 'corn',
  reason: 'seed' | 'fruit' | 'cross',
  part: Partial<EveningSight>,
  health?: 'sick',
) {
  const garden = new TestGarden();
  const { plants } = garden.plant(crop, 'Slate Dome', 1, { reason });
  const plant = plants[0] as PlantId;
  if (health) garden.write(garden.time('2026-07-01', 9), { kind: 'plantChecked', plant, health } as Draft);
  const growing = garden.growing(plant);
  const value = sight(part);
  return saidOf(value, crop === 'tomato' ? 'mesh-bag' : 'tape', { ...growing, covers: true, bees: false });
}

test('the bisexual female of a melon loses her anthers in the evening, where a cross is wanted or her own pollen is not', () => {
  const key = (
    reason: 'seed' | 'cross',
    selfing: string,
    system: 'andromonoecious' | null = 'andromonoecious',
  ) => {
    const garden = new TestGarden();
    const growing = garden.growing(
      garden.plant('melon', 'Quiet Bell', 1, { reason, system }).plants[0] as PlantId,
    );
    return saidOf(sight({}), 'mesh-bag', { ...growing, covers: true, bees: false }, selfing).main.how;
  };
  expect(key('cross', 'allowed')).toBe('mother');
  expect(key('seed', 'never')).toBe('mother');
  expect(key('seed', 'allowed')).toBe('shut');
});

test('the main key names what it records: shut, count, note, or lay a mother bare', () => {
  expect(keys('squash-maxima', 'seed', {}).main).toEqual({
    title: 'Shut this female with tape',
    how: 'shut',
    sick: false,
  });
  expect(keys('squash-maxima', 'seed', { sex: 'male', count: 3 }).main.title).toBe('Shut 3 males with tape');
  expect(keys('squash-maxima', 'seed', { stage: 'green' }).main.how).toBe('note');
  expect(keys('squash-maxima', 'fruit', {}).words.note).toBe('Note it for tomorrow morning');
  expect(keys('tomato', 'cross', { sex: 'perfect' }).main).toMatchObject({
    title: 'Anthers out, mesh bag on',
    how: 'mother',
  });
  expect(keys('tomato', 'cross', { sex: 'perfect', stage: 'green' }).main.how).toBe('note');
});

test('of a sick plant no seed is taken: the main key only notes, a male may still be shut', () => {
  expect(keys('squash-maxima', 'seed', {}, 'sick').main).toMatchObject({ how: 'note', sick: true });
  expect(keys('squash-maxima', 'seed', { sex: 'male' }, 'sick').main).toMatchObject({
    how: 'shut',
    sick: false,
  });
});

test('before a flower and its stage are said the main key waits and says for what', () => {
  const garden = new TestGarden();
  const squash = garden.growing(garden.plant('squash-maxima', 'Slate Dome', 1).plants[0] as PlantId);
  const corn = garden.growing(garden.plant('corn', 'Pale Row', 1).plants[0] as PlantId);
  const blank = { sex: null, stage: null, node: null, count: 1, ovaryMm: null };
  expect(waitingWords(blank, squash)).toBe('First tap what you see');
  expect(waitingWords({ ...blank, sex: 'male' }, squash)).toBe('Male: tap how far on');
  expect(waitingWords({ ...blank, sex: 'female' }, corn)).toBe('Ear shoot: tap how far on');
});
