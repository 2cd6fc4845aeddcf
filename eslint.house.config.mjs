/**
 * The rules of the house (docs/architecture.md) that a line shows by itself: where SQL, HTTP and fetch may stand, and that the core has
 * no clock, chance or I/O of its own. Who may import whom is in fences.config.cjs.
 */
import parser from '@typescript-eslint/parser';

const ban = (selector, message) => ({ selector, message });
const SQL =
  'Literal[value=/^\\s*(select|insert into|update|delete from|with) .*/i], TemplateElement[value.raw=/^\\s*(select|insert into|update|delete from|with)\\s/i]';
const CLOCK = [
  ban(
    'CallExpression[callee.object.name="Date"][callee.property.name="now"]',
    'Time comes in as an argument.',
  ),
  ban('NewExpression[callee.name="Date"][arguments.length=0]', 'Time comes in as an argument.'),
  ban(
    'CallExpression[callee.object.name="Math"][callee.property.name="random"]',
    'Randomness comes in as an argument.',
  ),
];

export default [
  {
    ignores: [
      '**/node_modules/',
      '.nazar/',
      '.mutants/',
      '**/dist/',
      '**/.expo/',
      'docs/',
      '**/*.mjs',
      '**/*.cjs',
    ],
  },
  {
    files: ['**/*.ts', '**/*.tsx'],
    languageOptions: { parser, parserOptions: { ecmaFeatures: { jsx: true } } },
    rules: { 'no-restricted-syntax': 'off' },
  },
  {
    files: ['core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-syntax': ['error', ...CLOCK],
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'fetch',
        'process',
        'setTimeout',
        'setInterval',
        'localStorage',
        'indexedDB',
        'crypto',
        'Buffer',
      ],
      'no-restricted-imports': [
        'error',
        { patterns: ['node:*', 'react*', 'express', 'knex', 'pg'] },
      ],
    },
  },
  {
    files: ['server/**/*.ts'],
    ignores: [
      'server/store/**',
      'server/projection/**',
      '**/*.test.ts',
      'server/testing/**',
      'server/prepare.ts',
      'server/http/rate-limits.ts',
      'server/http/app.ts',
      'server/report/seal-pending.ts',
    ],
    rules: {
      'no-restricted-syntax': [
        'error',
        ban(SQL, 'SQL stands only in the store and the projection.'),
      ],
    },
  },
  {
    files: [
      'server/store/**',
      'server/intake/**',
      'server/projection/**',
      'server/report/**',
      'server/demo/**',
    ],
    ignores: ['**/*.test.ts'],
    rules: { 'no-restricted-imports': ['error', { patterns: ['express', 'supertest'] }] },
  },
  {
    files: ['app/**/*.ts', 'app/**/*.tsx'],
    ignores: ['app/src/state/**', '**/*.test.ts', '**/*.test.tsx'],
    rules: {
      'no-restricted-globals': [
        'error',
        { name: 'fetch', message: 'Only state talks to the server.' },
      ],
    },
  },
];
