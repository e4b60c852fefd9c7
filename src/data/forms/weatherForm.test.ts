import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { validateEvent, fold, type AnyEvent, type Goal } from '@core/ledger';
import { NO_GOAL } from '@core/goals';
import { TestGarden } from '@core/testGarden';
import type { Units } from '../device/prefs';
import { goalForm, goalOf, goalSoFar, typedGoal, type ReadGoal } from './goalForm';
import { readTyped } from './typed';
import {
  daysOf,
  readTable,
  weatherDay,
  weatherDrafts,
  weatherForm,
  type ReadWeather,
  type TypedWeather,
} from './weatherForm';

// Daily weather of Seattle-Tacoma, 2012-2015 (NOAA), as the package vega-datasets 3.2.1 carries it.
const seattle = readFileSync(
  join(__dirname, '../../../node_modules/vega-datasets/data/seattle-weather.csv'),
  'utf8',
);

describe('a weather file', () => {
  test('real daily weather: columns guessed, every day read, numbers as they stand in the file', () => {
    const table = readTable(seattle);
    expect(table.guess).toEqual({ date: 0, rainMm: 1, maxC: 2, minC: 3 });
    const { days, wrong } = daysOf(table, table.guess, 'metric');
    expect(wrong).toEqual([]);
    expect(days).toHaveLength(1461);
    expect(days[1]).toEqual({
      date: '2012-01-02',
      minC: 2.8,
      maxC: 10.6,
      rainMm: 10.9,
      dewPointC: null,
      felt: null,
    });
    // Wet winters, dry summers: the columns are not swapped.
    const rain = (month: string) =>
      days
        .filter(({ date }) => date.slice(5, 7) === month)
        .reduce((sum, { rainMm }) => sum + (rainMm ?? 0), 0);
    expect(rain('11')).toBeGreaterThan(4 * rain('07'));
  });

  test('goes into the ledger a year at a time, and comes out day by day', () => {
    const garden = new TestGarden();
    const table = readTable(seattle);
    const drafts = weatherDrafts(garden.patchId, daysOf(table, table.guess, 'metric').days);
    expect(drafts).toHaveLength(4);
    const events = drafts.map((draft) => garden.write(garden.time('2026-07-01', 9), draft));
    for (const event of events) expect(validateEvent(event)).toMatchObject({ ok: true });
    const [patch] = [...fold(garden.events as AnyEvent[]).patches.values()];
    expect(Object.keys(patch?.weather ?? {})).toHaveLength(1461);
    expect(patch?.weather['2015-12-31']).toMatchObject({ minC: -2.1, maxC: 5.6, origin: 'file' });
  });

  test.each([
    ['tmin', 'tmax'],
    ['TMIN', 'TMAX'],
    ['Min temp', 'Max temp'],
    ['Minimum temperature (C)', 'Maximum temperature (C)'],
    ['low', 'high'],
  ])('%s and %s are known by their names; minutes, wind and humidity are not taken for them', (low, high) => {
    const { guess } = readTable(`Date,minutes,max wind,min humidity,${high},${low}\n2026-07-01,1,2,3,4,5\n`);
    expect(guess).toEqual({ date: 0, maxC: 4, minC: 5 });
  });

  test('US units are turned; a swapped column is put right by hand', () => {
    const table = readTable('day;x\n'.replace(';', ',') + '2026-07-01,86\n');
    expect(table.guess).toEqual({ date: 0 });
    expect(daysOf(table, { date: 0, maxC: 1 }, 'us').days[0]?.maxC).toBe(30);
  });

  test.each([
    ['nothing', ''],
    ['one line', 'date,tmin'],
    ['one column', 'date\n2026-07-01'],
    ['a photograph', '\u0000\u0001\u0002PNG'],
  ])('%s is answered in words', (_name, text) => {
    expect(() => readTable(text)).toThrow(/^The file: a weather table needs/);
  });

  test('a bad line is named and costs no other', () => {
    const table = readTable(
      [
        'date,tmin,tmax,rain',
        '2026-07-01,12,24,0',
        '2026-02-30,12,24,0',
        '2026-07-03,30,20,0',
        '2026-07-04,=1+1,24,0',
        '2026-07-05,12,240,0',
        '2026/7/6,12,NA,-',
        '',
      ].join('\n'),
    );
    const { days, wrong } = daysOf(table, table.guess, 'metric');
    expect(days.map(({ date }) => date)).toEqual(['2026-07-01', '2026-07-06']);
    expect(days[1]).toMatchObject({ maxC: null, rainMm: null });
    expect(wrong.map(({ line }) => line)).toEqual([3, 4, 5, 6]);
    expect(wrong[2]?.message).toBe('tmin: "=1+1" is not a number');
  });
});

