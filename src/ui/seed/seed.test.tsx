import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import type { FlowerId, PlantId } from '@core/ids';
import { growOutOf, mixingOf, treeOf } from '@core/lineage';
import { growing } from '@core/patch';
import { lotStanding, seedOverview } from '@core/seed';
import { Seasons } from '@core/testSeasons';
import { lotDraft, lotForm, lotYear, type ReadLot, type TypedLot } from '@/data/forms/lotForm';
import { readTyped } from '@/data/forms/typed';
import { gardenOf, renderIn } from '../testing';
import { FamilyTree, generationOf, relation, stepFrom } from './FamilyTree';
import { GrowOutCard } from './GrowOutCard';
import { GrowOutSheet } from './GrowOutSheet';
import { LotFruits } from './LotFruits';
import { LotRow } from './LotRow';
import { LotSheet } from './LotSheet';
import { MixingCard, SmallCard } from './MixingCard';
import { PlantSeed } from './PlantSeed';
import { SownHere } from './SownHere';
import { SownTiles } from './SownTiles';
import { generationText, percentText, plantsText } from './words';

const NOW = Date.parse('2026-10-20T10:00:00Z');

/** Two fruits of four plants in a lot, and two plants sown from it. */
function kept() {
  const s = new Seasons(2026);
  const { variety, plants } = s.stand('Slate Dome', 4);
  const [a, b, c, d] = plants as [PlantId, PlantId, PlantId, PlantId];
  const fruits = [s.fruit(a, [b], 'F2-Y'), s.fruit(c, [d], 'F3-R')] as [FlowerId, FlowerId];
  const lot = s.lot(variety, fruits);
  const next = s.stand('Slate Dome', 2);
  s.sow(next.stand, lot);
  const view = () => {
    const found = s.state.lots.get(lot);
    if (!found) throw new Error('no lot');
    return found;
  };
  return { s, variety, a, b, fruits, lot, view, next: next.plants };
}

describe('the tree', () => {
  test('places are told by whose mother or father they are', () => {
    expect(['', 'm', 'mf', 'ffm'].map(relation)).toEqual([
      'itself',
      'mother',
      'mother’s father',
      'father’s father’s mother',
    ]);
  });

  test('arrow keys: up to the mother, down to the child, along a generation and no further', () => {
    expect(stepFrom('m', 'ArrowUp')).toBe('mm');
    expect(stepFrom('mf', 'ArrowDown')).toBe('m');
    expect(stepFrom('', 'ArrowDown')).toBeNull();
    expect(stepFrom('mf', 'ArrowRight')).toBe('fm');
    expect(stepFrom('fm', 'ArrowLeft')).toBe('mf');
    expect([stepFrom('mm', 'ArrowLeft'), stepFrom('ff', 'ArrowRight'), stepFrom('m', 'x')]).toEqual([
      null,
      null,
      null,
    ]);
  });

  test('a mixed lot shows as one of several, and a place opens', async () => {
    const { s, next } = kept();
    const root = treeOf(s.state, next[0] as PlantId, 2);
    const opened: unknown[] = [];
    renderIn(
      await gardenOf(s.garden.events, NOW),
      <FamilyTree root={root} generations={2} onOpen={(place) => opened.push(place.plants.length)} />,
    );
    fireEvent.press(screen.getByLabelText('mother: one of 2, Slate Dome'));
    expect(opened).toEqual([2]);
    expect(generationOf(root, 2).map(([, place]) => place)).toEqual([null, null, null, null]);
  });
});

const SOME_VARIETY = 'variety:01J0000000000000000000000V';

