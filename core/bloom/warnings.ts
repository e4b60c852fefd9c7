import type { Crop } from '../crops';
import { heatCare, isKnownWeather, type WeatherDay } from '../sky';
import { addDays, type LocalDate } from '../time';
import { weatherShift } from './windows';

export interface WeatherWarning {
  readonly kind: 'rain' | 'early-heat' | 'hot-nights' | 'moist-air' | 'people';
  readonly date: LocalDate;
  /** What is to be expected, and what to do. */
  readonly words: string;
}

/** Tomato pollen fails past these (common practice): warmest of the day, of the night, dew point. */
export const TOMATO_LIMITS = { dayC: 32, nightC: 21, dewPointC: 19 } as const;
/** From this much on a morning counts as wet [M]. */
const WET_MM = 1;
/** Days in a row that make "days on end" [M]. */
const IN_A_ROW = 2;

/**
 * What the weather of a day means for the work, worst first. `before` are the days up to it, oldest first. Says nothing
 * of days that nobody measured or foretold. Rules: common practice; people in the heat: `heatCare`.
 */
export function weatherWarnings(
  crops: readonly Crop[],
  day: WeatherDay,
  before: readonly WeatherDay[] = [],
): WeatherWarning[] {
  if (!isKnownWeather(day)) return [];
  const warnings: WeatherWarning[] = [];
  const add = (kind: WeatherWarning['kind'], words: string) => warnings.push({ kind, date: day.date, words });
  const running = (holds: (each: WeatherDay) => boolean) => {
    // A day that nobody knows, or that is not there, ends the row.
    const on = new Map([...before, day].filter(isKnownWeather).map((each) => [each.date, each]));
    for (let back = 0; back < IN_A_ROW; back++) {
      const each = on.get(addDays(day.date, -back));
      if (!each || !holds(each)) return false;
    }
    return true;
  };
  const care = heatCare(day);
  if (care)
    add(
      'people',
      `Feels like ${Math.round(care.feelsC)} °C in the afternoon’s shade, more in a tunnel. ${
        care.care === 'danger'
          ? 'Dangerous: only dawn and dusk, not alone.'
          : care.care === 'extreme-caution'
            ? 'Work early, drink, rest, not alone.'
            : 'Drink, and rest in the shade.'
      } Dizzy or sick: stop, cool down, get help.`,
    );
  if ((day.rainMm ?? 0) >= WET_MM)
    add(
      'rain',
      `${day.rainMm} mm of rain: petals collapse, bees stay away, and wet pollen is useless. Mesh bags rather than paper, males picked into a dry box, tools completely dry, and work in the dry hour.`,
    );
  const vines = crops.filter(({ family }) => family === 'cucurbit');
  const sooner = Math.max(0, ...vines.map((crop) => -weatherShift(crop, day).closesMin));
  if (sooner >= 15)
    add(
      'early-heat',
      `${Math.round(day.maxC)} °C: flowers shut about ${Math.round(sooner / 5) * 5} minutes sooner than usual. Be there at first light.`,
    );
  if (crops.some(({ id }) => id === 'tomato')) {
    if (running(({ maxC, minC }) => maxC > TOMATO_LIMITS.dayC && minC > TOMATO_LIMITS.nightC))
      add(
        'hot-nights',
        `Days over ${TOMATO_LIMITS.dayC} and nights over ${TOMATO_LIMITS.nightC} °C: tomato flowers drop. Shade, water and air the tunnel, keep crosses for cooler days; small-fruited kinds still set.`,
      );
    if (running(({ dewPointC }) => dewPointC !== null && dewPointC >= TOMATO_LIMITS.dewPointC))
      add(
        'moist-air',
        `Dew points of ${TOMATO_LIMITS.dewPointC} °C and more for days: tomato pollen clumps. Vibrate towards noon, when it is driest, and air the tunnel; small-fruited kinds still set.`,
      );
  }
  return warnings;
}
