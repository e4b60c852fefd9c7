import type { Href } from 'expo-router';
import { inFlower, windowNow, type BloomDay, type Flowering } from '@core/bloom';
import { cropOf } from '@core/crops';
import type { Place, State } from '@core/ledger';
import { walkOrder, type Growing } from '@core/patch';
import { cornDay, cornScouting } from '@core/corn';
import { crossDay, selfingDay, type CrossStand, type SelfingPlant } from '@core/crosses';
import type { LocalDate } from '@core/time';
import { plural } from '../words';

/** A round beside the vines', with what it asks for today. */
export interface RoundBeside {
  readonly name: string;
  readonly what: string;
  readonly path: Href;
  /** When it is due, epoch ms; `null` = any time. */
  readonly from: number | null;
}

/** The rounds of corn, crosses and trusses under bags. Out of season there are only those with something still to be done. */
export function roundsBeside(
  state: State,
  place: Place,
  today: LocalDate,
  morning: BloomDay,
  now: number,
): readonly RoundBeside[] {
  const flowering = inFlower(state, place, today);
  return [
    scoutRow(state, place, today, flowering),
    cornRow(state, place, today, morning, now, flowering),
    crossRow(state, place, today, flowering),
    selfingRow(state, place, today, flowering),
  ].filter((row) => row !== null);
}

type Flowers = (growing: Growing) => Flowering;

function cornRow(
  state: State,
  place: Place,
  today: LocalDate,
  morning: BloomDay,
  now: number,
  flowering: Flowers,
): RoundBeside | null {
  const grown = walkOrder(state).filter(
    ({ crop, stand }) => crop.family === 'corn' && stand.reason !== 'fruit',
  );
  if (!grown.some((growing) => flowering(growing) === 'on')) return null;
  const corn = cornDay(state, place, today);
  const window = morning.window(cropOf('corn'));
  const pour = corn.pairs.length > 0 && windowNow(window, now) !== 'over';
  const parts = [
    pour ? `${plural(corn.pairs.length, 'swap')} when the dew is off` : null,
    corn.bagsWanted > 0 ? `${plural(corn.bagsWanted, 'tassel')} to bag` : null,
    corn.toBag.length > 0 ? `${plural(corn.toBag.length, 'shoot')} to bag` : null,
    corn.toCheck.length > 0 ? `${plural(corn.toCheck.length, 'bag')} to look through` : null,
  ].filter(Boolean);
  const from = pour ? window.opens : null;
  return { name: 'Corn', what: parts.join(', ') || 'no silk yet', path: '/corn', from };
}

function crossRow(state: State, place: Place, today: LocalDate, flowering: Flowers): RoundBeside | null {
  const grown = walkOrder(state).filter(
    ({ crop, stand }) => crop.flowers.perfect && stand.reason === 'cross',
  );
  if (grown.length === 0) return null;
  const on = grown.some((growing) => flowering(growing) === 'on');
  const crosses = crossDay(state, place, today);
  const due = on ? crosses.flatMap(({ mothers }) => mothers.flatMap(({ nextAt }) => nextAt ?? [])) : [];
  const from = due.length === 0 ? null : Math.min(...due);
  const sum = (of: (cross: CrossStand) => number) => crosses.reduce((all, cross) => all + of(cross), 0);
  const toOpen = on ? sum(({ toEmasculate }) => toEmasculate.length) : 0;
  const fathers = on ? sum(({ father }) => father?.wanted ?? 0) : 0;
  // A bag that is on wants to come off, however cold it has grown.
  const bags = sum(({ bagsOff, lost }) => bagsOff.length + lost.length);
  if (!on && bags === 0) return null;
  const parts = [
    on && crosses.some(({ father }) => father === null) ? 'a father to choose' : null,
    toOpen > 0 ? `${plural(toOpen, 'mother')} to open` : null,
    due.length > 0 ? `pollen on ${plural(due.length, 'flower')}` : null,
    fathers > 0 ? `${plural(fathers, 'father bud')} to bag` : null,
    bags > 0 ? `${plural(bags, 'bag')} to take off` : null,
  ].filter(Boolean);
  return { name: 'Crosses', what: parts.join(', ') || 'look for buds about to open', path: '/crosses', from };
}

function selfingRow(state: State, place: Place, today: LocalDate, flowers: Flowers): RoundBeside | null {
  const plants = selfingDay(state, place, today);
  const flowering = plants.filter(({ growing }) => flowers(growing) === 'on');
  const count = (of: readonly SelfingPlant[], each: (plant: SelfingPlant) => number) =>
    of.reduce((sum, plant) => sum + each(plant), 0);
  const strip = flowering.filter(({ toStrip }) => toStrip).length;
  const bag = count(flowering, ({ toBag }) => toBag.length);
  const shake = count(flowering, ({ toShake }) => toShake.filter(({ shakenToday }) => !shakenToday).length);
  // Fruit that stands wants its mark, however cold it has grown.
  const mark = count(plants, ({ toMark }) => toMark.length);
  const parts = [
    strip > 0 ? `${plural(strip, 'plant')} to strip` : null,
    bag > 0 ? `${plural(bag, 'bag')} to put on` : null,
    shake > 0 ? `${plural(shake, 'bag')} to shake` : null,
    mark > 0 ? `${plural(mark, 'fruit')} to mark` : null,
  ].filter(Boolean);
  if (parts.length === 0 && flowering.length === 0) return null;
  return {
    name: 'Pure seed under bags',
    what: parts.join(', ') || 'look for buds about to open',
    path: '/trusses',
    from: null,
  };
}

function scoutRow(state: State, place: Place, today: LocalDate, flowering: Flowers): RoundBeside | null {
  const plants = cornScouting(state, place, today).filter(({ growing }) => flowering(growing) === 'on');
  const left = plants.filter(({ done }) => !done).length;
  if (left === 0) return null;
  return {
    name: 'Daily look at the corn',
    what: `${plural(left, 'plant')}: shoots to bag, silk, tassels that shed`,
    path: '/scout',
    from: null,
  };
}
