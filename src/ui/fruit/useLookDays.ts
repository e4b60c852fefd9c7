import { useMemo } from 'react';
import { lookDays } from '@core/fruitset';
import { walkOrder } from '@core/patch';
import { useGarden } from '@/data/garden/garden';

/** On which days after pollination the crops that grow here are looked at, in words. */
export function useLookDays(): string {
  const { state } = useGarden();
  return useMemo(() => {
    const crops = [...new Map(walkOrder(state).map(({ crop }) => [crop.id, crop])).values()];
    const by = new Map<string, string[]>();
    for (const crop of crops) {
      const days = lookDays(crop)
        .join(', ')
        .replace(/, (\d+)$/, ' and $1');
      const name = crop.id.startsWith('squash') ? 'squash' : crop.plural;
      const names = by.get(days) ?? [];
      if (!names.includes(name)) by.set(days, [...names, name]);
    }
    return [...by].map(([days, names]) => `${names.join(', ')} on day ${days}`).join('; ');
  }, [state]);
}