describe('a lot', () => {
  test('the form names what is wrong, and keeps only what was said', () => {
    const form: TypedLot = { variety: null, from: 'fruits', fruits: [], year: 2026, note: ' x ' };
    const known = { ...form, variety: SOME_VARIETY };
    const given = { ...known, from: 'given' as const, fruits: ['flower:1' as const] };
    const wrong = (typed: TypedLot) => {
      const read = readTyped(lotForm, typed);
      return read.ok ? [] : Object.keys(read.wrong);
    };
    expect([form, known, { ...given, note: 'x'.repeat(201) }, given].map(wrong)).toEqual([
      ['variety', 'fruits'],
      ['fruits'],
      ['note'],
      [],
    ]);
    const read = readTyped<ReadLot>(lotForm, given);
    expect(read.ok && lotDraft('lot:1', 'patch:1', read.value, 2026)).toMatchObject({
      fruits: [],
      note: 'x',
      from: 'given',
      year: 2026,
    });
    const years = (['fruits', 'bought'] as const).map((from) => lotYear({ ...form, year: null, from }, 2026));
    expect(years).toEqual([2026, 2025]);
  });

  test('is begun from the fruits that wait for one', async () => {
    const s = new Seasons(2026);
    const { variety, plants } = s.stand('Slate Dome', 2);
    const [a, b] = plants as [PlantId, PlantId];
    s.fruit(a, [b], 'F2-Y');
    const begun: unknown[] = [];
    const store = await gardenOf(s.garden.events, NOW);
    renderIn(store, <LotSheet start={{ variety, from: 'fruits' }} onClose={(lot) => begun.push(lot)} />);
    fireEvent.press(screen.getByText('Begin the lot'));
    expect(await screen.findByText(/^Tick the fruits/)).toBeTruthy();
    fireEvent.press(screen.getByText('F2-Y'));
    fireEvent.press(screen.getByText('Begin the lot'));
    await waitFor(() => expect(begun).toHaveLength(1));
    expect(store.ledger.state.lots.size).toBe(1);
  });

  test('in a list: fruits, worth, what was sown, the proof', async () => {
    const { s } = kept();
    const { lots, coming } = seedOverview(s.state, '2026-10-20');
    expect(coming).toMatchObject([{ name: 'Slate Dome', fruits: 2, size: 4 }]);
    renderIn(
      await gardenOf(s.garden.events, NOW),
      <>
        {lots.map((lot) => (
          <LotRow key={lot.lot} lot={lot} onOpen={() => undefined} />
        ))}
      </>,
    );
    expect(
      screen.getByLabelText(
        'Slate Dome 2026: squash (maxima) · 2 fruits · worth 4 plants · 2 plants sown from it; proof sound',
      ),
    ).toBeTruthy();
  });
});

describe('growing out', () => {
  async function card(write: (s: Seasons, of: ReturnType<typeof kept>) => void, first = false) {
    const made = kept();
    write(made.s, made);
    const finding = growOutOf(made.s.state, made.view());
    renderIn(
      await gardenOf(made.s.garden.events, NOW),
      <GrowOutCard lot={made.view()} finding={finding} first={first} onCount={() => undefined} />,
    );
  }

  test('nothing yet: plants that merely stand there prove nothing', async () => {
    await card(() => undefined);
    expect(screen.getByText(/^Nothing was grown out and counted yet\./)).toBeTruthy();
  });

  test('none of sixty: what that proves, and at which stage', async () => {
    await card((s, { lot }) => s.count(lot, null, 60, 0, 'leaf'));
    expect(
      screen.getByText('None of 60 plants was off: with 95 % certainty no more than 4.9 % of the lot is.'),
    ).toBeTruthy();
    expect(screen.getByText(/^Last looked over: leaf and vine\./)).toBeTruthy();
  });

  test('an F1: all crossed, one like its mother, or not alike', async () => {
    await card((s, { lot }) => s.count(lot, null, 4, 0), true);
    expect(screen.getByText('All are crossed, as far as can be seen by now.')).toBeTruthy();
    screen.unmount();
    await card((s, { lot }) => s.count(lot, null, 4, 1, 'fruit', 'like its mother'), true);
    expect(screen.getByText(/^1 of 4 came out like the mother: selfed\./)).toBeTruthy();
    screen.unmount();
    await card((s, { lot }) => s.count(lot, null, 4, 1), true);
    expect(screen.getByText('They are not alike: a parent was not pure.')).toBeTruthy();
  });

  test('off-types by fruit and father, and by whom they stand', async () => {
    await card((s, { lot, fruits: [one, two] }) => {
      s.count(lot, one, 20, 2);
      s.count(lot, two, 20, 0);
    });
    expect(screen.getByText('Fruit F2-Y: 2 of 20 off')).toBeTruthy();
    expect(screen.getByText(/^All off-types came from fruits of one father, Slate Dome 2;/)).toBeTruthy();
    expect(screen.getByText('2 × round fruit, pulled after they shed pollen')).toBeTruthy();
  });
});

