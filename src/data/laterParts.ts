/** What the first screen offers and does not need to stand. `device/later.ts` fetches it. */
export { roundCalendar, toCalendar } from '@core/formats';
export { practiceStore } from './device/practiceStores';
