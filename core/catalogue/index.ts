export type * from './types';
export * from './terms';
export { catalogue } from './modules';
export { LAW, PUSHROD_STROKE, STEERING_FREE_PLAY, type LegalFigure } from './law';
export { HOUSE_STRICTER } from './schedules/house';
export {
  partsToReport,
  scheduleOne,
  scheduleTwo,
  type Schedule,
  type ScheduleItem,
} from './schedules';
