export { changesOf } from './changes-of';
export { countMoved } from './count-moved';
export { floorOf } from './floor';
export { followPlan, toKeptStops, type Followed, type KeptStop } from './follow-plan';
export { findHelperless, mayHelperAnswer } from './helper';
export { orderWalk, type Stop } from './order-walk';
export { layoutOf, wantAt } from './stand-of-rig';
export {
  comesFirst,
  cycles,
  decidesStopping,
  findEarlier,
  isEarlierInUse,
  looksStowed,
  stillParts,
  precedesStart,
  travels,
  type WaitsBecause,
} from './precedence';
export { USUAL_PACE, type PaceSettings } from './pace';
export { clocksWanted } from './clocks-wanted';
export {
  DIRECTIONS,
  ENGINE_TIMINGS,
  FIRSTS,
  rankOf,
  USUAL_ROUTE_STYLE,
  type Direction,
  type EngineTiming,
  type First,
  type RouteStyle,
} from './route-style';