test('how a lot is mixed, in numbers and words', async () => {
  const { s, variety } = kept();
  const mixture = mixingOf(s.state, variety, '2026');
  renderIn(
    await gardenOf(s.garden.events, NOW),
    <>
      <MixingCard title="So far" mixture={mixture} />
      <SmallCard size={mixture.size} />
    </>,
  );
  expect(screen.getByText('As varied as seed of 4 plants that are unrelated and gave equally.')).toBeTruthy();
  expect(screen.getByText(/^Of all that varies in it 13 % is lost in this generation/)).toBeTruthy();
});

test('a plant says what it was sown from, and is picked out to keep', async () => {
  const { s, next } = kept();
  const store = await gardenOf(s.garden.events, NOW);
  const plant = next[0] as PlantId;
  const found = growing(s.state, plant);
  if (!found) throw new Error('no plant');
  renderIn(store, <PlantSeed growing={found} onTree={() => undefined} />);
  expect(screen.getByText('Sown from Slate Dome 2026.')).toBeTruthy();
  fireEvent.press(screen.getByText('Keep it for …'));
  fireEvent.changeText(screen.getByLabelText('For which trait'), 'early');
  fireEvent.press(screen.getByText('Keep this plant'));
  await waitFor(() =>
    expect(store.ledger.state.plants.get(plant)?.keepers).toMatchObject([{ trait: 'early', note: '' }]),
  );
});

test('generations and shares as they are said', () => {
  const varieties = new Map([
    ['a', { name: 'Lamp' }],
    ['b', { name: 'Dome' }],
  ]) as never;
  const cross = { kind: 'cross', mother: 'a', father: 'b', backcrosses: 0, to: null, selfings: 1 } as const;
  expect(generationText({ varieties }, cross)).toBe('F2 of Lamp × Dome');
  expect(generationText({ varieties }, { ...cross, backcrosses: 2, to: 'a', selfings: 0 })).toBe(
    'BC2 of Lamp × Dome, crossed back to Lamp',
  );
  expect(generationText({ varieties }, { kind: 'f1', variety: 'a', selfings: 1 })).toBe(
    'Lamp, F2 of an F1 hybrid',
  );
  expect([0.125, 0.0312, 1].map(percentText)).toEqual(['13 %', '3.1 %', '100 %']);
  expect([2, 6.44, 12.3].map(plantsText)).toEqual(['2', '6.4', '12']);
});

