import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { say } from './say.mjs';

const ROOT = join(import.meta.dirname, '..');

/** Builds the app in `source` into `folder` unless it was built from the same files before. */
export async function buildApp(folder = join(ROOT, '.nazar', 'app'), source = 'app') {
  const digest = digestOf([source, 'core', 'package-lock.json']);
  const mark = join(folder, '.built-from');
  if (existsSync(mark) && readFileSync(mark, 'utf8') === digest) return folder;
  say('building the app (a minute or two the first time)');
  rmSync(folder, { recursive: true, force: true });
  mkdirSync(dirname(folder), { recursive: true });
  const expo = join(
    dirname(createRequire(import.meta.url).resolve('expo/package.json')),
    'bin',
    'cli',
  );
  const done = spawnSync(
    process.execPath,
    [expo, 'export', '--platform', 'web', '--output-dir', folder],
    {
      cwd: join(ROOT, source),
      encoding: 'utf8',
      env: {
        ...process.env,
        NODE_ENV: 'production',
        CI: '1',
        EXPO_NO_TELEMETRY: '1',
        EXPO_OFFLINE: '1',
      },
    },
  );
  if (done.status !== 0)
    throw new Error(`The app could not be built.\n${done.stdout}\n${done.stderr}`);
  if (source === 'app') await writeContent(folder);
  await writeServiceWorker(folder);
  writeFileSync(mark, digest);
  return folder;
}

/** What is asked of each vehicle, a file for each module and version; the app loads those that a rig needs. */
async function writeContent(folder) {
  const { build } = await import('esbuild');
  const { outputFiles } = await build({
    stdin: {
      contents: "export { catalogue } from './core/content'",
      resolveDir: ROOT,
    },
    bundle: true,
    format: 'esm',
    platform: 'node',
    write: false,
    logLevel: 'error',
  });
  const [{ text }] = outputFiles;
  const { catalogue } = await import(`data:text/javascript,${encodeURIComponent(text)}`);
  const place = join(folder, 'content', catalogue.version);
  mkdirSync(place, { recursive: true });
  const write = (name, content) =>
    writeFileSync(join(place, `${name}.json`), JSON.stringify(content));
  for (const module of catalogue.modules) write(module.id, module);
  write(
    'index',
    catalogue.modules.map(({ id }) => id),
  );
}

/** All files of the app are kept on the device; the API never is. */
async function writeServiceWorker(folder) {
  const { generateSW } = await import('workbox-build');
  await generateSW({
    globDirectory: folder,
    globPatterns: ['**/*.{js,css,html,ttf,woff2,png,svg,json,webmanifest}'],
    globIgnores: ['metadata.json'],
    swDest: join(folder, 'service-worker.js'),
    maximumFileSizeToCacheInBytes: 8 * 1024 * 1024,
    navigateFallback: '/index.html',
    navigateFallbackDenylist: [/^\/api\//],
    clientsClaim: true,
    skipWaiting: true,
    inlineWorkboxRuntime: true,
    sourcemap: false,
  });
}

/** A digest over the sources that the build is made from. */
export function digestOf(paths) {
  const hash = createHash('sha256');
  const walk = (path) => {
    const full = join(ROOT, path);
    if (!existsSync(full)) return;
    let entries;
    try {
      entries = readdirSync(full, { withFileTypes: true });
    } catch {
      hash.update(path).update(readFileSync(full));
      return;
    }
    for (const entry of entries.sort((a, b) => (a.name < b.name ? -1 : 1))) {
      // The last is written by the build itself.
      if (['node_modules', 'dist', '.expo', 'nativewind-env.d.ts'].includes(entry.name)) continue;
      if (/\.test\.tsx?$/.test(entry.name)) continue;
      if (entry.isDirectory()) walk(join(path, entry.name));
      else hash.update(join(path, entry.name)).update(readFileSync(join(full, entry.name)));
    }
  };
  paths.forEach(walk);
  return hash.digest('hex');
}

if (process.argv[1] === import.meta.filename) await buildApp();
