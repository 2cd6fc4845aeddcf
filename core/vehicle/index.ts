export {
  DIMENSION_IDS,
  dimension,
  type Dimension,
  type DimensionId,
  type States,
} from './dimensions';
export { AFFIRMATIONS, type Affirmation } from './affirmations';
export { endOf, isDriven, statesAtEnd, valueAtBeginning, type EndState } from './ends';
export {
  bitOf,
  layOut,
  layWant,
  maskOf,
  slotName,
  type LaidTransition,
  type LaidWant,
  type Layout,
  type Slot,
} from './layout';
export {
  AIR_CHARGED,
  AIR_FULL,
  meaningOf,
  PEDAL_NEEDS,
  STATE_NEED_NAMES,
  type Clock,
  type NeedMeaning,
  type PedalNeed,
  type StateNeed,
} from './needs';
export { nextReach, type Reach } from './reach';
export {
  movementsFor,
  nameOf,
  requirementOf,
  wantsOff,
  wantsRunning,
  type Asking,
  type Requirement,
} from './requirement';
export { RULES, type RuleId } from './rules';
export {
  transitionOf,
  TRANSITIONS,
  VEHICLE_CHANGES,
  type Transition,
  type VehicleChange,
  type Where,
} from './transitions';
