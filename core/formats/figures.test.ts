import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { logisticRegression } from '../fruitset';
import { fold } from '../ledger';
import { DEMO_PLACE, DEMO_TODAY } from '../simulation';
import { demoSeason } from '../testLogs';
import { ALL, allCases, study } from '../study';
import { csvRows, toCsv, TABLES } from '.';
import { columnWords } from './dictionary';

const state = fold(demoSeason());
const question = {
  today: DEMO_TODAY,
  choice: ALL,
  grouping: 'variety',
  pair: null,
  along: 'minutes',
} as const;

test('every column of every table is in the dictionary, and nothing else is', () => {
  const [, ...said] = csvRows(toCsv(state, 'dictionary', DEMO_TODAY)).map(
    ([table, column]) => `${table}/${column}`,
  );
  const there = TABLES.filter((table) => table !== 'dictionary').flatMap((table) =>
    (csvRows(toCsv(state, table, DEMO_TODAY))[0] ?? []).map((column) => `${table}/${column}`),
  );
  expect(said).toEqual(there);
  for (const each of there) {
    const [table = '', ...column] = each.split('/');
    expect(columnWords(table, column.join('/'))).toBeTruthy();
  }
});

test('one row a thing, ISO days, and as many rows as there are things', () => {
  const rows = (table: (typeof TABLES)[number]) => csvRows(toCsv(state, table, DEMO_TODAY)).slice(1);
  expect(rows('events')).toHaveLength(state.count);
  const looks = [...state.flowers.values()].reduce((sum, flower) => sum + flower.looks.length, 0);
  expect(rows('looks')).toHaveLength(looks);
  const visits = [...state.flowers.values()].reduce((sum, flower) => sum + flower.pollinations.length, 0);
  expect(rows('pollinations')).toHaveLength(visits);
  expect(rows('fruits')).toHaveLength(study(state, DEMO_PLACE, question).curve.followed);
  for (const row of rows('fruits')) expect(row[4]).toMatch(/^\d{4}-\d\d-\d\d$/);
});

const hasR = spawnSync('Rscript', ['--version']).status === 0;
const whereR = hasR ? test : test.skip;

whereR(
  'three figures come out of the tables in R as the app shows them (skipped where R is not installed)',
  () => {
    const folder = mkdtempSync(join(tmpdir(), 'tables-'));
    try {
      for (const table of ['trials', 'fruits'] as const)
        writeFileSync(join(folder, `${table}.csv`), toCsv(state, table, DEMO_TODAY));
      const said = execFileSync('Rscript', [join(__dirname, '../../docs/figures.R'), folder], {
        encoding: 'utf8',
      })
        .trim()
        .split('\n')
        .map((line) => line.split('\t'));
      const of = (what: string) => said.filter(([kind]) => kind === what).map(([, ...rest]) => rest);
      const ours = study(state, DEMO_PLACE, question);
      const shares = ours.shares.filter(({ share }) => share !== null);
      expect(of('share')).toHaveLength(shares.length);
      for (const { id, set, judged, share, low, high } of shares) {
        const name = state.varieties.get(id)?.name;
        const [, k, n, ...bounds] = of('share').find(([variety]) => variety === name) ?? [];
        expect([Number(k), Number(n)]).toEqual([set, judged]);
        [share, low, high].forEach((value, i) => expect(Number(bounds[i])).toBeCloseTo(value ?? NaN, 8));
      }
      expect(of('hang').map(([day, risk]) => [Number(day), Number(risk)])).toEqual(
        ours.curve.latest.map(({ time, atRisk }) => [time, atRisk]),
      );
      of('hang').forEach(([, , hang], i) =>
        expect(Number(hang)).toBeCloseTo(ours.curve.latest[i]?.survival ?? NaN, 8),
      );
      const timed = allCases(state, DEMO_PLACE, DEMO_TODAY).filter(
        ({ judged, minutes }) => judged > 0 && minutes !== null,
      );
      const fit = logisticRegression(
        timed.map(({ set, judged, minutes }) => ({
          successes: set,
          trials: judged,
          covariates: [minutes ?? 0],
        })),
      );
      const [hour = []] = of('hour');
      hour.forEach((value, i) => expect(Number(value)).toBeCloseTo(fit.coefficients[i] ?? NaN, 6));
    } finally {
      rmSync(folder, { recursive: true });
    }
  },
);
