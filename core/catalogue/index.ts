export type * from './types';
export * from './terms';
export { textsOf, withTexts } from './texts';
export { CATALOGUE_VERSION } from './version';
export { LAW, PUSHROD_STROKE, STEERING_FREE_PLAY, type LegalFigure } from './law';
