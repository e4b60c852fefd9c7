import { DEFAULT_SCHOOLS } from '../crops';
import { demoSeason } from '../testLogs';
import { SCHEMA_VERSION, SUBJECT_FIELD, validateEvent, eventSchema, type EventKind } from '.';

const patch = 'patch:01J00000000000000000000001';
const begun = {
  id: '01J00000000000000000000001',
  v: 1,
  at: '2026-05-16T07:00:00.000Z',
  by: 'Oda',
  device: 'test',
  kind: 'patchBegun',
  patch,
  name: 'Home',
};

function refusal(change: object) {
  const result = validateEvent({ ...begun, ...change });
  return result.ok ? 'accepted' : `${result.field}: ${result.message}`;
}

test('every kind has a schema and a subject', () => {
  for (const [kind, field] of Object.entries(SUBJECT_FIELD)) {
    const { keys } = eventSchema(kind as EventKind).describe() as { keys: Record<string, object> };
    expect(Object.keys(keys)).toEqual(
      expect.arrayContaining(['id', 'v', 'at', 'by', 'device', 'kind', field]),
    );
  }
  expect(Object.keys(DEFAULT_SCHOOLS)).not.toHaveLength(0);
});

test('a whole demo season passes', () => {
  expect(demoSeason(5).filter((event) => !validateEvent(event).ok)).toEqual([]);
});

test.each([
  ['a name of 10 000 characters', { name: 'x'.repeat(10_000) }, 'name: "name" is longer than 80 characters.'],
  ['an empty name', { name: '' }, 'name: "name" is empty.'],
  [
    'a name that turns the writing round',
    { name: 'safe\u202Egnp.exe' },
    'name: "name" holds characters that cannot be seen or that turn the writing round.',
  ],
  ['year 0', { at: '0000-01-01T00:00:00.000Z' }, 'at: "at" is not a time between 1990 and 2200'],
  ['year 9999', { at: '9999-12-31T23:59:59.000Z' }, 'at: "at" is not a time between 1990 and 2200'],
  [
    'a day that does not exist',
    { at: '2026-02-31T05:00:00.000Z' },
    'at: "at" is not a time between 1990 and 2200',
  ],
  ['a time in words', { at: 'this morning' }, 'at: "at" is not a time'],
  ['a missing field', { name: undefined }, 'name: "name" is missing.'],
  ['a field too many', { colour: 'red' }, 'colour: "colour" does not belong here.'],
  [
    'an id of another kind',
    { patch: 'bed:01J00000000000000000000001' },
    'patch: "patch" is not an id of ours.',
  ],
  ['a number written as text', { v: '1' }, 'v:'],
  ['a newer schema', { v: SCHEMA_VERSION + 1 }, 'v: This event was written by a newer version'],
])('%s is answered with its field', (_name, change, answer) => {
  expect(refusal(change)).toContain(answer);
});

test('markup in a name is only text, and stays as it was typed', () => {
  expect(refusal({ name: '<img src=x onerror=alert(1)>' })).toBe('accepted');
});

test('keys that reach into objects are refused, however deep', () => {
  const hostile: unknown = JSON.parse(
    `{"id":"01J00000000000000000000001","v":1,"at":"2026-05-16T07:00:00.000Z","by":"","device":"d","kind":"later","extra":{"a":{"__proto__":{"polluted":true}}}}`,
  );
  expect(validateEvent(hostile)).toMatchObject({ ok: false, field: '__proto__' });
  expect(({} as { polluted?: boolean }).polluted).toBeUndefined();
});

test.each([[null], [7], ['text'], [[]]])('%p is not an event', (value) => {
  expect(validateEvent(value)).toMatchObject({ ok: false, field: 'event' });
});

test('dates of planting are real days within reason', () => {
  const planted = (plantedOn: unknown) =>
    validateEvent({
      ...begun,
      kind: 'plantAdded',
      patch: undefined,
      name: undefined,
      plant: 'plant:01J00000000000000000000001',
      stand: 'stand:01J00000000000000000000001',
      label: '1',
      xM: 0,
      yM: 0,
      plantedOn,
    });
  expect(planted('2026-02-29')).toMatchObject({ ok: false });
  expect(planted('9999-01-01')).toMatchObject({ ok: false });
});
