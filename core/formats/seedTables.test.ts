import type { PlantId } from '../ids';
import { Seasons } from '../testSeasons';
import { csvRows, toCsv } from '.';

const TODAY = '2020-11-01';

function rows(s: Seasons, table: 'lots' | 'lineage') {
  const [heads, ...lines] = csvRows(toCsv(s.state, table, TODAY));
  return lines.map((line) => Object.fromEntries((heads ?? []).map((head, i) => [head, line[i]])));
}

/** A lot of one fruit of two plants, one of whose seedlings was picked out to keep. */
function kept() {
  const s = new Seasons();
  const { variety, plants } = s.stand('=Slate Dome', 2);
  const [a, b] = plants as [PlantId, PlantId];
  const lot = s.lot(variety, [s.fruit(a, [b], '1-A')]);
  const next = s.stand('Seedlings', 1);
  s.sow(next.stand, lot);
  const [child] = next.plants as [PlantId];
  s.garden.write(s.garden.time('2020-10-05', 9), {
    kind: 'keeperChosen',
    plant: child,
    trait: 'early',
    note: '',
  });
  return { s, lot, child };
}

test('a lot says its parents, its worth and its proof; a name that looks like a formula does no harm', () => {
  const { s, lot } = kept();
  expect(rows(s, 'lots')).toMatchObject([
    {
      lot,
      name: "'=Slate Dome 2020",
      from: 'fruits',
      generation: 'pure',
      fruits: '1',
      mothers: '1',
      'father plants': '1',
      'effective size': '2',
      grade: 'sound',
      'plants sown': '1',
      'what cannot be so': '',
    },
  ]);
});

test('a plant says its mother, its father and what it was kept for; a founder none of it', () => {
  const { s, lot, child } = kept();
  const lines = rows(s, 'lineage');
  expect(lines.find(({ plant }) => plant === child)).toMatchObject({
    lot,
    mothers: "'=Slate Dome 1",
    'father plants': "'=Slate Dome 2",
    'cutting of': '',
    'kept for': 'early',
  });
  expect(lines.filter(({ mothers }) => mothers === '')).toHaveLength(2);
});
