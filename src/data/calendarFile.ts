import { toCalendar } from '@core/formats';

// Imported and handed on, not re-exported in one: only an import is taken to the file that holds the name (`scripts/barrels.cjs`), and
// this piece would share all that the index names with the screens.
/** What writes calendar files: fetched when somebody wants one. */
export { toCalendar };
