import type { PlantId } from '../ids';
import { validateEvent } from '../ledger';
import { TestGarden } from '../testGarden';
import { fathersFor, NO_ANSWERS, stopDrafts, stopsOf, stopWork, suggestFathers, type StopAnswers } from '.';

const EVENING = '2026-07-13';
const DAWN = '2026-07-14';

function morning(reason: 'seed' | 'fruit' = 'seed') {
  const garden = new TestGarden();
  const dome = garden.plant('squash-maxima', 'Slate Dome', 2, { reason });
  const [mother, father] = dome.plants as [PlantId, PlantId];
  garden.shut(EVENING, mother, 'female');
  for (let i = 0; i < 2; i++) garden.shut(EVENING, father, 'male');
  const stop = stopsOf(garden.state, DAWN, garden.place.zone, 'dawn')[0];
  if (!stop) throw new Error('no stop');
  const offers = fathersFor(garden.state, stop, DAWN, garden.place.zone, 'others-first');
  const offer = { offers, suggested: suggestFathers(offers, 2), saidTool: null, mark: '3-K' };
  const drafts = (answers: Partial<StopAnswers>) => {
    const all = { ...NO_ANSWERS, ...answers };
    return stopDrafts(stop, all, stopWork(stop, all, offer));
  };
  return { garden, stop, father, offer, drafts };
}

test('nothing answered, nothing recorded', () => {
  expect(morning().drafts({})).toEqual([]);
});

test('a whole flower by the main key: what its words name and nothing else', () => {
  const { garden, drafts, father, offer } = morning();
  const made = drafts({ found: 'whole' });
  const flower = garden.state.flowersOf.get([...garden.state.plants.keys()][0] as PlantId)?.[0];
  expect(made).toEqual([
    { kind: 'closureChecked', flower, result: 'whole' },
    {
      kind: 'pollinated',
      flower,
      fathers: [{ plant: father, males: 2, flowers: offer.offers[0]?.free }],
      shutAgain: 'tape',
      purpose: 'seed',
      // As its words say: clean hands, no bee in.
      beeIn: false,
      clean: true,
    },
    { kind: 'marked', flower, mark: '3-K' },
  ]);
  for (const draft of made) {
    const event = { ...(garden.events[0] as object), ...(draft as object) };
    delete (event as { patch?: unknown }).patch;
    delete (event as { name?: unknown }).name;
    expect(validateEvent(event)).toMatchObject({ ok: true });
  }
});

test('with a damp brush nothing is worked: its closure is kept, and another tool, or a dry one, goes on', () => {
  const { drafts } = morning();
  const kinds = (answers: Partial<StopAnswers>) => drafts(answers).map(({ kind }) => kind);
  expect(kinds({ found: 'whole', tool: 'brush', damp: true })).toEqual(['closureChecked']);
  expect(kinds({ found: 'whole', tool: 'finger', damp: false })).toContain('pollinated');
});

test('answers tapped are recorded as they are', () => {
  expect(
    morning()
      .drafts({ found: 'whole', tool: 'brush', shutAgain: 'mesh-bag', lobes: 3, openS: 40, beeIn: false })
      .at(-2),
  ).toMatchObject({ tool: 'brush', shutAgain: 'mesh-bag', lobes: 3, openS: 40, beeIn: false });
});

test('once the single questions are open, only what is answered there is recorded', () => {
  const worked = (answers: Partial<StopAnswers>) =>
    morning()
      .drafts({ found: 'whole', ...answers })
      .find(({ kind }) => kind === 'pollinated');
  for (const answers of [{ went: true }, { shutAgain: 'open' as const }]) {
    expect(worked(answers)).not.toHaveProperty('beeIn');
    expect(worked(answers)).not.toHaveProperty('clean');
  }
  expect(worked({ handsClean: false })).toMatchObject({ clean: false });
  expect(worked({ handsClean: false })).not.toHaveProperty('beeIn');
});

test('a bee in it: no mark, and the wish stays seed, as nobody said otherwise', () => {
  const made = morning().drafts({ found: 'whole', beeIn: true });
  expect(made.map(({ kind }) => kind)).toEqual(['closureChecked', 'pollinated']);
  expect(made.at(-1)).toMatchObject({ purpose: 'seed', beeIn: true, shutAgain: null });
});

test('torn: only what was seen; for the kitchen it is worked, left open and not marked', () => {
  expect(morning().drafts({ found: 'torn' })).toHaveLength(1);
  expect(morning().drafts({ found: 'torn', kitchen: true }).at(-1)).toMatchObject({
    kind: 'pollinated',
    purpose: 'kitchen',
    shutAgain: null,
  });
});

test('a kitchen stand’s flower is for the kitchen and gets no mark', () => {
  const made = morning('fruit').drafts({ found: 'whole' });
  expect(made.at(-1)).toMatchObject({ kind: 'pollinated', purpose: 'kitchen' });
});
