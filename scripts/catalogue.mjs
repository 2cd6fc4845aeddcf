import { installDependencies } from './start.mjs';

/** Prints every equipment module with what it holds, and every fault of the content; fails if there is one. */
installDependencies();
const { register } = await import('tsx/esm/api');
register();
const { catalogue } = await import('../core/content/index.ts');
const { findCatalogueFaults, sayFault } = await import('../core/validation/index.ts');

const HEADS = ['zones', 'checks', 'procedures', 'symptoms', 'cautions', 'contents', 'services'];
const line = (what, cells) =>
  `${what.padEnd(44)} ${cells.map((cell) => String(cell).padStart(10)).join(' ')}\n`;
const sum = (list, count) => list.reduce((total, each) => total + count(each), 0);

process.stdout.write(`Catalogue ${catalogue.version}\n\n${line('module', HEADS)}`);
for (const { title, build, zones, checks, procedures, contents, services } of catalogue.modules) {
  const cautions =
    sum(zones, (zone) => zone.cautions?.length ?? 0) +
    sum(checks, (check) => check.cautions.length) +
    sum(procedures, (procedure) => procedure.cautions.length);
  const symptoms = sum(checks, (check) => check.symptoms.length);
  process.stdout.write(
    line(`${title} (${build})`, [
      zones.length,
      checks.length,
      procedures.length,
      symptoms,
      cautions,
      contents.length,
      services.length,
    ]),
  );
}
const checks = catalogue.modules.flatMap((module) => module.checks);
// What several modules share is written once and asked under each module's own id.
const written = new Set(checks.map(({ title, criterion }) => `${title} ${criterion}`)).size;
const faults = findCatalogueFaults(catalogue).map(sayFault);
process.stdout.write(
  `\n${catalogue.modules.length} modules, ${checks.length} checks by id, ${written} written once, ${faults.length} faults\n`,
);
for (const fault of faults) process.stdout.write(`${fault}\n`);
process.exitCode = faults.length === 0 ? 0 : 1;
