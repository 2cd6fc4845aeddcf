export { floorOf } from './floor';
export { followPlan, toKeptStops, type Followed, type KeptStop } from './follow-plan';
export { orderWalk, type Stop } from './order-walk';
export {
  DIRECTIONS,
  FIRSTS,
  rankOf,
  USUAL_SCHOOL,
  type Direction,
  type First,
  type School,
} from './school';
