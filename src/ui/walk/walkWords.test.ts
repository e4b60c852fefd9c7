import { eveningAdvice } from '@core/crops';
import type { PlantId } from '@core/ids';
import type { Draft } from '@core/ledger';
import { TestGarden } from '@core/testGarden';
import type { EveningSight } from '@core/rounds';
import { mainKey, walkWords } from './walkWords';

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
  const entry = { value, closure: crop === 'tomato' ? ('mesh-bag' as const) : ('tape' as const) };
  const advice = eveningAdvice(growing.crop, value.sex, value.stage, reason, true);
  const words = walkWords(entry, growing, true);
  return { words, main: mainKey(entry, growing, advice, words) };
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
    const entry = { value: sight({}), closure: 'mesh-bag' as const };
    const advice = eveningAdvice(growing.crop, 'female', 'coloured', reason, true);
    return mainKey(entry, growing, advice, walkWords(entry, growing, true), selfing).how;
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
