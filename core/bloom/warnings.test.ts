import { cropOf } from '../crops';
import { walkOrder } from '../patch';
import type { WeatherDay } from '../sky';
import { TestGarden, TEST_PLACE } from '../testGarden';
import { addDays } from '../time';
import { bloomDayOf, isSticky, weatheredCrops, weatherWarnings } from '.';

const DATE = '2026-07-14';
const day = (more: Partial<WeatherDay> = {}): WeatherDay => ({
  date: DATE,
  minC: 16,
  maxC: 26,
  meanC: 21,
  spreadC: 1,
  rainMm: 0,
  dewPointC: null,
  cloudPct: 30,
  windFromDeg: null,
  source: 'station',
  ...more,
});
const celsius = (value: number) => `${Math.round(value)} °C`;
const warned = (crops: readonly string[], each: WeatherDay, before: WeatherDay[] = [], small = false) =>
  weatherWarnings(
    crops.map((id) => ({ crop: cropOf(id as never), small })),
    each,
    { before, degrees: celsius },
  );
const kinds = (...asked: Parameters<typeof warned>) => warned(...asked).map(({ kind }) => kind);

describe('warnings', () => {
  const before = (each: WeatherDay, days = 1) => ({ ...each, date: addDays(DATE, -days) });

  test('rain all morning, early heat, and people in the heat, whoever measured it', () => {
    expect(kinds(['squash-maxima'], day({ rainMm: 12 }))).toEqual(['rain']);
    expect(kinds(['squash-maxima'], day({ maxC: 33, dewPointC: 5 }))).toContain('early-heat');
    expect(kinds(['corn'], day({ maxC: 35, dewPointC: 24 }))).toEqual(['people']);
    // A note by hand seldom holds a dew point: hot is hot.
    expect(kinds(['corn'], day({ maxC: 36, source: 'hand' }))).toContain('people');
    expect(kinds(['squash-maxima', 'tomato'], day({ source: 'climate', maxC: 45, rainMm: null }))).toEqual(
      [],
    );
    // Rain that was noted on a day of which nobody knows the warmth.
    expect(kinds(['squash-maxima'], day({ source: 'climate', maxC: 45, rainMm: 50 }))).toEqual(['rain']);
  });

  test('hot days or hot nights on end cut what tomatoes set, both together end it; one day is not days', () => {
    const hotDay = day({ minC: 18, maxC: 33, dewPointC: 5 });
    const hotNight = day({ minC: 22, maxC: 30, dewPointC: 5 });
    const both = day({ minC: 22, maxC: 33, dewPointC: 5 });
    const words = (each: WeatherDay, small = false) =>
      warned(['tomato'], each, [before(each)], small).find(({ kind }) => kind === 'heat')?.words ?? null;
    expect(kinds(['tomato'], both)).not.toContain('heat');
    expect(words(hotDay)).toContain('set less');
    expect(words(hotNight)).toContain('Nights over 21 °C');
    expect(words(both)).toContain('drop');
    // Small-fruited kinds still set: only both together are said of them.
    expect(words(hotDay, true)).toBeNull();
    expect(words(both, true)).toContain('even small-fruited');
    expect(kinds(['squash-maxima'], both, [before(both)])).not.toContain('heat');
    // A day that is missing, or that nobody knows, lies between: these are no days on end.
    expect(kinds(['tomato'], both, [before(both, 2)])).not.toContain('heat');
    const unknown = day({ source: 'climate', maxC: 40, minC: 25 });
    expect(kinds(['tomato'], both, [before(both, 2), before(unknown)])).not.toContain('heat');
  });

  test('sticky air for days, cold nights, peppers and corn each by their own limits', () => {
    const moist = day({ dewPointC: 19 });
    expect(kinds(['tomato'], moist, [before(moist)])).toContain('moist-air');
    expect(kinds(['tomato'], moist, [before(day({ dewPointC: 18 }))])).not.toContain('moist-air');
    expect(kinds(['tomato'], day({ minC: 12.5 }))).toEqual(['cold-nights']);
    expect(kinds(['tomato'], day({ minC: 13 }))).toEqual([]);
    expect(kinds(['pepper'], day({ minC: 14.5 }))).toEqual(['cold-nights']);
    const hot = day({ minC: 18, maxC: 33, dewPointC: 5 });
    expect(kinds(['pepper'], hot, [before(hot)])).toContain('heat');
    expect(kinds(['corn'], day({ maxC: 36, dewPointC: 8 }))).toContain('heat');
    expect(kinds(['corn'], day({ maxC: 36, dewPointC: 16 }))).not.toContain('heat');
    // What dries silk is the air's thirst, not the warmth alone: 33 C over a desert's dew point, and not 36 over a wet one's.
    expect(kinds(['corn'], day({ maxC: 33, dewPointC: 0 }))).toContain('heat');
    expect(kinds(['corn'], day({ maxC: 40, dewPointC: 17 }))).toContain('heat');
    // A dew point above the day's warmth was noted wrong: nothing follows from it.
    expect(kinds(['corn'], day({ maxC: 30, dewPointC: 31 }))).not.toContain('heat');
  });

  test('aubergines and vines suffer too, each later than a tomato; gourds love the heat', () => {
    const at = (maxC: number) => day({ minC: 18, maxC, dewPointC: 5 });
    const hot = (crop: string, maxC: number) => kinds([crop], at(maxC), [before(at(maxC))]).includes('heat');
    expect(['aubergine', 'squash-maxima', 'cucumber'].map((crop) => hot(crop, 34))).toEqual([
      false,
      false,
      false,
    ]);
    expect(['aubergine', 'squash-maxima', 'cucumber'].map((crop) => hot(crop, 36))).toEqual([
      true,
      true,
      true,
    ]);
    expect(['melon', 'watermelon'].map((crop) => [hot(crop, 37), hot(crop, 39)])).toEqual([
      [false, true],
      [false, true],
    ]);
    expect(hot('luffa', 45)).toBe(false);
    expect(kinds(['aubergine'], day({ minC: 14 }))).toEqual(['cold-nights']);
  });

  test('anthers that open late are said before the round only where they take half the good hours', () => {
    const { state } = new TestGarden();
    const cold = (minC: number, maxC: number) => {
      const weather = day({ minC, maxC });
      const bloomDay = bloomDayOf(state, TEST_PLACE, DATE, () => weather);
      return weatherWarnings([{ crop: cropOf('squash-pepo') }, { crop: cropOf('melon') }], weather, {
        degrees: celsius,
        bloomDay,
      }).find(({ kind }) => kind === 'cold-pollen')?.words;
    };
    expect(cold(9.8, 19)).toContain('melons 18 °C');
    expect(cold(9.8, 19)).not.toContain('squash');
    expect(cold(7, 19)).toContain('squash 10 °C, melons');
    // An ordinary night of July: melons wait a little, which the round says when it comes to them.
    expect(cold(15, 28)).toBeUndefined();
  });

  test('small-fruited kinds are spoken of only where a crop has them; sticky air asks days, and spares them', () => {
    const hot = day({ minC: 22, maxC: 33, dewPointC: 19 });
    const words = warned(['pepper'], hot, [before(hot)]).map((each) => each.words);
    expect(words.join()).toContain('peppers set less');
    expect(words.join()).not.toContain('small-fruited');
    const tomato = cropOf('tomato');
    expect(isSticky({ crop: tomato }, hot, [before(hot)])).toBe(true);
    expect(isSticky({ crop: tomato }, hot, [])).toBe(false);
    expect(isSticky({ crop: tomato, small: true }, hot, [before(hot)])).toBe(false);
    expect(isSticky({ crop: cropOf('pepper') }, hot, [before(hot)])).toBe(false);
  });

  test('a crop counts as small-fruited only where every variety of it is said to be', () => {
    const garden = new TestGarden();
    const cherry = garden.plant('tomato', 'Lantern Pip', 1, { reason: 'fruit' });
    const variety = garden.state.varieties.get(cherry.variety);
    if (!variety) throw new Error('no variety');
    const small = () => weatheredCrops(walkOrder(garden.state)).map((each) => each.small);
    expect(small()).toEqual([false]);
    garden.write(garden.time(DATE, 9), {
      kind: 'corrected',
      subject: variety.id,
      target: variety.event,
      changes: { traits: { small: true } },
    });
    expect(small()).toEqual([true]);
    garden.plant('tomato', 'Tallow Bead', 1, { reason: 'fruit' });
    expect(small()).toEqual([false]);
  });

  test('in the grower’s own units', () => {
    const [warning] = weatherWarnings([{ crop: cropOf('tomato') }], day({ minC: 10 }), {
      degrees: (value) => `${Math.round(value * 1.8 + 32)} °F`,
    });
    expect(warning?.words).toContain('55 °F');
    expect(warning?.words).not.toContain('°C');
  });
});
