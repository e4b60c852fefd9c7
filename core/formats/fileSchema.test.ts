import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import Ajv from 'ajv/dist/2020';
import { demoSeason } from '../testLogs';
import { fileSchema, toJson } from '.';
import versionOne from './fixtures/version-1.json';

const check = new Ajv({ strict: false }).compile(fileSchema());

test('the published schema is the one that the code gives', () => {
  const published: unknown = JSON.parse(
    readFileSync(join(__dirname, '../../docs/file-format.schema.json'), 'utf8'),
  );
  // A difference means: npx tsx scripts/schema.ts
  expect(published).toEqual(JSON.parse(JSON.stringify(fileSchema())));
});

test('an independent validator accepts our files by it', () => {
  expect([check(JSON.parse(toJson(demoSeason(4)))), check.errors]).toEqual([true, null]);
  expect(check(versionOne)).toBe(true);
});

test.each([
  ['a bud of no sex we know', { kind: 'flowerSeen', sex: 'both' }],
  ['a negative count of males', { kind: 'malesCounted', count: -1 }],
])('and refuses %s', (_name, change) => {
  const log = demoSeason(4);
  const wrong = log.map((event) => (event.kind === change.kind ? { ...event, ...change } : event));
  expect(check({ format: 'steady-trowel', version: 1, events: wrong })).toBe(false);
});
