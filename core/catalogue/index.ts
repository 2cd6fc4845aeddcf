export type * from './types';
export type { Axle, Card, Chart, ChartRow, DatedItem, RunningGear, Tank } from './card';
export { TANK_CONTENTS, type TankContents } from './card';
export * from './terms';
export { atPlace, faultLine, partAt, partOf } from './part-name';
export { textsOf, withTexts } from './texts';
export { CATALOGUE_VERSION } from './version';
export { LAW, PUSHROD_STROKE, STEERING_FREE_PLAY, type LegalFigure } from './law';
