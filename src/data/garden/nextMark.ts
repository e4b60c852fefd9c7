import { useMemo } from 'react';
import { nextMarkIn, rollOf } from '@core/purity';
import { useGarden } from './garden';

/** The mark that this device gives out next, from its own roll. */
export function useNextMark(): string {
  const { state, store } = useGarden();
  return useMemo(() => nextMarkIn(state, rollOf(state, store.device)), [state, store]);
}
