import fc from 'fast-check';
import type { FlowerId, PlantId } from '../ids';
import { fold, type Lot, type Plant } from '../ledger';
import { couldBeOf, sownSaid } from '../patch';
import { offspringOff } from '../purity';
import { seededRandom } from '../random';
import { lotStanding } from '../seed';
import { Seasons } from '../testSeasons';
import {
  ancestorsFirst,
  growOutOf,
  inbreeding,
  kinship,
  kinshipAmong,
  lineageOf,
  mixingOf,
  plantsOfLot,
  type PedigreeRow,
} from '.';

const lineageIn = (seasons: Seasons) => lineageOf(seasons.state);

describe('descent', () => {
  test('plants sown from the fruit of two are sisters; those of a bought lot are founders', () => {
    const s = new Seasons();
    const { variety, plants } = s.stand('Slate Dome', 2);
    const [a, b] = plants as [PlantId, PlantId];
    const fruit = s.fruit(a, [b]);
    const next = s.stand('Slate Dome', 2);
    s.sow(next.stand, s.lot(variety, [fruit]));
    const [c, d] = next.plants as [PlantId, PlantId];
    const kin = kinshipAmong(lineageIn(s), [a, b, c, d]);
    expect([kin(a, b), kin(a, c), kin(c, d), kin(c, c)]).toEqual([0, 0.25, 0.25, 0.5]);
    s.sow(c, null);
    expect(kinshipAmong(lineageIn(s), [a, c, d])(c, d)).toBe(0);
  });

  test('of a mixed lot each pair of parents counts by how likely it is', () => {
    const s = new Seasons();
    const { variety, plants } = s.stand('Slate Dome', 4);
    const [a, b, c, d] = plants as [PlantId, PlantId, PlantId, PlantId];
    const lot = s.lot(variety, [s.fruit(a, [b]), s.fruit(c, [d])]);
    const next = s.stand('Slate Dome', 2);
    s.sow(next.stand, lot);
    const [e, f] = next.plants as [PlantId, PlantId];
    // Half of the time both come from one fruit and are sisters.
    expect(kinshipAmong(lineageIn(s), [e, f])(e, f)).toBeCloseTo(0.125, 10);
    expect(lineageIn(s).of(e).pairs).toHaveLength(2);
  });

  test('runners and tubers are one plant, and a cross between them is selfing', () => {
    const s = new Seasons();
    const { variety, plants } = s.stand('Slate Dome', 3);
    const [a, b, c] = plants as [PlantId, PlantId, PlantId];
    s.garden.write(s.garden.time('2020-06-01', 9), { kind: 'clonedFrom', plant: b, parent: a });
    s.garden.write(s.garden.time('2020-06-01', 9), { kind: 'clonedFrom', plant: c, parent: b });
    expect(kinshipAmong(lineageIn(s), [a, c])(a, c)).toBe(0.5);
    const fruit = s.fruit(c, [a]);
    const next = s.stand('Slate Dome', 1);
    s.sow(next.stand, s.lot(variety, [fruit]));
    const [d] = next.plants as [PlantId];
    expect(kinshipAmong(lineageIn(s), [d])(d, d)).toBe(0.75);
    expect(mixingOf(s.state, variety, '2020')).toMatchObject({ selfed: 1, mothers: 1, fathers: 1, size: 1 });
  });

  test('where each plant has one pair of parents it is the plain pedigree', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 8 }), fc.nat(), (many, seed) => {
        const random = seededRandom(seed);
        const s = new Seasons();
        const first = s.stand('Slate Dome', 3);
        const all = [...first.plants];
        const rows: PedigreeRow[] = all.map((id) => ({ id, mother: null, father: null }));
        const pick = () => all[Math.floor(random() * all.length)] as PlantId;
        for (let i = 0; i < many; i++) {
          const [mother, father] = [pick(), pick()];
          const lot = s.lot(first.variety, [s.fruit(mother, [father])]);
          const { plants } = s.stand('Slate Dome', 1);
          const child = plants[0] as PlantId;
          s.sow(child, lot);
          all.push(child);
          rows.push({ id: child, mother, father });
        }
        const kin = kinshipAmong(lineageIn(s), all);
        for (const [i, row] of kinship(rows, all).entries())
          for (const [j, value] of row.entries())
            expect(kin(all[i] as PlantId, all[j] as PlantId)).toBeCloseTo(value, 10);
        expect(inbreeding(rows).size).toBe(all.length);
      }),
      { numRuns: 20 },
    );
  });

  test('its own ancestor, its own cutting, a lot without fruits, a mother never planted: told, and unknown from there', () => {
    const s = new Seasons();
    const { variety, plants } = s.stand('Slate Dome', 3);
    const [a, b, c] = plants as [PlantId, PlantId, PlantId];
    const fruit = s.fruit(a, [b]);
    const lot = s.lot(variety, [fruit]);
    s.sow(a, lot);
    expect(lineageIn(s).of(a)).toMatchObject({ lot: null, pairs: [], oddities: ['sown-before-ripe'] });
    // Where the days of planting allow it, it still can't be its own ancestor.
    const planted = s.state.plants.get(a);
    s.garden.write(s.garden.time('2021-06-05', 9), {
      kind: 'corrected',
      subject: a,
      target: planted?.event,
      changes: { plantedOn: '2021-05-20' },
    } as never);
    expect(lineageIn(s).of(a)).toMatchObject({ pairs: [], oddities: ['cycle'] });
    expect(ancestorsFirst(lineageIn(s), [a, b, c])).toHaveLength(3);
    s.garden.write(s.garden.time('2020-06-01', 9), { kind: 'clonedFrom', plant: b, parent: b });
    expect(lineageIn(s).of(b).oddities).toEqual(['own-clone']);
    const [d] = s.stand('Slate Dome', 1).plants as [PlantId];
    s.sow(d, s.lot(variety, [], 2020));
    expect(lineageIn(s).of(d)).toMatchObject({ pairs: [], oddities: ['no-fruits'] });
    s.sow(d, s.lot(variety, ['flower:01KS22Y8C047C4FEZDQK8YZG00' as FlowerId]));
    expect(lineageIn(s).of(d).oddities).toEqual(['no-mother']);
  });

  test('seed is no older than the fruit that it lay in: what stood before that can’t be of the lot', () => {
    const s = new Seasons();
    const { variety, plants } = s.stand('Slate Dome', 1);
    const id = s.lot(variety, [s.fruit(plants[0] as PlantId, [])]);
    const lot = s.state.lots.get(id);
    if (!lot) throw new Error('no lot');
    const could = (plantedOn: string | null) => couldBeOf(plantedOn, lot, s.state);
    // Picked on the first of October 2020.
    expect(['2020-05-20', '2020-10-01', '2020-10-02', '2021-05-20', '2019-05-20'].map(could)).toEqual([
      false,
      false,
      true,
      true,
      false,
    ]);
    expect(could(null)).toBe(true);
  });

  test('what a log says of a lot that can’t be is kept and told, and counts for nothing: parents, plants, off-types', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('fruits', 'year', 'one fruit'),
        fc.boolean(),
        fc.integer({ min: 1, max: 4 }),
        (how, ofStand, count) => {
          const s = new Seasons();
          const { variety, plants } = s.stand('Slate Dome', 2);
          const [a, b] = plants as [PlantId, PlantId];
          // Of one planting with the mothers: they stood there while the fruit grew.
          const { stand, plants: same } = s.garden.plant('squash-maxima', 'Slate Dome', count);
          const fruit = s.fruit(a, [b]);
          const lot = how === 'year' ? s.lot(variety, [], 2021) : s.lot(variety, [fruit]);
          for (const subject of ofStand ? [stand] : same)
            s.sow(subject, lot, how === 'one fruit' ? fruit : null);
          for (const plant of same)
            s.garden.write(s.garden.time('2021-08-01', 9), {
              kind: 'offTypeFound',
              plant,
              shownBy: 'fruit',
            });
          const found = s.state.lots.get(lot) as Lot;
          for (const plant of same) {
            expect(lineageIn(s).of(plant)).toEqual({
              plant,
              lot: null,
              pairs: [],
              oddities: ['sown-before-ripe'],
            });
            expect(sownSaid(s.state.plants.get(plant) as Plant, s.state)?.lot).toBe(lot);
          }
          expect(plantsOfLot(s.state, lot)).toEqual([]);
          expect(growOutOf(s.state, found)).toMatchObject({ onRecord: { grown: 0, off: 0 }, fruits: [] });
          expect(offspringOff(s.state).size).toBe(0);
          const { grade, sown, oddities } = lotStanding(s.state, found, '2021-10-20');
          expect({ sown, odd: oddities.includes('sown-before-ripe') }).toEqual({ sown: 0, odd: true });
          // Another planting, of the spring after, is of it as before.
          const next = s.stand('Slate Dome', 1);
          s.sow(next.stand, lot);
          expect(plantsOfLot(s.state, lot)).toEqual(next.plants);
          expect(lotStanding(s.state, found, '2021-10-20').grade).toBe(grade);
        },
      ),
      { numRuns: 12 },
    );
  });

  test('thirty generations from seed to seed', () => {
    const s = new Seasons();
    const { variety, plants } = s.stand('Slate Dome', 1);
    let last = plants[0] as PlantId;
    for (let i = 0; i < 30; i++) {
      const lot = s.lot(variety, [s.fruit(last, [last])]);
      const next = s.stand('Slate Dome', 1).plants[0] as PlantId;
      s.sow(next, lot);
      last = next;
    }
    expect(2 * kinshipAmong(lineageIn(s), [last])(last, last) - 1).toBeCloseTo(1 - 2 ** -30, 12);
  });

  test('what is put right, of a plant, a stand or a fruit, is known at once: remembered or read anew', () => {
    const s = new Seasons();
    const { variety, plants } = s.stand('Slate Dome', 4);
    const [a, b, c, d] = plants as [PlantId, PlantId, PlantId, PlantId];
    const [one, two] = [s.fruit(a, [b]), s.fruit(c, [d])];
    const lot = s.lot(variety, [one, two]);
    const next = s.stand('Slate Dome', 2);
    s.sow(next.stand, lot, one);
    const [e] = next.plants as [PlantId];
    const parents = () => {
      const now = lineageIn(s).of(e).pairs;
      expect(lineageOf(fold(s.garden.events)).of(e).pairs).toEqual(now);
      return now.map(({ mother, father }) => [mother, father]);
    };
    expect(parents()).toEqual([[a, b]]);
    const said = s.state.stands.get(next.stand)?.sown;
    const correct = (subject: string, target: string | undefined, changes: object) =>
      s.garden.write(s.garden.time('2021-01-01', 9), {
        kind: 'corrected',
        subject,
        target,
        changes,
      } as never);
    correct(next.stand, said?.event, { fruit: two });
    expect(parents()).toEqual([[c, d]]);
    correct(two, s.state.flowers.get(two)?.pollinations[0]?.event, {
      fathers: [{ plant: b, males: 1, flowers: [] }],
    });
    expect(parents()).toEqual([[c, b]]);
    const before = lineageIn(s);
    s.garden.write(s.garden.time('2021-01-02', 9), { kind: 'plantChecked', plant: a, health: 'sick' });
    expect(lineageIn(s).of(e)).toBe(before.of(e));
  });
});
