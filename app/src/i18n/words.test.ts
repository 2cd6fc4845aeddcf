import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { catalogue } from '@nazar/core/content';
import { en as first } from './en';
import { laterEn } from './later';
import { formatWhen } from '.';

const en = { ...first, ...laterEn };

const root = join(__dirname, '..', '..');

function sources(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return sources(path);
    return /\.tsx?$/.test(entry.name) && !/\.test\./.test(entry.name)
      ? [readFileSync(path, 'utf8')]
      : [];
  });
}

function find(key: string): unknown {
  return key
    .split('.')
    .reduce<unknown>((at, part) => (at as Record<string, unknown> | undefined)?.[part], en);
}

/** Dotted names of all messages. */
function flatten(value: object, start = ''): string[] {
  return Object.entries(value).flatMap(([name, inner]: [string, unknown]) =>
    typeof inner === 'object' && inner !== null && !Array.isArray(inner)
      ? flatten(inner, `${start}${name}.`)
      : [`${start}${name}`],
  );
}

const all = [...sources(join(root, 'src')), ...sources(join(root, 'app'))];
const used = all
  .flatMap((text) => [...text.matchAll(/\bt\(\s*'([\w.-]+)'/g)].map(([, key]) => key))
  .filter((key, index, all) => all.indexOf(key) === index);

describe('messages', () => {
  it('are used at all', () => {
    expect(used.length).toBeGreaterThan(80);
  });

  it.each(used)('has words for %s', (key) => {
    expect(find(key) ?? find(`${key}_other`)).toBeDefined();
  });

  it.each([
    ...new Set(catalogue.modules.flatMap(({ checks }) => checks.flatMap(({ needs }) => needs))),
  ])('names the need %s', (need) => expect(find(`need.${need}`)).toBeTruthy());

  it.each([
    ...new Set(catalogue.modules.flatMap(({ checks }) => checks.map(({ method }) => method))),
  ])('names the method %s', (method) => expect(find(`method.${method}`)).toBeTruthy());

  it('are all used by some screen', () => {
    const text = all.join('\n');
    const built = [...text.matchAll(/`([\w.]+)\.\$\{/g)].map(([, start]) => `${start}.`);
    const keys = flatten(en).map((key) => key.replace(/_(one|other)$/, ''));
    const idle = keys.filter(
      (key) => !text.includes(`'${key}'`) && !built.some((start) => key.startsWith(start)),
    );
    expect(idle).toEqual([]);
  });

  it('shout and praise nowhere', () => {
    expect(JSON.stringify(en)).not.toContain('!');
    expect(JSON.stringify(en)).not.toMatch(/great|well done|oops|sorry/i);
  });
});

it('are all there before the later ones, where a first screen says them', () => {
  const folders = ['src/features/today', 'src/features/sign-in', 'src/features/saving'];
  const keys = folders
    .flatMap((folder) => sources(join(root, ...folder.split('/'))))
    .flatMap((text) => [...text.matchAll(/\bt\(\s*['`]([\w-]+)[.'`]/g)].map(([, key]) => key));
  expect(keys.length).toBeGreaterThan(40);
  expect([...new Set(keys)].filter((key) => key in laterEn)).toEqual([]);
});

describe('a moment', () => {
  const now = new Date(2026, 10, 25, 12, 0).getTime();

  it('of today is its hour', () => {
    expect(formatWhen(new Date(2026, 10, 25, 5, 54).getTime(), now)).toMatch(/05:54/);
  });
  it('of yesterday says so', () => {
    expect(formatWhen(new Date(2026, 10, 24, 23, 59).getTime(), now)).toMatch(/^yesterday/);
  });
  it('of tomorrow and the day after says so', () => {
    expect(formatWhen(new Date(2026, 10, 26, 6, 0).getTime(), now)).toMatch(/^tomorrow/);
    expect(formatWhen(new Date(2026, 10, 28, 6, 0).getTime(), now)).toMatch(/^in 3 days/);
  });
  it('of last week counts days, before that it is a date', () => {
    expect(formatWhen(new Date(2026, 10, 21).getTime(), now)).toMatch(/^4 days ago/);
    expect(formatWhen(new Date(2026, 8, 1).getTime(), now)).toMatch(/2026/);
  });
});