describe('where a plant comes from', () => {
  async function plantIn(crop: 'strawberry' | 'potato' | 'squash-maxima') {
    const s = new Seasons(2026);
    const [first, second] = s.stand('Sluice Red', 2, crop).plants as [PlantId, PlantId];
    const store = await gardenOf(s.garden.events, NOW);
    renderIn(store, <PlantSeed growing={s.garden.growing(second)} onTree={() => undefined} />);
    return { store, first, second };
  }

  test('a strawberry is said to be a runner of another plant; a squash is not asked', async () => {
    const { store, first, second } = await plantIn('strawberry');
    expect(screen.getByText('From which seed, nobody said.')).toBeTruthy();
    fireEvent.press(screen.getByText('A runner of'));
    fireEvent.press(screen.getByText('Sluice Red 1'));
    await waitFor(() => expect(store.ledger.state.plants.get(second)?.cloneOf).toBe(first));
    screen.unmount();
    await plantIn('squash-maxima');
    expect(screen.queryByText(/^A (cutting|runner|tuber) of$/)).toBeNull();
  });

  test('a potato seedling is named as a variety that began with it', async () => {
    const { store, second } = await plantIn('potato');
    fireEvent.press(screen.getByText('Make it a variety'));
    fireEvent.changeText(screen.getByLabelText('Its name'), 'Number Nine');
    fireEvent.press(screen.getByText('Name the variety'));
    await waitFor(() =>
      expect([...store.ledger.state.varieties.values()].at(-1)).toMatchObject({
        name: 'Number Nine',
        from: second,
      }),
    );
  });

  test('of the lots of its crop one is chosen, and which fruit; until then none shows as chosen', async () => {
    const { s } = kept();
    const chosen: unknown[] = [];
    const tiles = (lot: string | null | undefined) => (
      <SownTiles
        crop="squash-maxima"
        lot={lot}
        fruit={null}
        none="none of these"
        onChange={(...said) => chosen.push(said)}
      />
    );
    const store = await gardenOf(s.garden.events, NOW);
    renderIn(store, tiles(undefined));
    const pressed = () => screen.getAllByRole('button').filter((each) => each.props['aria-pressed'] === true);
    expect(pressed()).toEqual([]);
    fireEvent.press(screen.getByText('none of these'));
    expect(chosen).toEqual([[null, null]]);
    screen.unmount();
    renderIn(store, tiles([...s.state.lots.keys()][0]));
    // The lot, and all of its fruits mixed.
    expect(pressed()).toHaveLength(2);
    fireEvent.press(screen.getByText('F3-R'));
    expect(chosen[1]).toEqual([[...s.state.lots.keys()][0], [...s.state.lots.values()][0]?.fruits[1]]);
  });

  test('nothing is asked of a crop without lots', async () => {
    const { s } = kept();
    renderIn(
      await gardenOf(s.garden.events, NOW),
      <SownTiles crop="corn" lot={null} fruit={null} none="not said" onChange={() => undefined} />,
    );
    expect(screen.queryByText('Sown from which lot?')).toBeNull();
  });
});

test('a count of an F1 offers what a selfed plant is like, and keeps nothing half said', async () => {
  const { s, view, lot } = kept();
  const store = await gardenOf(s.garden.events, NOW);
  let closed = 0;
  renderIn(store, <GrowOutSheet lot={view()} first onClose={() => closed++} />);
  fireEvent.press(screen.getByText('in fruit'));
  fireEvent.press(screen.getByLabelText('Off, found now: one more'));
  fireEvent.press(screen.getByText('Keep the count'));
  expect(await screen.findByText(/^Write what is off about them/)).toBeTruthy();
  fireEvent.press(screen.getByText('like its mother'));
  fireEvent.press(screen.getByText('Keep the count'));
  await waitFor(() => expect(closed).toBe(1));
  expect(store.ledger.state.lots.get(lot)?.growOuts).toMatchObject([
    { grown: 4, stage: 'fruit', off: [{ reason: 'like its mother', count: 1, rogued: null }] },
  ]);
});

test('a stand of which nobody said what it was sown from is said to be from the lot by one tap', async () => {
  const { s, variety } = kept();
  const [stand] = [...s.state.stands.values()];
  const lot = s.lot(variety, [], 2025);
  const store = await gardenOf(s.garden.events, NOW);
  const found = s.state.lots.get(lot);
  if (!found || !stand) throw new Error('no lot');
  renderIn(store, <SownHere lot={found} />);
  fireEvent.press(screen.getByText('4 plants in bed 1: sown from this lot'));
  await waitFor(() =>
    expect(store.ledger.state.stands.get(stand.id)?.sown).toMatchObject({ lot, fruit: null }),
  );
  expect(screen.queryByText(/sown from this lot$/)).toBeNull();
});

test('the fruits of a lot are told with their parents, and open', async () => {
  const { s, view } = kept();
  const { fruits } = lotStanding(s.state, view(), '2026-10-20');
  const opened: string[] = [];
  renderIn(
    await gardenOf(s.garden.events, NOW),
    <LotFruits fruits={fruits} onOpen={(flower) => opened.push(flower)} />,
  );
  fireEvent.press(screen.getByLabelText('F2-Y: Slate Dome 1 × Slate Dome 2; proof sound'));
  expect(opened).toEqual([fruits[0]?.flower.id]);
});
