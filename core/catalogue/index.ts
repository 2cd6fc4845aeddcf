export type * from './types';
export { catalogue } from './modules';
export { findCatalogueFaults } from './faults';
