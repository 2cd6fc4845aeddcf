export { cutIntoBlocks, type Block, type Task } from './blocks';
export { floorOf } from './floor';
export { layGround, type Ground, type Level, type Spot } from './ground';
export { findHelperless, mayHelperAnswer } from './helper';
export { orderWalk, type Stop } from './order-walk';
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
export {
  DIRECTIONS,
  FIRSTS,
  USUAL_SCHOOL,
  type Direction,
  type First,
  type School,
} from './school';
export { searchExactly, searchOrder, type Question } from './search';
export { BRISK, USUAL_PACE, type PaceSettings } from './settings';
export {
  costOf,
  walkThrough,
  type Change,
  type Clock,
  type Happening,
  type Outset,
  type Totals,
} from './walk-through';
