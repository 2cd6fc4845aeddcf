import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { verifyReport, type Verification } from '@nazar/core/seal';

const USAGE = `npm run verify -- FILE [--keys FILE]

Says of a report file that it is intact, or names what was changed. Needs no network.
--keys  a JSON file {"keys": ["…"]} with the depot's public keys, as /api/keys gives it.
        Without it the keys of this installation are used, where there are any.
Ends with 0 intact, 1 changed or sealed by a stranger, 2 not readable.
`;

function main(args: readonly string[]): number {
  const at = args.indexOf('--keys');
  const keysFile =
    at >= 0 ? args[at + 1] : join(import.meta.dirname, '..', '.nazar', 'public-keys.json');
  const [file] = args.filter((_, index) => at < 0 || (index !== at && index !== at + 1));
  if (!file) {
    process.stdout.write(USAGE);
    return 2;
  }
  let text: string;
  try {
    text = readFileSync(file, 'utf8');
  } catch {
    process.stdout.write(`${file} cannot be read. Look at its name and place.\n`);
    return 2;
  }
  // A file of keys that was named must be there: without it a stranger's seal would pass.
  if (at >= 0 && (keysFile === undefined || !existsSync(keysFile))) {
    process.stdout.write(
      `The keys ${keysFile ?? ''} are not there. Look at the name and place of the file.\n`,
    );
    return 2;
  }
  const result = verifyReport(text, readKeys(keysFile));
  process.stdout.write(`${describe(file, result)}\n`);
  return { intact: 0, changed: 1, 'unknown-key': 1, unreadable: 2 }[result.outcome];
}

function readKeys(file: string): string[] {
  if (!existsSync(file)) return [];
  const { keys } = JSON.parse(readFileSync(file, 'utf8')) as { keys?: unknown };
  return Array.isArray(keys) ? keys.filter((key) => typeof key === 'string') : [];
}

function describe(file: string, result: Verification): string {
  switch (result.outcome) {
    case 'intact': {
      const { report, seal, notes } = result;
      return [
        `${file}: intact`,
        `  ${report.units.map(({ number }) => number).join(' + ')}, ${report.phase}, ${report.verdict.headline}, signed ${report.signedAt} by ${report.driver.name}`,
        `  sealed ${seal.sealedAt}, hash ${seal.hash}`,
        ...(notes.includes('key-not-compared')
          ? [`  the key was not compared with the depot's: ${seal.key}`]
          : []),
        ...(notes.includes('end-not-signed')
          ? ['  the end of the additions is not signed: what was taken off it could not be seen']
          : []),
        ...(notes.includes('spacing-differs') ? ['  only the spacing of the file differs'] : []),
      ].join('\n');
    }
    case 'changed':
      return [
        `${file}: changed`,
        ...result.changes.map(({ path, words }) => `  ${path}${words && `  (${words})`}`),
      ].join('\n');
    case 'unknown-key':
      return `${file}: sealed with a key that is none of the depot's\n  ${result.key}`;
    case 'unreadable':
      return `${file}: not readable as a report\n  ${result.where}`;
  }
}

process.exitCode = main(process.argv.slice(2));
