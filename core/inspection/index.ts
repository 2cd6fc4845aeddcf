export { barsMovement } from './bars';
export type * from './course-events';
export type * from './events';
export { NO_COURSE, turnedTo, type Course } from './course';
export { CODE_LETTERS, helperCode, readCode, readTagText, tagText } from './codes';
export { isEventType, MOST_UNITS } from './event-types';
export { faultsOf, isMended, reportsOf, type Answer, type Reported, type Stamp } from './answers';
export { certifiedAt, mendedSince } from './mended-since';
export { symptomOf, wordsOf } from './symptom-of';
export { fold, type Inspection } from './fold';
export {
  assess,
  circumstancesOf,
  neededOf,
  type Assessment,
  type AssessRequest,
  type InstanceAssessment,
  type InstanceState,
  type KnownDefect,
  type UnreadRepair,
} from './assess';
export { droppedUnits, isAsked, rigWithout } from './dropped';
export { requiredTags } from './tags';
export { findShort, type Short } from './contents';
export { findHasty, findStays, type Stay } from './haste';
export { permitEvent, type Refusal } from './permit';
export { policiesOfWalk } from './policies-of-walk';
export { withFault, withFound } from './with-fault';
