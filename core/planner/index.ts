export { cutIntoBlocks, type Block, type Rule, type Task } from './blocks';
export { type Ground, type Level, type Spot } from './ground';
export { costOf, type Happening, type Totals } from './happening';
export type { Outset, StandingNow } from './outset';
export { findPlanFaults } from './plan-faults';
export { planWalk, type Because, type Plan, type PlannedStop, type PlanRequest } from './plan-walk';
export { chanceFrom, nearestFirst, searchExactly, searchOrder, type Question } from './search';
export { walkThrough } from './walk-through';
