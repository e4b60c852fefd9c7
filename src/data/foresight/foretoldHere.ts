export { foresight, sumOf } from '@core/goals';
