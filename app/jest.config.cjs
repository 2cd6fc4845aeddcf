const preset = require('jest-expo/web/jest-preset');

/** @type {import('jest').Config} */
module.exports = {
  ...preset,
  displayName: 'app',
  rootDir: __dirname,
  testMatch: ['<rootDir>/src/**/*.test.{ts,tsx}'],
  setupFiles: [...(preset.setupFiles ?? []), '<rootDir>/testing/set-up.ts'],
  setupFilesAfterEnv: [...(preset.setupFilesAfterEnv ?? []), '<rootDir>/testing/queries.ts'],
  // A whole screen is drawn for the first time in some seconds where two suites share a slow machine.
  testTimeout: 30_000,
  moduleNameMapper: {
    ...preset.moduleNameMapper,
    '^@/(.*)$': '<rootDir>/src/$1',
    '^react-native$': 'react-native-web',
    '\\.(css|woff2)$': '<rootDir>/testing/no-file.cjs',
    '^canonicalize$': '<rootDir>/../node_modules/canonicalize/lib/canonicalize.js',
    '^idb$': '<rootDir>/../node_modules/idb/build/index.cjs',
    '^signature_pad$': '<rootDir>/testing/signature-stand-in.ts',
    '^uuid$': '<rootDir>/../node_modules/uuid/dist/cjs/index.js',
  },
  transformIgnorePatterns: (preset.transformIgnorePatterns ?? []).map((pattern) =>
    pattern.replace('(?!', '(?!canonicalize|'),
  ),
};
