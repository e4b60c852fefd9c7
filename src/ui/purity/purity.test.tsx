import { screen } from '@testing-library/react-native';
import type { ProofLink, ProofLinkKind } from '@core/purity';
import { gardenOf, renderIn } from '../testing';
import { TestGarden } from '@core/testGarden';
import { ProofDrawing } from './ProofDrawing';
import { chainWords, shareWords, stillToDo } from './words';

const link = (kind: ProofLinkKind, state: ProofLink['state'], until: string | null = null): ProofLink => ({
  link: kind,
  state,
  says: 'nobody-said',
  events: [],
  until,
});
const LINKS = [link('whole', 'seen'), link('clean', 'not-recorded'), link('shut-again', 'broken')];
test('the drawing of a chain says in words all that it shows', async () => {
  const garden = new TestGarden();
  renderIn(
    await gardenOf(garden.events, garden.time('2026-07-14', 6)),
    <ProofDrawing links={LINKS} grade="not-pure" height={18} />,
  );
  expect(
    screen.getByLabelText(
      'Proof not pure; 1 of 3 links seen; not recorded: nothing carried over; broken: shut again',
    ),
  ).toBeTruthy();
});

test.each([
  [{ low: 0, likely: 0.001, high: 0.004 }, 'Foreign fathers: likely under 0.5 % of its seed.'],
  [{ low: 0, likely: 0.02, high: 0.25 }, 'Foreign fathers: likely 2 %, 0 to 25 % of its seed.'],
  [{ low: 0.012, likely: 0.05, high: 0.4 }, 'Foreign fathers: likely 5 %, 1.2 to 40 % of its seed.'],
])('a share of %j in words', (share, words) => {
  expect(shareWords(share)).toBe(words);
});

test('what can still be made good is said with its day, and nothing where it is too late', () => {
  expect(stillToDo(link('kept-shut', 'not-recorded', '2026-07-16'))).toBe(
    'Still to do: look at its closure, by 16 July.',
  );
  expect(stillToDo(link('kept-shut', 'not-recorded'))).toBeNull();
  expect(stillToDo(link('clean', 'not-recorded', '2026-07-16'))).toBeNull();
  expect(chainWords([link('whole', 'seen')], 'sound')).toBe('Proof sound; 1 of 1 links seen');
});