describe('weather by hand', () => {
  const typed = (more: Partial<TypedWeather>): TypedWeather => ({
    dew: '',
    wind: null,
    minimum: '',
    maximum: '',
    rain: '',
    felt: null,
    ...more,
  });
  const dayOf = (more: Partial<TypedWeather>, units: Units) => {
    const read = readTyped<ReadWeather>(weatherForm(units), typed(more));
    return read.ok ? weatherDay('2026-07-14', read.value) : read.wrong;
  };
  test('point or comma, metric or US', () => {
    expect(dayOf({ minimum: ' 14,5 ', maximum: '28' }, 'metric')).toMatchObject({
      minC: 14.5,
      maxC: 28,
      rainMm: null,
    });
    expect(dayOf({ maximum: '86', rain: '1' }, 'us')).toMatchObject({ maxC: 30, rainMm: 25.4 });
    expect(dayOf({ felt: 'warm' }, 'metric')).toMatchObject({ felt: 'warm' });
    expect(dayOf({ dew: '68', wind: 270 }, 'us')).toMatchObject({ dewPointC: 20, windFromDeg: 270 });
  });
  test.each([
    ['minimum', typed({ minimum: 'cold' })],
    ['minimum', typed({})],
    ['maximum', typed({ minimum: '20', maximum: '10' })],
    ['maximum', typed({ maximum: '99' })],
    ['rain', typed({ rain: '-1' })],
    ['dew', typed({ dew: 'wet' })],
    ['dew', typed({ dew: '41' })],
    ['dew', typed({ maximum: '20', dew: '24' })],
  ])('%s: what cannot be is answered at its field', (field, wrong) => {
    const read = readTyped(weatherForm('metric'), wrong);
    expect(!read.ok && Object.keys(read.wrong)).toEqual([field]);
  });
});

describe('the goal form', () => {
  const whole: Goal = {
    kitchenFruits: 12,
    seed: { amount: 900, unit: 'grams' },
    mothers: 8,
    fathers: null,
    fatherVariety: null,
    by: '2026-10-01',
    precious: 'rare',
    assurance: 0.95,
    bent: { seedsPerFruit: 250, setShare: 0.5, wholeShare: 0.9, malesPerFemale: 3 },
  };
  const fine: Goal = {
    ...whole,
    seed: { amount: 12.125, unit: 'grams' },
    bent: { seedsPerFruit: 250.5, setShare: 0.125, wholeShare: 1 / 8 },
  };
  test.each([whole, fine, NO_GOAL])('gives back what it was given', (goal) => {
    const read = readTyped<ReadGoal>(goalForm, typedGoal(goal));
    expect(read.ok && goalOf(read.value)).toEqual(goal);
    expect(goalSoFar(typedGoal(goal))).toEqual(goal);
  });
  test.each([
    ['amount', { amount: '-3' }],
    ['amount', { amount: '<b>' }],
    ['kitchen', { kitchen: '2.5' }],
    ['by', { by: '2026-02-30' }],
    ['amount', { amount: '0.05' }],
    ['seedsPerFruit', { seedsPerFruit: '0' }],
    ['seedsPerFruit', { seedsPerFruit: '0.5' }],
    ['setShare', { setShare: '0.5' }],
    ['setShare', { setShare: '101' }],
    ['wholeShare', { wholeShare: 'all' }],
  ])('%s: a wrong field is named, and counts as empty', (field, wrong) => {
    const typed = { ...typedGoal(whole), ...wrong };
    const read = readTyped(goalForm, typed);
    expect(!read.ok && Object.keys(read.wrong)).toEqual([field]);
    const { goal } = typed;
    const empty = { ...typedGoal(whole), [field]: field === 'by' ? null : '', goal };
    expect(goalSoFar(typed)).toEqual(goalSoFar(empty));
  });
});
