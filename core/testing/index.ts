export { everyPayload } from './every-event';
export * from './halvern';
export * from './rigs';
export { rigOfUnits, rigsOfEveryModule } from './every-module';
export { actsOf, violationsOf } from './judged';
