import { SET_LIMITS, traitsOf, type Crop, type SetLimits } from '../crops';
import type { Growing } from '../patch';
import {
  heatCare,
  humidityFromDewPoint,
  isKnownWeather,
  vapourPressureDeficit,
  type WeatherDay,
} from '../sky';
import { addDays, type LocalDate } from '../time';
import { weatherShift, type BloomDay } from './windows';

/** Something the weather of a day threatens, and what to do about it. */
export interface WeatherWarning {
  readonly kind: 'people' | 'rain' | 'early-heat' | 'cold-pollen' | 'heat' | 'cold-nights' | 'moist-air';
  readonly date: LocalDate;
  /** What is to be expected, and what to do. */
  readonly words: string;
}

/** A crop that grows here, as far as the weather matters to it. */
export interface WeatheredCrop {
  readonly crop: Crop;
  /** All its varieties are small-fruited: they set in heat that stops others. */
  readonly small?: boolean;
}

/** The crops of some plants; small-fruited where every variety of the crop is said to be. */
export function weatheredCrops(plants: readonly Growing[]): WeatheredCrop[] {
  const crops = new Map<string, WeatheredCrop>();
  for (const { crop, variety } of plants) {
    const small = variety.traits.small === true && (crops.get(crop.id)?.small ?? true);
    crops.set(crop.id, { crop, small });
  }
  return [...crops.values()];
}

/** What warnings hang on beside the days themselves. */
export interface WarningOptions {
  /** The days up to it, oldest first. */
  readonly before?: readonly WeatherDay[];
  /** A temperature in the grower's units. */
  readonly degrees: (celsius: number) => string;
  /** Whether some of the work is under a tunnel or in a closed house. */
  readonly inside?: boolean;
  /** The same day as the patch knows it, for anthers that open late. */
  readonly bloomDay?: BloomDay;
}

/** From this much on a morning counts as wet [M]. */
const WET_MM = 1;
/** Days in a row that make "days on end" [M]. */
const IN_A_ROW = 2;

/**
 * What the weather of a day means for the work, worst first. Says nothing of what nobody measured or foretold. Limits: see
 * `SET_LIMITS`; cold anthers: `pollenFromC`; the rest common practice; people in the heat: `heatCare`.
 */
export function weatherWarnings(
  crops: readonly WeatheredCrop[],
  day: WeatherDay,
  { before = [], degrees, bloomDay, inside = false }: WarningOptions,
): WeatherWarning[] {
  const warnings: WeatherWarning[] = [];
  const add = (kind: WeatherWarning['kind'], words: string | null) => {
    if (words !== null) warnings.push({ kind, date: day.date, words });
  };
  const known = isKnownWeather(day);
  if (known) add('people', peopleWords(day, degrees, inside));
  if ((day.rainMm ?? 0) >= WET_MM)
    add(
      'rain',
      'Rain: petals collapse, bees stay away, and wet pollen is useless. Mesh bags rather than paper, males picked into a dry box, tools completely dry, and work in the dry hour. A shut flower that is wet inside: shake her dry, and use dry males.',
    );
  if (!known) return warnings;
  const vines = crops.filter(({ crop }) => crop.family === 'cucurbit');
  const sooner = Math.max(0, ...vines.map(({ crop }) => -weatherShift(crop, day).closesMin));
  if (sooner >= 15)
    add(
      'early-heat',
      `${degrees(day.maxC)}: flowers shut about ${Math.round(sooner / 5) * 5} minutes sooner than usual. Be there at first light.`,
    );
  if (bloomDay) add('cold-pollen', coldPollenWords(crops, day, bloomDay, degrees));
  for (const each of crops) {
    const limits = SET_LIMITS[each.crop.id]?.value;
    if (!limits) continue;
    const name = each.crop.plural;
    add('heat', heatWords(each, limits, day, before, degrees));
    if (limits.coldNightC !== null && day.minC < limits.coldNightC)
      add(
        'cold-nights',
        `A night under ${degrees(limits.coldNightC)}: ${name} set badly. Close the tunnel for the night; work flowers of a warmer day.`,
      );
    if (limits.dewPointC !== null && isSticky(each, day, before))
      add(
        'moist-air',
        `Dew points of ${degrees(limits.dewPointC)} and more for days: pollen of ${name} clumps, and vibrating won’t help. Air the tunnel and wait for drier days; small-fruited kinds still set.`,
      );
  }
  return warnings;
}

