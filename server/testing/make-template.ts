import { connectAsOwner } from '../store/connection';
import { migrate } from '../store/migrate';
import { databaseUrl, TEMPLATE } from './database';

/** The migrated, empty database that each test file gets a copy of. */
async function main(): Promise<void> {
  const owner = connectAsOwner(databaseUrl('nazar'));
  const { rows } = await owner.raw(
    `select datname from pg_database where datname like 'test\\_%' or datname = '${TEMPLATE}'`,
  );
  for (const { datname } of rows as { datname: string }[])
    await owner.raw(`drop database "${datname}" with (force)`);
  await owner.raw(`create database ${TEMPLATE}`);
  await owner.destroy();
  const template = connectAsOwner(databaseUrl(TEMPLATE));
  await migrate(template);
  await template.destroy();
}

void main();
