import config from './jest.config.mjs';

/** The tests that are tried against the mutants of one room (`npm run mutants`). */
const TRIED = {
  grading: ['grading/!(schedule-table).test.ts'],
  policies: ['grading/policies.test.ts', 'grading/schedule-table.test.ts'],
  measure: ['measure/**/*.test.ts'],
  repair: ['repair/*.test.ts'],
  vehicle: ['vehicle/*.test.ts', 'walking/vehicle-state.test.ts'],
  permit: ['inspection/permit.test.ts', 'inspection/who-may-when.test.ts'],
};

export default {
  ...config,
  testMatch: TRIED[process.env.MUTANTS_OF].map((files) => `<rootDir>/${files}`),
};
