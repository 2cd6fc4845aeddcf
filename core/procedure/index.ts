export {
  breakOff,
  failStep,
  goOn,
  startRun,
  stepOf,
  stopAtGate,
  timeAgain,
  waitOf,
  type Run,
  type RunEnd,
  type Wait,
} from './run';
