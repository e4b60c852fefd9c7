import { fireEvent, screen } from '@testing-library/react-native';
import { TestGarden } from '@core/testGarden';
import { gardenOf, renderIn } from '../testing';
import { DateField, type DateFieldProps } from './DateField';

async function field(props: Partial<DateFieldProps>) {
  const garden = new TestGarden();
  const given: (string | null)[] = [];
  renderIn(
    await gardenOf(garden.events, garden.time('2026-07-14', 6)),
    <DateField label="Sown on" value={null} onChange={(value) => given.push(value)} {...props} />,
  );
  return { given, type: (text: string) => fireEvent.changeText(screen.getByLabelText('Sown on'), text) };
}

test.each([
  ['2026-02-30', {}, 'There is no such day.'],
  ['2026-07-15', { most: '2026-07-14' }, 'That day is still to come.'],
  ['1899-12-31', { least: '2000-01-01' }, 'That day is too long ago.'],
  ['2026-07-01', { least: '2026-07-14', early: 'That day is past.' }, 'That day is past.'],
])('%s with %j is no day to keep, and says why', async (text, props, words) => {
  const { given, type } = await field(props);
  type(text);
  expect(given).toEqual([null]);
  expect(screen.getByText(words)).toBeTruthy();
});

test('half a day is none yet, and nothing is wrong with an empty field', async () => {
  const { given, type } = await field({ most: '2026-07-14' });
  type('');
  type('2026-07-14');
  expect(given).toEqual([null, '2026-07-14']);
  expect(screen.queryByRole('alert')).toBeNull();
});

test('a day stands in words under its field; of one that comes every year, without the year', async () => {
  await field({ value: '2026-10-05' });
  expect(screen.getByText('Monday 5 October 2026')).toBeTruthy();
  screen.unmount();
  await field({ value: '2026-10-05', everyYear: true });
  expect(screen.getByText('5 October')).toBeTruthy();
});
