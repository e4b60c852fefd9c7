import type { Rival, StandIsolation, WayOut } from '@core/isolation';
import { kindName, type CrossingKind } from '@core/crops';
import type { Beside, Between, KnownBy } from '@core/ledger';
import { WINDS } from '../weather/words';
import type { Units } from '@/data/device/prefs';
import { distanceText } from '../words';

export const verdictWords: Record<StandIsolation['verdict'], string> = {
  fine: 'far enough',
  'in-between': 'in between',
  'too-near': 'too near',
  alone: 'nothing near',
  'closed-house': 'under cover',
};
export const verdictTone = {
  fine: 'leaf',
  'in-between': 'pollen',
  'too-near': 'brick',
  alone: 'leaf',
  'closed-house': 'leaf',
} as const satisfies Record<StandIsolation['verdict'], string>;

export const betweenWords: Record<Between, string> = {
  hedge: 'hedge, trees',
  building: 'building',
  hill: 'hill',
  water: 'water',
  forage: 'other flowers',
  open: 'open ground',
  'few-flowers': 'hardly a flower',
};
export const besideWords: Record<Beside, string> = {
  larger: 'more of it than mine',
  upwind: 'the wind comes from there',
  hives: 'beehives near it',
};
export const knownWords: Record<KnownBy, string> = {
  seen: 'I saw it',
  told: 'I was told',
  guessed: 'I guess so',
};

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** What grows there, by its variety where that is known. */
export function plantingName(crop: CrossingKind['crop'], variety: string | null): string {
  return variety ?? capital(kindName(crop));
}

export function compassOf(bearingDeg: number): string {
  return WINDS[Math.round(bearingDeg / 45) % 8] as string;
}

/** A reason with how far it moves the figure. */
export function weightWords(words: string, weight: number): string {
  return weight === 0
    ? `${words}: the near end`
    : `${words}: ${weight > 0 ? '+' : '−'}${Math.round(Math.abs(weight) * 100)} % of the way to the far end`;
}

export function rivalWords({ distanceM, needed, from, apartDays, verdict }: Rival, units: Units): string {
  const { nearM, farM, chosenM } = needed;
  if (verdict === 'fine' && distanceM < chosenM)
    return `${distanceText(distanceM, units)} away${from === 'own' ? ', your own' : ''}, and ${apartDays} days apart in flower: no pollen meets.`;
  return `${distanceText(distanceM, units)} away${from === 'own' ? ', your own' : ''}. Usual are ${distanceText(nearM, units)} to ${distanceText(farM, units)}, here ${distanceText(chosenM, units)}.`;
}

const sharePoints = (share: number) => (share < 0.01 ? 'under 1' : String(Math.round(share * 100)));

/** What would come of the seed if its flowers were left open; `null` where nothing crosses. */
export function pressureWords({ pressure }: StandIsolation): string | null {
  if (pressure.high === 0) return null;
  const [low, likely, high] = [pressure.low, pressure.likely, pressure.high].map(sharePoints);
  const range = low === high ? '' : ` (${low} to ${high} %)`;
  return `Left open, ${likely === 'under 1' ? '' : 'some '}${likely} % of its seed would have a foreign father${range}.`;
}

/** A way out in a sentence. */
export function wayWords({ way, fartherM, daysLater, minutesPerFruit }: WayOut, units: Units): string {
  const minutes = minutesPerFruit === null ? '' : `, about ${Math.ceil(minutesPerFruit)} min for each fruit`;
  switch (way) {
    case 'by-hand':
      return `Shut the flowers and work them by hand${minutes}: then no distance is needed.`;
    case 'bag':
      return `Bag the buds till fruit has set${minutes}: then no distance is needed.`;
    case 'move':
      return `Next time set it ${distanceText(fartherM ?? 0, units)} farther off.`;
    case 'later':
      return `Sow so that silk and pollen of the two lie 14 days or more apart, by warmth and not by the day of sowing${daysLater === null ? '' : `: it would have to flower ${daysLater} days later`}.`;
    case 'cage':
      return 'Cage it with mesh of 1 mm or less, and work it by hand inside, or put bees in. Of two varieties each can be caged every other day.';
    case 'ask':
      return 'Ask next door: what they grow, whether its males could be cut while yours flower, or give them your own seed to grow.';
    case 'one-variety':
      return 'Grow one variety of the species for seed, and the other another year: seed keeps.';
    case 'strip':
      return 'When the other is over, take off every open flower and young fruit, and let set what opens from then on.';
    case 'accept':
      return 'Accept it, for seed that is for yourself and easy to replace; say on the packet that it was left open.';
  }
}
