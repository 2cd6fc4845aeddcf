export default {
  displayName: 'server',
  rootDir: import.meta.dirname,
  testEnvironment: 'node',
  testMatch: ['**/*.test.ts'],
  testTimeout: 30_000,
  globalSetup: '<rootDir>/testing/start-cluster.mjs',
  globalTeardown: '<rootDir>/testing/stop-cluster.mjs',
  transform: {
    '^.+\\.[cm]?[jt]s$': [
      '@swc/jest',
      { module: { type: 'commonjs' }, jsc: { target: 'es2022', parser: { syntax: 'typescript' } } },
    ],
  },
  // These ship as modules of the newer kind only.
  transformIgnorePatterns: ['/node_modules/(?!(canonicalize)/)'],
  moduleNameMapper: {
    '^canonicalize$': '<rootDir>/../node_modules/canonicalize/lib/canonicalize.js',
  },
};
