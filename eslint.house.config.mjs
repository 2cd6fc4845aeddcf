/**
 * The rules of the house (docs/architecture.md), checked by a tool: who in the app may import whom (core and server: fences.config.cjs),
 * where SQL, HTTP and fetch may stand, and that the core has no clock, chance or I/O of its own.
 */
import importPlugin from 'eslint-plugin-import';
import parser from '@typescript-eslint/parser';

const FEATURES = [
  'begin',
  'compare',
  'content',
  'desk',
  'fault',
  'help',
  'leave',
  'logbook',
  'report',
  'rig',
  'road',
  'rules',
  'saving',
  'sign',
  'sign-in',
  'today',
  'verify',
  'walk',
  'workshop',
  'you',
];

const zones = [
  {
    target: './core',
    from: ['./server', './app', './e2e', './scripts'],
    message: 'The core knows nothing of server and app.',
  },
  { target: './server', from: ['./app', './e2e'], message: 'The server knows nothing of the app.' },
  {
    target: './app',
    from: ['./server', './e2e'],
    message: 'The app talks to the server over HTTP only.',
  },
  ...FEATURES.map((feature) => ({
    target: `./app/src/features/${feature}`,
    from: FEATURES.filter((each) => each !== feature).map((each) => `./app/src/features/${each}`),
    message:
      'A feature never imports another; what two need moves to state, design, drawing or core.',
  })),
  {
    target: './app/src/design',
    from: ['./app/src/features', './app/src/state', './app/src/drawing'],
    message: 'Design leans on nothing of the app.',
  },
  {
    target: './app/src/state',
    from: ['./app/src/features', './app/src/design', './app/src/drawing'],
    message: 'State knows no screen.',
  },
  {
    target: './server/store',
    from: [
      './server/http',
      './server/intake',
      './server/projection',
      './server/report',
      './server/feeds',
      './server/jobs',
      './server/demo',
    ],
    message: 'The store is the bottom of the server.',
  },
];

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
    plugins: { import: importPlugin },
    settings: {
      'import/resolver': {
        typescript: {
          project: [
            'core/tsconfig.json',
            'server/tsconfig.json',
            'app/tsconfig.json',
            'e2e/tsconfig.json',
          ],
          noWarnOnMultipleProjects: true,
        },
      },
    },
    rules: {
      'import/no-restricted-paths': ['error', { zones }],
      'import/no-cycle': ['error', { ignoreExternal: true }],
      'no-restricted-syntax': 'off',
    },
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
