export { cutIntoBlocks, type Block, type Task } from './blocks';
export { layGround, type Ground, type Level, type Spot } from './ground';
export { findHelperless, mayHelperAnswer } from './helper';
export { findPlanFaults } from './plan-faults';
export {
  planWalk,
  walkInCatalogueOrder,
  type Because,
  type Plan,
  type PlannedStop,
  type PlanRequest,
} from './plan-walk';
export { requirementOf, type Requirement } from './requirement';
export { searchExactly, searchOrder, type Question } from './search';
export { USUAL_PACE, type PaceSettings } from './settings';
export {
  costOf,
  walkThrough,
  type Change,
  type Clock,
  type Happening,
  type Outset,
  type Totals,
} from './walk-through';
