import expo from 'eslint-config-expo/flat.js';
import prettier from 'eslint-config-prettier';

export default [
  { ignores: ['**/node_modules/', '.nazar/', '.mutants/', '**/dist/', '**/.expo/', 'docs/'] },
  ...expo,
  prettier,
  {
    rules: {
      // The compiler finds what cannot be resolved.
      'import/no-unresolved': 'off',
      'import/no-named-as-default': 'off',
      'import/no-named-as-default-member': 'off',
      'no-console': 'error',
    },
  },
  {
    files: ['server/**', 'e2e/**', 'scripts/**'],
    rules: { 'expo/no-env-var-destructuring': 'off' },
  },
  {
    // Metro and Babel read these as CommonJS; fonts are asked for by `require`, as Expo does.
    files: ['**/*.cjs', 'app/src/design/fonts.ts'],
    languageOptions: {
      globals: { module: 'writable', require: 'readonly', __dirname: 'readonly' },
    },
    rules: { '@typescript-eslint/no-require-imports': 'off' },
  },
];
