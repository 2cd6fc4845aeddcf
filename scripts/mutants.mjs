/**
 * Plants small faults in the rules, one at a time, and says which of them no test finds.
 * `npm run mutants` tries all rooms (long: minutes each), `npm run mutants -- grading` one of them.
 * What was missed is written to docs/mutants.md, room by room. `--list` only writes it, from the last runs.
 * Ends with 1 where fewer than 80 % of the mutants of a room are found.
 */
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';

const ROOMS = ['grading', 'policies', 'measure', 'repair', 'permit', 'vehicle'];
const WANTED = 80;

const asked = process.argv.slice(2).filter((each) => !each.startsWith('-'));
for (const each of asked)
  if (!ROOMS.includes(each)) {
    process.stderr.write(`There are mutants of ${ROOMS.join(', ')}, not of ${each}.\n`);
    process.exit(2);
  }

const listOnly = process.argv.includes('--list');
const LIST = 'docs/mutants.md';
const HEAD = `# Planted faults that no test finds

Written by \`npm run mutants\`: each line is a rule, and after the arrow what it was changed to while all tests of its room stayed green. Many change nothing that can be seen (a default that another line sets, the order of a list); those that could hurt somebody are to be killed by a test first.
`;

mkdirSync('.mutants', { recursive: true });
let low = false;
for (const room of asked.length > 0 ? asked : ROOMS) {
  if (!listOnly) {
    const { status } = spawnSync('npx', ['stryker', 'run'], {
      env: { ...process.env, MUTANTS_OF: room },
      stdio: ['ignore', process.env.MUTANTS_QUIET ? 'ignore' : 'inherit', 'inherit'],
    });
    if (status !== 0) process.exit(status ?? 1);
  }
  if (!existsSync(`.mutants/${room}.json`)) continue;
  const { found, missed, ignored } = readRun(room);
  const share = (100 * found) / (found + missed.length);
  if (share < WANTED) low = true;
  const sum = `${found} of ${found + missed.length} found, ${share.toFixed(1)} % (${ignored} in tables not tried)`;
  process.stdout.write(`${missed.map((each) => `  ${each}\n`).join('')}${room}: ${sum}\n`);
  keepSection(room, `${sum}\n\n\`\`\`\n${missed.join('\n')}\n\`\`\`\n`);
}
process.exit(low ? 1 : 0);

/** What the last run of a room found. */
function readRun(room) {
  const { files } = JSON.parse(readFileSync(`.mutants/${room}.json`, 'utf8'));
  const mutants = Object.entries(files).flatMap(([file, { mutants: each, source }]) =>
    each.map((mutant) => ({ ...mutant, file, source: source.split('\n') })),
  );
  const of = (...states) => mutants.filter(({ status: state }) => states.includes(state));
  return {
    found: of('Killed', 'Timeout').length,
    ignored: of('Ignored').length,
    missed: of('Survived', 'NoCoverage').map(({ file, location, replacement, source }) => {
      const { line } = location.start;
      const instead = replacement.replaceAll(/\s+/g, ' ').slice(0, 80);
      return `${file}:${line}  ${source[line - 1].trim().slice(0, 90)}  →  ${instead}`;
    }),
  };
}

/** Puts the section of a room into the list, in the order of the rooms. */
function keepSection(room, text) {
  const kept = existsSync(LIST) ? readFileSync(LIST, 'utf8') : '';
  const sections = new Map(
    kept
      .split(/^## /m)
      .slice(1)
      .map((section) => [
        section.slice(0, section.indexOf('\n')),
        section.slice(section.indexOf('\n') + 2),
      ]),
  );
  sections.set(room, text);
  const body = ROOMS.filter((each) => sections.has(each)).map(
    (each) => `## ${each}\n\n${sections.get(each).trimEnd()}\n`,
  );
  writeFileSync(LIST, `${HEAD}\n${body.join('\n')}`);
}
