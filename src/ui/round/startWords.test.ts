import type { PlantId } from '@core/ids';
import { nextRounds, pollinationRound, type PollinationRound } from '@core/rounds';
import { clockText } from '@core/time';
import { TestGarden } from '@core/testGarden';
import { startWords } from './startWords';

const DAY = '2026-07-14';

/** A squash and a watermelon, a female of each shut for the morning. */
function both() {
  const garden = new TestGarden();
  const [squash] = garden.plant('squash-maxima', 'Slate Dome', 1).plants as [PlantId];
  const [melon] = garden.plant('watermelon', 'Cold Lantern', 1).plants as [PlantId];
  const shut = [squash, melon].map((plant) => garden.shut('2026-07-13', plant, 'female'));
  const round = () => pollinationRound(garden.state, garden.place, DAY, 'dawn') as PollinationRound;
  const words = (hour: number, minute = 0) =>
    startWords(round(), garden.time(DAY, hour, minute), (at) => clockText(at, garden.place.zone, false));
  const leads = (hour: number) =>
    nextRounds(garden.state, garden.place, garden.time(DAY, hour)).some(
      ({ kind, date }) => kind === 'dawn' && date === DAY,
    );
  return { garden, squash: shut[0] as never, melon: shut[1] as never, words, leads };
}

test('a round names the one time that matters now: from when, by when, when the bees come, till when its flowers are open', () => {
  const { words } = both();
  expect(words(4)).toMatch(/^start by 06:\d\d$/);
  expect(words(6, 22)).toMatch(/^bees from 06:\d\d$/);
  expect(words(12)).toMatch(/^shut by about 1[3-6]:\d\d$/);
});

test('each crop ends the round by its own hours: with the watermelon done it is over when the squash has shut', () => {
  const { garden, melon, leads } = both();
  expect(leads(9)).toBe(true);
  expect(leads(12)).toBe(true);
  garden.work(garden.time(DAY, 8), melon, []);
  expect(leads(9)).toBe(true);
  expect(leads(12)).toBe(false);
});
