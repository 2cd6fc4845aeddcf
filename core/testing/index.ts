export { everyPayload } from './every-event';
export * from './halvern';
export * from './rigs';
export { actsOf, violationsOf } from './judged';
