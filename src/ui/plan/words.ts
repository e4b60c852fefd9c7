import type { StandIsolation } from '@core/isolation';
import type { Draft, ObstacleKind, State } from '@core/ledger';
import type { Thing } from '@core/patch';
import { plantingName, verdictWords } from '../crossing/words';
import type { Units } from '@/data/device/prefs';
import { distanceText } from '../words';

export const obstacleWords: Readonly<Record<ObstacleKind, string>> = {
  hedge: 'Hedge',
  building: 'Building',
  hill: 'Hill',
  water: 'Water',
};

/** What something on the plan is called. */
export function thingName(state: State, thing: Thing): string | null {
  switch (thing.kind) {
    case 'bed':
      return state.beds.get(thing.id)?.name ?? null;
    case 'stand': {
      const stand = state.stands.get(thing.id);
      return (stand && state.varieties.get(stand.variety)?.name) ?? null;
    }
    case 'obstacle': {
      const obstacle = state.obstacles.get(thing.id);
      return obstacle ? obstacleWords[obstacle.what] : null;
    }
    case 'neighbour': {
      const neighbour = state.neighbours.get(thing.id);
      return neighbour ? `${plantingName(neighbour.crop, neighbour.variety)} next door` : null;
    }
  }
}

/** Whether it would be too near there, in one line. */
export function answerLine({ variety, verdict, rivals }: StandIsolation, units: Units): string {
  const [worst] = rivals;
  const words = `${variety.name}: ${verdictWords[verdict]}`;
  if (!worst) return words;
  const name = plantingName(worst.crop, worst.variety);
  const wanted = worst.verdict === 'fine' ? '' : `; ${distanceText(worst.needed.chosenM, units)} wanted`;
  return `${words}. ${name}, ${distanceText(worst.distanceM, units)} away${wanted}.`;
}

/** The thing that an entry moves or shapes. */
export function thingIn(draft: Draft): Thing | null {
  switch (draft.kind) {
    case 'bedPlaced':
      return { kind: 'bed', id: draft.bed };
    case 'standPlaced':
    case 'outlineSet':
      return { kind: 'stand', id: draft.stand };
    case 'obstacleNoted':
      return { kind: 'obstacle', id: draft.obstacle };
    case 'neighbourNoted':
      return { kind: 'neighbour', id: draft.neighbour };
    default:
      return null;
  }
}
