import { bloomOutlook } from '../bloom';
import { fold } from '../ledger';
import { DEMO_PLACE, DEMO_TODAY } from '../simulation';
import { demoSeason } from '../testLogs';
import { foresight, goalSums, tonightPlan } from '.';

const state = fold(demoSeason());
const told = foresight({ state, place: DEMO_PLACE, today: DEMO_TODAY, from: DEMO_TODAY });

test('what is foretold goes to another thread and back unchanged', () => {
  expect(told.outlook.length).toBeGreaterThan(3);
  const withGoal = [...state.stands.values()].filter(({ goal }) => goal !== null);
  expect(told.goals.map(({ stand }) => stand.id)).toEqual(withGoal.map(({ id }) => id));
  // As a worker's answer travels: a function in it would throw, a class would lose itself.
  expect(structuredClone(told)).toEqual(told);
});

test('tonight and the goals rest on the same outlook', () => {
  const outlook = bloomOutlook({ state, zone: DEMO_PLACE.zone, from: DEMO_TODAY });
  expect(told.outlook).toEqual(outlook);
  expect(told.tonight).toEqual(tonightPlan(state, DEMO_PLACE, DEMO_TODAY, outlook));
  expect(told.goals).toEqual(goalSums(state, DEMO_PLACE, DEMO_TODAY));
});
