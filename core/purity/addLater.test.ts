import type { FlowerId, PlantId } from '../ids';
import { validateEvent, type LedgerEvent } from '../ledger';
import { TestGarden } from '../testGarden';
import { addableTo, gradeProof, keptShutOn, proofOf } from '.';

const ZONE = 'Europe/Ljubljana';
const DAWN = '2026-07-14';
const TODAY = '2026-08-20';

const flowerOf = (garden: TestGarden, id: FlowerId) => {
  const flower = garden.state.flowers.get(id);
  if (!flower) throw new Error('no flower');
  return flower;
};
const chainOf = (garden: TestGarden, id: FlowerId, today = TODAY) =>
  proofOf(flowerOf(garden, id), garden.state, today, null);
const asked = (garden: TestGarden, id: FlowerId, today = TODAY) =>
  addableTo(
    flowerOf(garden, id),
    chainOf(garden, id, today),
    garden.growing(flowerOf(garden, id).plant).crop,
    garden.state,
    today,
    ZONE,
  );

/** Gives the first answer to all that can be asked, written down weeks later. */
function answerAll(garden: TestGarden, id: FlowerId) {
  const now = garden.time('2026-08-18', 20);
  for (let i = 0; i < 12; i++) {
    const [next] = asked(garden, id);
    if (!next) return;
    const day = next.days[0];
    const [answer] = day ? keptShutOn(flowerOf(garden, id), day, 8, ZONE) : next.answers;
    if (!answer) throw new Error(`no answer to ${next.asks}`);
    for (const draft of answer.drafts) {
      const event = garden.write(answer.at === null ? now : Date.parse(answer.at), draft, 'Oda', now);
      expect(validateEvent(event as LedgerEvent)).toMatchObject({ ok: true });
    }
  }
  throw new Error('an answer did not answer');
}

/** Covered and worked, and hardly a word about it; its mark read weeks later. */
const CASES = {
  squash: { crop: 'squash-maxima', reason: 'seed', sex: 'female', hour: 5 },
  melon: { crop: 'melon', reason: 'seed', sex: 'female', hour: 8 },
  corn: { crop: 'corn', reason: 'seed', sex: 'female', hour: 10 },
  'a cross of peppers': { crop: 'pepper', reason: 'cross', sex: 'perfect', hour: 11 },
} as const;

test.each(Object.entries(CASES))(
  'all that was not written of %s can be added weeks later, and makes it good at best',
  (_, { crop, reason, sex, hour }) => {
    const garden = new TestGarden();
    const [mother, father] = garden.plant(crop, 'Slate Dome', 2, { reason }).plants as [PlantId, PlantId];
    const female = garden.shut(crop === 'corn' ? '2026-07-08' : '2026-07-13', mother, sex as never);
    const male = garden.shut('2026-07-13', father, (sex === 'perfect' ? 'perfect' : 'male') as never);
    garden.work(garden.time(DAWN, hour), female, [male], {} as never);
    garden.write(garden.time(DAWN, hour, 1), { kind: 'marked', flower: female, mark: '1-A' });
    garden.write(garden.time('2026-07-24', 8), {
      kind: 'lookedAt',
      flower: female,
      result: 'growing',
      sizeMm: null,
    });
    expect(gradeProof(chainOf(garden, female)).grade).toBe('fair');
    answerAll(garden, female);
    const { links } = chainOf(garden, female);
    expect(links.filter(({ state }) => state !== 'seen')).toEqual([]);
    expect(links.some(({ late }) => late)).toBe(true);
    expect(gradeProof(chainOf(garden, female)).grade).toBe('good');
  },
);

test('what cannot be known any more, or was answered, is not asked; a flower left to the insects is asked nothing', () => {
  const garden = new TestGarden();
  const [mother, father] = garden.plant('squash-maxima', 'Slate Dome', 2).plants as [PlantId, PlantId];
  const open = garden.see(garden.time(DAWN, 6), mother, 'female', 'open');
  expect(asked(garden, open)).toEqual([]);
  const female = garden.shut('2026-07-13', mother, 'female');
  const male = garden.shut('2026-07-13', father, 'male');
  garden.check(garden.time(DAWN, 5), male, 'whole');
  garden.work(garden.time(DAWN, 5, 10), female, [male], { beeIn: false, clean: true } as never);
  // Never marked: no later word can tell which fruit it is.
  expect(asked(garden, female, DAWN).map(({ asks }) => asks)).toEqual(['whole']);
  expect(asked(garden, female, '2026-07-15').map(({ asks }) => asks)).toEqual(['whole', 'stayed-shut']);
  expect(asked(garden, female, '2026-07-15')[1]?.days).toEqual(['2026-07-15']);
});

test('who was there can say as well that it went wrong: what is added then breaks its link', () => {
  const garden = new TestGarden();
  const [mother] = garden.plant('squash-maxima', 'Slate Dome', 2).plants as [PlantId];
  const female = garden.shut('2026-07-13', mother, 'female');
  garden.work(garden.time(DAWN, 5, 10), female, [], {} as never);
  const bee = asked(garden, female)
    .find(({ asks }) => asks === 'no-bee')
    ?.answers.find(({ says }) => says === 'bee-in');
  for (const draft of bee?.drafts ?? []) garden.write(garden.time(TODAY, 9), draft);
  expect(chainOf(garden, female).links.find(({ link }) => link === 'no-insect')).toMatchObject({
    state: 'broken',
    says: 'bee-in',
  });
});
