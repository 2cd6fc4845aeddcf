export type * from './payloads';
export {
  ADDITION_TYPES,
  EVENT_TYPES,
  isEventType,
  kindOf,
  type AnyEvent,
  type EventType,
  type InspectionEvent,
  type Payloads,
} from './events';
export type { Envelope, Party, PersonRefusal, Refusal, ServerCheck, When } from './events/kind';
export type { Course, Inspection } from './inspection';
export { CODE_LETTERS, helperCode, readCode, readTagText, tagText } from './codes';
export { faultsOf, isMended, reportsOf, type Answer, type Reported, type Stamp } from './answers';
export { certifiedAt } from './mended-since';
export { symptomOf, wordsOf } from './symptom-of';
export { fold } from './fold';
export { assess, circumstancesOf, neededOf } from './assess';
export type { Assessment, AssessRequest, InstanceAssessment, InstanceState } from './assessment';
export { droppedUnits, isAsked, rigWithout } from './dropped';
export { requiredTags } from './tags';
export { findShort, type Short } from './contents';
export { findHasty, findDwells, type Dwell } from './dwell';
export { isPlain, permitEvent, permitPerson, type Actor } from './permit';
export { policiesOfWalk } from './policies-of-walk';
export { withFault } from './with-fault';
