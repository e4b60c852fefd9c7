import type { LastSeason } from '@core/goals';
import { useForesight } from '@/data/foresight/foresight';
import { piece, usePiece } from '@/data/device/pieces';

/** Wanted once a year, so it is fetched then. */
const clearing = piece(() => import('./ClearSeason'));

/** What has had its season and still stands on record. Nothing while there is none. */
export function LastSeasonCard() {
  const season = useForesight()?.lastSeason;
  return season && season.plants > 0 ? <Clearing season={season} /> : null;
}

function Clearing({ season }: { season: LastSeason }) {
  const { ClearSeason } = usePiece(clearing, true) ?? {};
  return ClearSeason ? <ClearSeason season={season} /> : null;
}