/** Whether it held on this day and the one before; a day that nobody knows, or that is not there, ends the row. */
function running(
  day: WeatherDay,
  before: readonly WeatherDay[],
  holds: (each: WeatherDay) => boolean,
): boolean {
  const on = new Map([...before, day].filter(isKnownWeather).map((each) => [each.date, each]));
  for (let back = 0; back < IN_A_ROW; back++) {
    const each = on.get(addDays(day.date, -back));
    if (!each || !holds(each)) return false;
  }
  return true;
}

/** Whether the air has been so moist for days that the crop's pollen clumps and vibrating won't help. */
export function isSticky(
  { crop, small }: WeatheredCrop,
  day: WeatherDay,
  before: readonly WeatherDay[],
): boolean {
  const limit = SET_LIMITS[crop.id]?.value.dewPointC ?? null;
  if (limit === null || small) return false;
  return running(day, before, ({ dewPointC }) => dewPointC !== null && dewPointC >= limit);
}

/** Hot days or hot nights each cut the set, both together end it; small fruit stands more. */
function heatWords(
  { crop, small }: WeatheredCrop,
  { dayC, nightC, deficitKPa }: SetLimits,
  day: WeatherDay,
  before: readonly WeatherDay[],
  degrees: WarningOptions['degrees'],
): string | null {
  const name = crop.plural;
  if (deficitKPa !== null) {
    if (day.dewPointC === null || day.dewPointC > day.maxC) return null;
    const humidity = humidityFromDewPoint(day.maxC, day.dewPointC);
    if (vapourPressureDeficit(day.maxC, humidity) < deficitKPa) return null;
    return `${degrees(day.maxC)} in dry air: silk and pollen of ${name} dry within minutes. Water the evening before, and pollinate as soon as the dew is off.`;
  }
  const hotDays = dayC !== null && running(day, before, ({ maxC }) => maxC > dayC);
  const hotNights = nightC !== null && running(day, before, ({ minC }) => minC > nightC);
  if (!hotDays && !hotNights) return null;
  const what = [
    hotDays ? `days over ${degrees(dayC)}` : null,
    hotNights ? `nights over ${degrees(nightC)}` : null,
  ]
    .filter(Boolean)
    .join(' and ');
  if (small && !(hotDays && hotNights)) return null;
  // Said only of a crop that has such kinds.
  const others = traitsOf(crop).includes('small') ? '; small-fruited kinds still set' : '';
  const less = `${hotDays && hotNights ? `flowers of ${name} drop` : `${name} set less`}${others}`;
  const means = small ? 'even small-fruited ones set less' : less;
  const first = what[0]?.toUpperCase() ?? '';
  return `${first}${what.slice(1)}: ${means}. Shade, water and air the tunnel; keep crosses for cooler days.`;
}

/** Anthers that open late are worth a word before the round where they take half the good hours of their flowers. */
function coldPollenWords(
  crops: readonly WeatheredCrop[],
  day: WeatherDay,
  bloomDay: BloomDay,
  degrees: WarningOptions['degrees'],
): string | null {
  const said = new Set<string>();
  for (const { crop } of crops) {
    const cold = bloomDay.pollen(crop);
    const { opens, bestUntil } = bloomDay.window(crop);
    if (cold && (cold.from === null || cold.from > (opens + bestUntil) / 2))
      said.add(`${crop.id.startsWith('squash') ? 'squash' : crop.plural} ${degrees(cold.limitC)}`);
  }
  if (said.size === 0) return null;
  return `A cold morning, ${degrees(day.minC)} at its coldest: anthers open from about ${[...said].join(', ')}. Flowers may be open before: look for loose pollen.`;
}

/** A tunnel or a closed house in the sun is so much hotter than the shade outside [M]. */
const INSIDE_C = 8;

function peopleWords(day: WeatherDay, degrees: WarningOptions['degrees'], inside: boolean): string | null {
  const outside = heatCare(day);
  const care = inside ? heatCare({ ...day, maxC: day.maxC + INSIDE_C }) : outside;
  if (!care) return null;
  const then =
    care.care === 'danger'
      ? 'Dangerous: only dawn and dusk, not alone.'
      : care.care === 'extreme-caution'
        ? 'Work early, drink, rest, not alone.'
        : 'Drink, and rest in the shade.';
  const where = inside
    ? `May feel like ${degrees(care.feelsC)} under cover in the afternoon.`
    : `Feels like ${degrees(care.feelsC)} in the afternoon’s shade, more in a tunnel.`;
  return `${where} ${then} Dizzy or sick: stop, cool down, get help.`;
}
