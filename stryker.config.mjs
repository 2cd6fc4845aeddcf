const room = process.env.MUTANTS_OF;
const PLACES = {
  permit: 'core/inspection/permit.ts',
  grading: 'core/grading/!(table|schedule-table).ts',
  policies: 'core/grading/{policies/*,table,schedule-table}.ts',
};

/**
 * Small faults are planted in the rules of one room, one at a time; where its tests stay green, nobody holds that rule.
 * Called for each room by scripts/mutants.mjs.
 */
export default {
  testRunner: 'jest',
  jest: { projectType: 'custom', configFile: 'core/jest.mutants.config.mjs' },
  coverageAnalysis: 'perTest',
  // A table that is read once when its file loads would run every test for each of its entries.
  ignoreStatic: true,
  mutate: [PLACES[room] ?? `core/${room}/**/*.ts`, '!core/**/*.test.ts', '!core/**/index.ts'],
  ignorePatterns: ['app', 'server', 'e2e', 'bench', 'docs/screenshots', '.ci'],
  reporters: ['json', 'progress-append-only'],
  jsonReporter: { fileName: `.mutants/${room}.json` },
  tempDirName: `.mutants/${room}`,
  concurrency: Number(process.env.MUTANTS_AT_ONCE ?? 2),
  // What jest keeps of one mutant makes the next one slower.
  maxTestRunnerReuse: 40,
  timeoutMS: 20_000,
  incremental: true,
  incrementalFile: `.mutants/${room}.incremental.json`,
};
