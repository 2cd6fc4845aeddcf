import { benchApp } from './app';
import { benchHostile } from './hostile';
import { benchJudging } from './judging';
import { benchKills } from './kills';
import { benchPhones } from './phones';
import { benchPlanning } from './planning';
import { benchRigs } from './rigs';
import { benchServer } from './server';

async function main(): Promise<void> {
  const only = process.argv.slice(2);
  if (only.length === 0 || only.includes('rigs')) await benchRigs();
  if (only.length === 0 || only.includes('judging')) benchJudging();
  if (only.length === 0 || only.includes('planning')) await benchPlanning();
  if (only.length === 0 || only.includes('server')) await benchServer();
  if (only.length === 0 || only.includes('hostile'))
    await benchHostile(only.includes('hostile') ? 100_000 : 5_000);
  if (only.length === 0 || only.includes('phones')) await benchPhones();
  if (only.length === 0 || only.includes('kills')) benchKills(only.includes('kills') ? 20 : 3);
  if (only.length === 0 || only.includes('app')) await benchApp();
}

main().catch((error: unknown) => {
  process.stderr.write(
    `${error instanceof Error ? (error.stack ?? error.message) : String(error)}\n`,
  );
  process.exitCode = 1;
});
