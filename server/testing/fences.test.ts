import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';

const ROOT = join(__dirname, '..', '..');
const TOOL = join(ROOT, 'node_modules', 'dependency-cruiser', 'bin', 'dependency-cruise.mjs');

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'nazar-fences-'));
});
afterEach(() => {
  rmSync(folder, { recursive: true, force: true });
});

/** Names of the fences that a little house of these files breaks. */
function broken(files: Readonly<Record<string, string>>): string[] {
  for (const [name, text] of Object.entries(files)) {
    mkdirSync(dirname(join(folder, name)), { recursive: true });
    writeFileSync(join(folder, name), text);
  }
  const tops = [...new Set(Object.keys(files).map((name) => name.split('/')[0] as string))];
  const run = spawnSync(
    process.execPath,
    [TOOL, '--config', join(ROOT, 'fences.config.cjs'), '--output-type', 'json', ...tops],
    { cwd: folder, encoding: 'utf8', maxBuffer: 1e8 },
  );
  const { summary } = JSON.parse(run.stdout) as {
    summary: { violations: { rule: { name: string } }[] };
  };
  return [...new Set(summary.violations.map(({ rule }) => rule.name))].sort();
}

const thing = 'export const thing = 1;\nexport interface Thing { readonly a: number }\n';

it('lets a house stand that keeps to its plan', () => {
  expect(
    broken({
      'core/quantity/index.ts': thing,
      'core/catalogue/modules/deep/one.ts': `import { thing } from '../../../quantity';\nexport const one = thing;\n`,
      'core/catalogue/index.ts': `export { one } from './modules/deep/one';\n`,
      'server/store/index.ts': `export { one } from '../../core/catalogue';\n`,
    }),
  ).toEqual([]);
});

it.each<[string, string, Record<string, string>]>([
  [
    'a room that leans on one above it, three folders deep',
    'room-catalogue',
    {
      'core/grading/index.ts': thing,
      'core/catalogue/modules/deep/one.ts': `import { thing } from '../../../grading';\nexport const one = thing;\n`,
    },
  ],
  [
    'the judge of plans, who reads what the planner obeys',
    'room-judge',
    {
      'core/vehicle/index.ts': thing,
      'core/judge/index.ts': `import { thing } from '../vehicle';\nexport const one = thing;\n`,
    },
  ],
  [
    'a room that nobody has drawn',
    'unknown-room',
    {
      'core/attic/index.ts': `import { one } from './one';\nexport const two = one;\n`,
      'core/attic/one.ts': 'export const one = 1;\n',
    },
  ],
  [
    'a look past the face of a room',
    'face',
    {
      'core/quantity/inner.ts': thing,
      'core/catalogue/index.ts': `import { thing } from '../quantity/inner';\nexport const one = thing;\n`,
    },
  ],
  [
    'the same from the server',
    'face-of-core',
    {
      'core/quantity/inner.ts': thing,
      'server/intake/one.ts': `import { thing } from '../../core/quantity/inner';\nexport const one = thing;\n`,
    },
  ],
  [
    'two files of one room that need each other, if only for a type',
    'circle',
    {
      'core/rig/one.ts': `import type { Two } from './two';\nexport type One = Two;\n`,
      'core/rig/two.ts': `import type { One } from './one';\nexport interface Two { readonly one: One }\n`,
    },
  ],
  [
    'a core that knows of the server',
    'core-alone',
    {
      'server/store/index.ts': thing,
      'core/rig/index.ts': `import { thing } from '../../server/store';\nexport const one = thing;\n`,
    },
  ],
  [
    'a server that knows of the app',
    'server-without-app',
    {
      'app/one.ts': thing,
      'server/http/one.ts': `import { thing } from '../../app/one';\nexport const one = thing;\n`,
    },
  ],
  [
    'a store that leans on what stands on it',
    'store-is-the-bottom',
    {
      'server/intake/one.ts': thing,
      'server/store/deep/two.ts': `import { thing } from '../../intake/one';\nexport const two = thing;\n`,
    },
  ],
  [
    'intake that speaks HTTP',
    'http-is-the-top',
    {
      'server/http/one.ts': thing,
      'server/intake/two.ts': `import { thing } from '../http/one';\nexport const two = thing;\n`,
    },
  ],
  [
    'something of the tests in what ships',
    'test-only',
    {
      'server/testing/one.ts': thing,
      'server/intake/two.ts': `import { thing } from '../testing/one';\nexport const two = thing;\n`,
    },
  ],
  [
    'an app that reaches into the server',
    'app-without-server',
    {
      'server/http/one.ts': thing,
      'app/src/state/two.ts': `import { thing } from '../../../server/http/one';\nexport const two = thing;\n`,
    },
  ],
  [
    'an app that looks past a face of the core',
    'face-of-core-for-app',
    {
      'core/rig/inner.ts': thing,
      'app/src/state/two.ts': `import { thing } from '../../../core/rig/inner';\nexport const two = thing;\n`,
    },
  ],
  [
    'content that would come with the first screen',
    'content-when-needed',
    {
      'core/content/index.ts': thing,
      'app/src/features/today/two.tsx': `import { thing } from '../../../../core/content';\nexport const two = <b>{thing}</b>;\n`,
    },
  ],
  [
    'a feature that knows another, two folders deep',
    'feature-apart',
    {
      'app/src/features/walk/index.ts': thing,
      'app/src/features/begin/plan/two.tsx': `import { thing } from '../../walk';\nexport const two = <b>{thing}</b>;\n`,
    },
  ],
  [
    'a drawing that knows a feature',
    'nothing-back-to-features',
    {
      'app/src/features/walk/index.ts': thing,
      'app/src/drawing/two.ts': `import type { Thing } from '../features/walk';\nexport type Two = Thing;\n`,
    },
  ],
  [
    'a button that knows the log',
    'design-is-the-bottom',
    {
      'app/src/state/index.ts': thing,
      'app/src/design/two.ts': `import { thing } from '../state';\nexport const two = thing;\n`,
    },
  ],
  [
    'a log that knows how it looks',
    'state-without-drawing',
    {
      'app/src/drawing/index.ts': thing,
      'app/src/state/two.ts': `import { thing } from '../drawing';\nexport const two = thing;\n`,
    },
  ],
  [
    'a look past the face of a room of the app',
    'face-in-app',
    {
      'app/src/state/log.ts': thing,
      'app/src/features/walk/two.ts': `import { thing } from '../../state/log';\nexport const two = thing;\n`,
    },
  ],
  [
    'a route that knows the insides of a feature',
    'routes-compose',
    {
      'app/src/features/walk/board.ts': thing,
      'app/app/walk.ts': `import { thing } from '../src/features/walk/board';\nexport const two = thing;\n`,
    },
  ],
])('finds %s', (_, name, files) => {
  expect(broken(files)).toContain(name);
});
