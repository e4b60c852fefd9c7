import { freezing, validateEvent } from '@core/ledger';
import type { StoreParts } from '../ledgerStore';

/** What the app fetches late is here at once. */
export const partsHere = async (): Promise<StoreParts> => ({ freezing, validateEvent });
