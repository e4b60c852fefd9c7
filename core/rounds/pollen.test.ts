import type { PlantId } from '../ids';
import { mixingOf } from '../lineage';
import { TestGarden } from '../testGarden';
import { dawnQuestion, mixingAhead } from '.';
import { bloomDayOf } from '../bloom';

const DAY = { date: '2026-07-17', kind: 'dawn' } as const;

/** One female for tomorrow, and males on two plants, of which one gave pollen before. */
function garden() {
  const made = new TestGarden();
  const { variety, plants } = made.plant('squash-maxima', 'Slate Dome', 3);
  const [mother, used, fresh] = plants as [PlantId, PlantId, PlantId];
  const male = made.shut('2026-07-12', used, 'male');
  made.work(made.time('2026-07-13', 5), made.shut('2026-07-12', mother, 'female'), [male]);
  made.shut('2026-07-16', mother, 'female');
  for (const father of [used, used, fresh, fresh]) made.shut('2026-07-16', father, 'male');
  return { made, variety, mother, used, fresh };
}
const fathersIn = (made: TestGarden) => {
  const { match } = dawnQuestion(
    made.state,
    made.place,
    DAY.date,
    DAY.kind,
    bloomDayOf(made.state, made.place, DAY.date),
    {
      now: made.time(DAY.date, 4),
      people: ['me'],
      deadline: made.time(DAY.date, 8),
    },
  );
  return match.pairs.map(({ male }) => made.state.flowers.get(male)?.plant);
};

test('who gave least this year goes first, and the lot grows more even by it', () => {
  const { made, variety, fresh } = garden();
  expect(new Set(fathersIn(made))).toEqual(new Set([fresh]));
  const ahead = mixingAhead(made.state, made.place, DAY, variety);
  expect(ahead?.flowers).toBe(1);
  expect(ahead?.mixture.size).toBeGreaterThan(mixingOf(made.state, variety, '2026').size);
});

test('what was used last year is fresh this year', () => {
  const made = new TestGarden(undefined, '2025-05-20');
  const { variety, plants } = made.plant('squash-maxima', 'Slate Dome', 3);
  const [mother, used] = plants as [PlantId, PlantId];
  const male = made.shut('2025-07-12', used, 'male');
  made.work(made.time('2025-07-13', 5), made.shut('2025-07-12', mother, 'female'), [male]);
  expect(mixingOf(made.state, variety, '2026').fruits).toBe(0);
  expect(mixingAhead(made.state, made.place, DAY, variety)).toBeNull();
});

test('a sister is passed over where there is another plant, and taken where there is none', () => {
  const { made, variety, mother, used, fresh } = garden();
  const [parent, other] = made.plant('squash-maxima', 'Elders', 2, { on: '2025-05-20' }).plants as [
    PlantId,
    PlantId,
  ];
  const fruit = made.shut('2025-07-12', parent, 'female');
  made.work(made.time('2025-07-13', 5), fruit, [made.shut('2025-07-12', other, 'male')]);
  const lot = 'lot:01KS22Y8C047C4FEZDQK8YZG00';
  made.write(made.time('2025-10-02', 5), {
    kind: 'lotBegun',
    lot,
    patch: made.patchId,
    variety,
    from: 'fruits',
    fruits: [fruit],
    year: 2025,
    note: '',
  });
  for (const subject of [mother, fresh])
    made.write(made.time('2026-07-03', 5), { kind: 'sownFrom', subject, lot, fruit: null });
  // The plant that gave before is no kin of hers.
  expect(new Set(fathersIn(made))).toEqual(new Set([used]));
});
