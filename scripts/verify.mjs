import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { installDependencies } from './start.mjs';

// The check itself is TypeScript of the core; it needs the packages and nothing else.
installDependencies();
const ROOT = join(import.meta.dirname, '..');
const { status } = spawnSync(
  process.execPath,
  [
    '--import',
    join(ROOT, 'node_modules', 'tsx', 'dist', 'esm', 'index.mjs'),
    join(ROOT, 'server', 'verify-file.ts'),
    ...process.argv.slice(2),
  ],
  { stdio: 'inherit' },
);
process.exit(status ?? 2);
