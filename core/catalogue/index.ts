export type * from './types';
export * from './terms';
export { catalogue } from './modules';
