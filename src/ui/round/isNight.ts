import { gardenDay } from '@core/bloom';
import type { Garden } from '@/data/garden/garden';

/** Whether a round of today is worked before sunrise, in the light that spares the eyes, where the light goes by itself. */
export const isNight = ({ prefs, place, now, today }: Pick<Garden, 'prefs' | 'place' | 'now' | 'today'>) =>
  prefs.light === 'by-itself' && now < gardenDay(place, today).sunrise;
