import { installDependencies } from './start.mjs';

/** Prints every equipment module with what it holds, and every fault of the content; fails if there is one. */
installDependencies();
const { register } = await import('tsx/esm/api');
register();
const { catalogue } = await import('../core/content/index.ts');
const { findCatalogueFaults, sayFault } = await import('../core/validation/index.ts');
const { STATE_NEED_NAMES } = await import('../core/vehicle/index.ts');
const STATES = new Set(STATE_NEED_NAMES);

const HEADS = [
  'checks',
  'sequences',
  'readings',
  'symptoms',
  'cautions',
  'phases',
  'states',
  'contents',
  'services',
];
const line = (what, cells) =>
  `${what.padEnd(56)} ${cells.map((cell) => String(cell).padStart(9)).join(' ')}\n`;
const sum = (list, count) => list.reduce((total, each) => total + count(each), 0);
const distinct = (lists) => new Set(lists.flat()).size;

process.stdout.write(`Catalogue ${catalogue.version}\n\n${line('module', HEADS)}`);
for (const { title, build, zones, checks, procedures, contents, services } of catalogue.modules) {
  const cautions =
    sum(zones, (zone) => zone.cautions?.length ?? 0) +
    sum(checks, (check) => check.cautions.length) +
    sum(procedures, (procedure) => procedure.cautions.length);
  process.stdout.write(
    line(`${title} (${build})`, [
      checks.length,
      procedures.length,
      checks.filter(({ reading }) => reading).length,
      sum(checks, (check) => check.symptoms.length),
      cautions,
      distinct(checks.map(({ phases }) => phases)),
      distinct(checks.map(({ needs }) => needs.filter((need) => STATES.has(need)))),
      contents.length,
      services.length,
    ]),
  );
}
const checks = catalogue.modules.flatMap((module) => module.checks);
// What several modules share is written once and asked under each module's own id.
const written = new Set(checks.map(({ title, criterion }) => `${title} ${criterion}`)).size;
const faults = [
  ...findCatalogueFaults(catalogue).map(sayFault),
  // An imported catalogue may lack them; ours does not.
  ...checks.filter(({ partName }) => !partName).map(({ id }) => `${id}: has no noun of its part`),
  ...checks
    .filter(
      ({ moves, needs }) => moves && moves.by !== 'hand' && !needs.some((need) => STATES.has(need)),
    )
    .map(({ id }) => `${id}: moves something and says of no state how it must stand`),
];
process.stdout.write(
  `\n${catalogue.modules.length} modules, ${checks.length} checks by id, ${written} written once, ${faults.length} faults\n`,
);
for (const fault of faults) process.stdout.write(`${fault}\n`);
process.exitCode = faults.length === 0 ? 0 : 1;
