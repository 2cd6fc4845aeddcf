export { inWords, judgePlan, type JudgedAct, type JudgedWalk } from './judge-plan';
export { NEVER, type NeverNumber, type Violation } from './never';
export { parked, type Beginning } from './standing';
