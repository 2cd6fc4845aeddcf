export { countMoved } from './count-moved';
export { floorOf } from './floor';
export { followPlan, toKeptStops, type Followed, type KeptStop } from './follow-plan';
export { findHelperless, mayHelperAnswer } from './helper';
export { orderWalk, type Stop } from './order-walk';
export { USUAL_PACE, type PaceSettings } from './pace';
export {
  clocksWanted,
  isStanding,
  nameOf,
  requirementOf,
  rolls,
  type Requirement,
} from './requirement';
export {
  DIRECTIONS,
  ENGINE_TIMINGS,
  FIRSTS,
  rankOf,
  USUAL_SCHOOL,
  type Direction,
  type EngineTiming,
  type First,
  type School,
} from './school';
export { AFFIRMATIONS, type Affirmation, type Clock } from './vehicle';
export { VEHICLE_CHANGES, type VehicleChange } from '../catalogue';
