export type * from './events';
export { payloadSchemas, plainText, uuid } from './event-schema';
export { isEventType, validateEvent, type Validated } from './validate-event';
export { fold, type Answer, type Inspection, type Stamp } from './fold';
export {
  assess,
  circumstancesOf,
  type Assessment,
  type AssessRequest,
  type InstanceAssessment,
  type InstanceState,
  type KnownDefect,
  type UnreadRepair,
} from './assess';
export { permitEvent, type Refusal } from './permit';
