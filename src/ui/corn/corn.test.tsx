import { fireEvent, screen } from '@testing-library/react-native';
import { cornScouting, type ScoutedPlant } from '@core/corn';
import type { PlantId } from '@core/ids';
import type { Draft } from '@core/ledger';
import { TestGarden } from '@core/testGarden';
import { gardenOf, renderIn } from '../testing';
import { ContradictionCard } from '../today/ContradictionCard';
import { ChainCard } from './ChainCard';
import { ScoutRow } from './ScoutRow';
import { WindTiles } from './WindTiles';

const DAY = '2026-07-14';

function plot(count = 3) {
  const garden = new TestGarden();
  const { plants } = garden.plant('corn', 'Weir Copper', count);
  return {
    garden,
    plants: plants as readonly PlantId[],
    world: () => gardenOf(garden.events, garden.time(DAY, 9)),
  };
}

test('the daily look offers just what can be found on a plant, each with what it records', async () => {
  const { garden, plants, world } = plot(1);
  const bare = garden.see(garden.time('2026-07-13', 8), plants[0] as PlantId, 'female', 'green');
  const saved: Draft[][] = [];
  renderIn(
    await world(),
    <ScoutRow
      scouted={cornScouting(garden.state, garden.place, DAY)[0] as ScoutedPlant}
      busy={false}
      onSave={(...drafts) => saved.push(drafts)}
    />,
  );
  expect(screen.getByText(/1 ear no bag yet · tassel not shedding yet/)).toBeTruthy();
  fireEvent.press(screen.getByText('Bag on ear 1'));
  fireEvent.press(screen.getByText('Ear 1: silk, no bag'));
  fireEvent.press(screen.getByText('Nothing new'));
  expect(saved).toMatchObject([
    [{ kind: 'flowerShut', flower: bare, closure: 'shoot-bag' }],
    [{ kind: 'flowerSeen', flower: bare, stage: 'open' }],
    [{ kind: 'plantPassed', plant: plants[0] }],
  ]);
});

test('a wind that is known stands aside; a new one is noted for today and says nothing of the rest of the day', async () => {
  const { world } = plot(1);
  const saved: Draft[] = [];
  renderIn(
    await world(),
    <WindTiles fromDeg={225} busy={false} onSave={(draft) => saved.push(draft as Draft)} />,
  );
  expect(screen.queryByText('north')).toBeNull();
  fireEvent.press(screen.getByText('The wind has turned'));
  fireEvent.press(screen.getByText('east'));
  expect(saved).toMatchObject([
    {
      kind: 'weatherNoted',
      origin: 'hand',
      days: [{ date: DAY, windFromDeg: 90, maxC: null, rainMm: null }],
    },
  ]);
});

test('the chain is not spoken of before the first ear, and then names who is neither', async () => {
  const { garden, plants, world } = plot();
  const { unmount } = renderIn(await world(), <ChainCard />);
  expect(screen.queryByText('The chain')).toBeNull();
  unmount();
  const [mother, father] = plants as [PlantId, PlantId];
  const ear = garden.see(garden.time('2026-07-08', 9), mother, 'female', 'green');
  garden.write(garden.time('2026-07-08', 9, 5), { kind: 'flowerShut', flower: ear, closure: 'shoot-bag' });
  const tassel = garden.see(garden.time('2026-07-13', 9), father, 'male', 'open');
  garden.write(garden.time('2026-07-13', 16), { kind: 'flowerShut', flower: tassel, closure: 'tassel-bag' });
  garden.work(garden.time(DAY, 8), ear, [tassel], { tool: 'pouring', shutAgain: 'tassel-bag' });
  renderIn(await world(), <ChainCard />);
  expect(
    screen.getByText(/Weir Copper, 3 plants: 1 mother and 1 father so far\. Neither yet: 3\./),
  ).toBeTruthy();
});

test('what two devices can’t both be right about stands side by side; where nothing does, no card stands', async () => {
  const garden = new TestGarden();
  const [plant] = garden.plant('squash-maxima', 'Slate Dome', 1).plants as [PlantId];
  const flower = garden.shut('2026-07-13', plant, 'female');
  const world = () => gardenOf(garden.events, garden.time(DAY, 9));
  const { unmount } = renderIn(await world(), <ContradictionCard />);
  expect(screen.queryByText('Which is true?')).toBeNull();
  unmount();
  for (const [device, result, minute] of [
    ['phone', 'whole', 1],
    ['tablet', 'torn', 5],
  ] as const)
    garden.write(
      garden.time(DAY, 6, minute),
      { kind: 'closureChecked', flower, result, device } as unknown as Draft,
      device === 'phone' ? 'Vesna' : 'Tilen',
    );
  renderIn(await world(), <ContradictionCard />);
  expect(await screen.findByText('Which is true?')).toBeTruthy();
  expect(screen.getByText(/^whole: Slate Dome 1/)).toBeTruthy();
  expect(screen.getByText(/^torn: Slate Dome 1/)).toBeTruthy();
  expect(screen.getByText(/^Vesna, /)).toBeTruthy();
  expect(screen.getAllByText('This is true')).toHaveLength(2);
});
