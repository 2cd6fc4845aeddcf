import type { Knex } from 'knex';
import { demoPeople, seedDemo } from './demo';
import { openSealKey } from './report/seal-key';
import { connectAsOwner, connectServing } from './store/connection';
import { migrate } from './store/migrate';
import { ensurePartitions } from './store/partitions';

/**
 * Brings a database up: migrations, months ahead, and the demo world where the database is
 * empty (or always, with --reset). Run before the server, as the owner.
 */
async function main(): Promise<void> {
  const { DATABASE_URL, SEAL_KEY_FILE } = process.env;
  if (!DATABASE_URL || !SEAL_KEY_FILE)
    throw new Error('Set DATABASE_URL and SEAL_KEY_FILE in the environment.');
  // The demo can be built again at any time, so it need not wait for the disk.
  const url = new URL(DATABASE_URL);
  url.searchParams.set('options', '-c synchronous_commit=off');
  const owner = connectAsOwner(url.href);
  const db = connectServing(url.href);
  try {
    if (process.argv.includes('--reset')) await dropAll(owner);
    await migrate(owner);
    const now = new Date();
    await ensurePartitions(owner, now, new Date(now.getTime() + 70 * 86_400_000));
    const [{ count }] = await owner('organisations').count('* as count');
    if (Number(count) === 0) {
      let last = 0;
      await seedDemo({
        owner,
        db,
        now,
        key: openSealKey(SEAL_KEY_FILE),
        onProgress: (done, of) => {
          const tenth = Math.floor((done / of) * 10);
          if (tenth > last) process.stdout.write(`demo walks ${done} of ${of}\n`);
          last = tenth;
        },
      });
    }
    process.stdout.write(
      `${JSON.stringify(demoPeople.map(({ name, role, pin }) => ({ name, role, pin })))}\n`,
    );
  } finally {
    await db.destroy();
    await owner.destroy();
  }
}

async function dropAll(owner: Knex): Promise<void> {
  await owner.raw('drop schema public cascade; create schema public');
}

main().catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.exitCode = 1;
});
