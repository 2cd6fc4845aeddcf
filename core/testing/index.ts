export { everyPayload } from './every-event';
export * from './halvern';
export * from './rigs';
export { actsOf, beginningOf, violationsOf } from './judged';
