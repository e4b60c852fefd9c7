import type { State } from '../ledger';
import { plantedIn, type Planted } from '../patch';
import { openedFirst, type Opened } from './bloom';

/** What grows about a stand, and when each plant began to flower: all that its isolation depends on. */
export interface About extends Planted, Opened, Pick<State, 'patches' | 'neighbours' | 'obstacles'> {}

/** The tables that hold it. */
export type AboutTables = Planted & Pick<State, 'patches' | 'neighbours' | 'obstacles' | 'flowers'>;

/** What those tables say of it, and nothing else. */
export const aboutIn = (state: AboutTables): About => ({
  ...plantedIn(state),
  patches: state.patches,
  neighbours: state.neighbours,
  obstacles: state.obstacles,
  opened: openedFirst(state),
});
