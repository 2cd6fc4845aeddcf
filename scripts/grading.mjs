import { installDependencies } from './start.mjs';

/**
 * Prints every symptom, and every step of its scale, under every policy:
 * the grade by day and dry, and after an arrow what the dark, wet and cold make of it.
 * `npm run grading -- tyre` shows only lines with that word.
 * `npm run grading -- --schedule two-step` holds a policy against the public schedule that it is named after, item by item, with every
 * deviation; it fails where anything is milder than the schedule.
 */
installDependencies();
const { register } = await import('tsx/esm/api');
register();
const { catalogue } = await import('../core/content/index.ts');
const { scheduleOne, scheduleTwo } = await import('../core/schedules/index.ts');
const { gradingTable, policies, reportedParts, scheduleTable } =
  await import('../core/grading/index.ts');

const asked = process.argv.indexOf('--schedule');
if (asked >= 0) {
  printSchedule(process.argv[asked + 1]);
  process.exit();
}

/** The list of 49 CFR 396.11(a)(1): what is wrong with a listed part is certified before it is driven. */
function printReported() {
  const rows = reportedParts(
    catalogue,
    policies.find(({ id }) => id === 'affects-safety'),
  );
  let former;
  for (const { item, title, check, symptom, grade, isDefect } of rows) {
    if (item !== former) process.stdout.write(`\n(${item}) ${title}\n`);
    former = item;
    const what = !isDefect ? 'watched' : grade === 'major' ? 'certified first' : 'NOT CERTIFIED';
    process.stdout.write(`  ${what.padEnd(15)} ${check} ${symptom}\n`);
  }
  const open = rows.filter(({ grade, isDefect }) => isDefect && grade !== 'major').length;
  process.stdout.write(
    `\n${rows.length} lines, ${open} defects of a listed part that could be driven uncertified\n`,
  );
  process.exitCode = open === 0 ? 0 : 1;
}

/** Both schedules of the standard that a policy follows. */
function printSchedule(name) {
  if (name === 'affects-safety') {
    printReported();
    return;
  }
  const followers = policies.filter(({ schedule }) => schedule);
  const names = [...followers.map(({ id }) => id), 'affects-safety'];
  const policy = followers.find(({ id }) => id === name);
  if (!policy) {
    process.stdout.write(
      `No policy ${name ?? ''} that follows a public schedule. There are: ${names.join(', ')}.\n`,
    );
    process.exitCode = 1;
    return;
  }
  let laxer = 0;
  for (const [schedule, passenger] of [
    [scheduleOne, false],
    [scheduleTwo, true],
  ]) {
    const { rows, without } = scheduleTable(catalogue, schedule, policy, passenger);
    process.stdout.write(`\n${schedule.title}, under “${policy.title}”\n`);
    let former;
    for (const row of rows) {
      const title = `${row.item}. ${row.title}`;
      if (title !== former) process.stdout.write(`\n${title}\n`);
      former = title;
      const moment = [row.when?.join(' or '), row.from && `${row.from} of them`].filter(Boolean);
      const defect = `${row.defect}${moment.length > 0 ? ` (${moment.join(', ')})` : ''}`;
      process.stdout.write(
        `  ${row.scheduled.padEnd(6)} ${row.grade.padEnd(6)} ${row.agreement.padEnd(9)} ${`${row.check} ${row.symptom}`.padEnd(46)} ${defect}\n`,
      );
      if (row.because)
        process.stdout.write(`                          the house: ${row.because}\n`);
    }
    const count = (agreement) => rows.filter((row) => row.agreement === agreement).length;
    laxer += count('laxer');
    process.stdout.write(
      `\n${rows.length} lines: ${count('agrees')} agree, ${count('stricter')} stricter by the house, ${count('laxer')} milder than the schedule\n`,
    );
    for (const { item, defect } of without)
      process.stdout.write(`  item ${item} has no check of its own: ${defect}\n`);
  }
  process.exitCode = laxer === 0 ? 0 : 1;
}

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
