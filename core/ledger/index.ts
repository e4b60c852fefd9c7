export * from './events';
export * from './views';
export { validateEvent, eventSchemas, placeSchema, notedDay, MOST_DAYS, type Validation } from './validate';
export { emptyState, apply, applyAll, fold, eventsOf, latestAt, type State } from './state';
export { merge, conflicts } from './merge';
export { inForce, standings, correctedEvent, type Standing } from './inForce';
export { snapshot, resume, SNAPSHOT_VERSION, type Snapshot, type Resumed } from './snapshot';
export { upcast } from './upcast';
export { workedForKitchen } from './kitchen';
