export * from './halvern';
