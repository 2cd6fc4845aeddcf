export { findImpossible, type Impossible } from './impossible';
export { judgeReading, type Judgement } from './judge-reading';
export { isLeap } from './leap';
export { unitOf } from './unit-of';
