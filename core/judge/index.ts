export { inWords, judgePlan, type JudgedAct, type JudgedWalk } from './judge-plan';
export { type NeverNumber, type Violation } from './never';
export { parked, type Beginning } from './standing';
