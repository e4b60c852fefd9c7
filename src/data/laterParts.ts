/** What the first screen offers and does not need to stand. `device/later.ts` fetches it. */
export { freezing, validateEvent } from '@core/ledger';
export { saveRounds } from './saveRounds';
export { practiceStore } from './device/practiceStores';
