export { DropChart } from './DropChart';
export { FateChart } from './FateChart';
export { GrowthChart } from './GrowthChart';
export { ModelChart } from './ModelChart';
