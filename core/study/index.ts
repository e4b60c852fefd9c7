export { allCases, seasonYear, type Case } from './cases';
export { ALL, type Choice, type Choices } from './choice';
export { GROUPINGS, type Grouping, type GroupShare } from './grouping';
export { NUMBERS, type CaseNumber } from './numbers';
export { STEP, type ModelDot, type ModelTerm, type NoModel, type SetModel } from './model';
export { study, type Pair, type Study, type StudyQuestion } from './report';
export type { Shape, ShapeCount } from './shape';
export { CIRCUMSTANCES, type Circumstance } from './together';
export { handsAnswer, type HandsAnswer } from './hands';
