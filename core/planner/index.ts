export { cutIntoBlocks, type Block, type Rule, type Task } from './blocks';
export { layGround, type Ground, type Level, type Spot } from './ground';
export { findPlanFaults } from './plan-faults';
export {
  planWalk,
  walkInCatalogueOrder,
  type Because,
  type Plan,
  type PlannedStop,
  type PlanRequest,
} from './plan-walk';
export { searchExactly, searchOrder, type Question } from './search';
export {
  costOf,
  walkThrough,
  type Happening,
  type Outset,
  type StandingNow,
  type Totals,
} from './walk-through';
