import { useMemo } from 'react';
import type { VarietyId } from '@core/ids';
import { nextRounds, type PollinationRound } from '@core/rounds';
import { useGarden } from '../garden/garden';
import { useWeather } from '../weather/weather';

/** The next round in which a flower of a variety is worked; `null`: none is shut. */
export function useNextRoundOf(variety: VarietyId): PollinationRound | null {
  const { state, place, now } = useGarden();
  const { weatherOf } = useWeather();
  // Seconds pass without a round coming or going.
  const minute = Math.floor(now / 60_000) * 60_000;
  return useMemo(() => {
    const rounds = nextRounds(state, place, minute, weatherOf).filter((round) => round.kind !== 'walk');
    return rounds.find(({ toDo }) => toDo.some(({ growing: each }) => each.variety.id === variety)) ?? null;
  }, [state, place, minute, weatherOf, variety]);
}
