/**
 * Plants small faults in the rules, one at a time, and says which of them no test finds.
 * `npm run mutants` tries all rooms (long: minutes each), `npm run mutants -- grading` one of them.
 * Ends with 1 where fewer than 80 % of the mutants of a room are found.
 */
import { spawnSync } from 'node:child_process';
import { mkdirSync, readFileSync } from 'node:fs';

const ROOMS = ['grading', 'policies', 'measure', 'repair', 'permit', 'vehicle'];
const WANTED = 80;

const asked = process.argv.slice(2).filter((each) => !each.startsWith('-'));
for (const each of asked)
  if (!ROOMS.includes(each)) {
    process.stderr.write(`There are mutants of ${ROOMS.join(', ')}, not of ${each}.\n`);
    process.exit(2);
  }

mkdirSync('.mutants', { recursive: true });
let low = false;
for (const room of asked.length > 0 ? asked : ROOMS) {
  const { status } = spawnSync('npx', ['stryker', 'run'], {
    env: { ...process.env, MUTANTS_OF: room },
    stdio: ['ignore', process.env.MUTANTS_QUIET ? 'ignore' : 'inherit', 'inherit'],
  });
  if (status !== 0) process.exit(status ?? 1);
  const { files } = JSON.parse(readFileSync(`.mutants/${room}.json`, 'utf8'));
  const mutants = Object.entries(files).flatMap(([file, { mutants: each, source }]) =>
    each.map((mutant) => ({ ...mutant, file, source: source.split('\n') })),
  );
  const of = (...states) => mutants.filter(({ status: state }) => states.includes(state));
  const found = of('Killed', 'Timeout');
  const missed = of('Survived', 'NoCoverage');
  const share = (100 * found.length) / (found.length + missed.length);
  if (share < WANTED) low = true;
  for (const { file, location, replacement, source } of missed) {
    const { line } = location.start;
    const instead = replacement.replaceAll(/\s+/g, ' ').slice(0, 80);
    process.stdout.write(
      `  ${file}:${line}  ${source[line - 1].trim().slice(0, 90)}  →  ${instead}\n`,
    );
  }
  process.stdout.write(
    `${room}: ${found.length} of ${found.length + missed.length} found, ${share.toFixed(1)} % (${of('Ignored').length} in tables not tried)\n`,
  );
}
process.exit(low ? 1 : 0);
