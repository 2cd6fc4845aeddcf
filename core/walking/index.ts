export { arrivalAt } from './arrival';
export { clockMove, type ClockSample } from './clock-watch';
export {
  beginStart,
  onStart,
  START_GATES,
  startClock,
  startLimitsOf,
  type StartLimits,
  USUAL_START,
  type EngineStart,
  type StartAct,
  type StartGate,
} from './engine-start';
export { findForbidden, type Forbidden } from './forbidden';
export { callLamps, callSeconds, darkSymptomOf, nextCall, type LampCall } from './lamp-walk';
export { nextStep, type NextStep, type StepRequest } from './next-step';
export { otherwise, type Otherwise } from './otherwise';
export { findReplanReasons, standingNow, type ReplanReason, type ReplanRequest } from './replan';
export { restOfStop, type RestOfStop } from './rest-of-stop';
export { LATE_AFTER, runningClocks, type RunningClock } from './running-clocks';
export { settingOf } from './setting';
export {
  airLevel,
  airReached,
  isRunning,
  isUnsaid,
  leftStanding,
  valueOf,
  vehicleState,
  type LeftOut,
  type Setting,
  type VehicleState,
} from './vehicle-state';
