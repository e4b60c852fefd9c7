import { fieldSchema } from '@core/ledger';
import { limitsOf } from './limits';

test.each([
  ['flowerSeen', 'node'],
  ['careGiven', 'reentryHours'],
  ['careGiven', 'daysToHarvest'],
  ['shelterSet', 'lampHours'],
  ['pollinated', 'lobes'],
  ['pollinated', 'openS'],
  ['lotBegun', 'year'],
  ['goalSet', 'goal.bent.malesPerFemale'],
] as const)('the keys for %s %s stop where the ledger does', (kind, field) => {
  const { least, most } = limitsOf(kind, field);
  const part = fieldSchema(kind, field);
  const taken = (value: number) => part.validate(value).error === undefined;
  expect([taken(least - 1), taken(least), taken(most), taken(most + 1)]).toEqual([false, true, true, false]);
});

test('a field without a least or a most is no field for such keys', () => {
  expect(() => limitsOf('flowerSeen', 'ovaryMm')).toThrow('flowerSeen.ovaryMm must have a least and a most');
});
