import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { readConfiguration } from './configuration';
import { auditDatabase, type KeptHead } from './report/audit';
import { connectServing } from './store/connection';

const USAGE = `npm run audit [-- --heads FILE]

Goes through everything in the database that was sealed, and names what was altered.
--heads  a file of an earlier audit: what was there then must still be there. It is written anew when nothing is found;
         keep it on another machine.
Ends with 0 nothing altered, 1 something altered, 2 it could not be looked at.
`;

async function main(args: readonly string[]): Promise<number> {
  const at = args.indexOf('--heads');
  const file = at >= 0 ? args[at + 1] : undefined;
  if (args.includes('--help') || (at >= 0 && !file)) {
    process.stdout.write(USAGE);
    return 2;
  }
  const kept = file && existsSync(file) ? readHeads(file) : [];
  const db = connectServing(readConfiguration(process.env).databaseUrl);
  try {
    const result = await auditDatabase(db, kept, (reports) => {
      if (reports % 1000 === 0) process.stderr.write(`${reports} reports\n`);
    });
    for (const { where, words } of result.faults) process.stdout.write(`${where}: ${words}\n`);
    process.stdout.write(
      `${result.reports} reports and the rows of ${result.units} units: ${result.faults.length === 0 ? 'nothing was altered' : `${result.faults.length} alterations`}` +
        `${result.withoutLog > 0 ? ` (${result.withoutLog} of before their log had a digest)` : ''}\n`,
    );
    if (result.faults.length > 0) return 1;
    if (file) writeFileSync(file, `${JSON.stringify({ heads: result.heads }, null, 1)}\n`);
    return 0;
  } finally {
    await db.destroy();
  }
}

function readHeads(file: string): KeptHead[] {
  const { heads } = JSON.parse(readFileSync(file, 'utf8')) as { heads?: unknown };
  if (!Array.isArray(heads)) throw new Error(`${file} is no file of an earlier audit.`);
  return heads as KeptHead[];
}

main(process.argv.slice(2)).then(
  (code) => {
    process.exitCode = code;
  },
  (error: unknown) => {
    process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
    process.exitCode = 2;
  },
);
