import { installDependencies } from './start.mjs';

/**
 * Prints every symptom, and every step of its scale, under every policy:
 * the grade by day and dry, and after an arrow what the dark, wet and cold make of it.
 * `npm run grading -- tyre` shows only lines with that word.
 */
installDependencies();
const { register } = await import('tsx/esm/api');
register();
const { catalogue } = await import('../core/catalogue/index.ts');
const { gradingTable, policies } = await import('../core/grading/index.ts');

const wanted = process.argv.slice(2).map((word) => word.toLowerCase());
const rows = gradingTable(catalogue, policies);
const COLUMN = 15;

function line(what, cells) {
  const start = what.length > 64 ? `${what.slice(0, 63)}…` : what.padEnd(64);
  return `${start} ${cells.map((cell) => cell.padEnd(COLUMN)).join(' ')}`.trimEnd();
}

function cellsOf({ grades, atWorst, holes }) {
  return grades.map((grade, index) => {
    if (holes.includes(policies[index].id)) return 'HOLE';
    return grade === atWorst[index] ? grade : `${grade} → ${atWorst[index]}`;
  });
}

let module;
for (const row of rows) {
  const what = `${row.check} ${row.symptom}${row.step ? ` ${row.step}` : ''}`;
  if (!wanted.every((word) => `${row.module} ${what} ${row.words}`.toLowerCase().includes(word)))
    continue;
  if (row.module !== module) {
    module = row.module;
    const titles = policies.map(({ id }) => id);
    process.stdout.write(`\n${line(module, titles)}\n`);
  }
  process.stdout.write(`${line(what, cellsOf(row))}\n`);
}
const holes = rows.flatMap((row) => row.holes);
process.stdout.write(
  `\n${rows.length} rows under ${policies.length} policies, ${holes.length} without a rule\n`,
);
process.exitCode = holes.length === 0 ? 0 : 1;
