export default {
  displayName: 'core',
  rootDir: import.meta.dirname,
  testEnvironment: 'node',
  testMatch: ['**/*.test.ts'],
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
