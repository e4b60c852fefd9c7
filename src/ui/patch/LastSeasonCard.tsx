import { useMemo } from 'react';
import { lastSeason, type LastSeason } from '@core/goals';
import { piece, usePiece } from '@/data/device/pieces';
import { useGarden } from '@/data/garden/garden';

/** Wanted once a year, so it is fetched then. */
const clearing = piece(() => import('./ClearSeason'));

/** What has had its season and still stands on record. Nothing while there is none. */
export function LastSeasonCard() {
  const { state, place, today } = useGarden();
  const season = useMemo(() => lastSeason(state, place, today), [state, place, today]);
  return season.plants > 0 ? <Clearing season={season} /> : null;
}

function Clearing({ season }: { season: LastSeason }) {
  const { ClearSeason } = usePiece(clearing, true) ?? {};
  return ClearSeason ? <ClearSeason season={season} /> : null;
}
