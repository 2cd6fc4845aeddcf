export * from './halvern';
export * from './rigs';
