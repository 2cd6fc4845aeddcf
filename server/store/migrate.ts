import type { Knex } from 'knex';
import * as first from './migrations/2026-11-25-first';
import * as closingLoop from './migrations/2026-11-25-closing-loop';
import * as houseContent from './migrations/2026-11-25-house-content';
import * as tags from './migrations/2026-11-25-tags';
import * as defectReports from './migrations/2026-11-26-defect-reports';
import * as furtherConditions from './migrations/2026-11-26-further-conditions';
import * as knownDevices from './migrations/2026-11-26-known-devices';
import * as partitions from './migrations/2026-11-26-partitions';
import * as sendersOfPhotos from './migrations/2026-11-26-senders-of-photos';
import * as arrivals from './migrations/2026-11-27-arrivals';
import * as cards from './migrations/2026-11-27-cards';
import * as heads from './migrations/2026-11-27-heads';
import * as namedDefects from './migrations/2026-11-27-named-defects';
import * as retiredPolicies from './migrations/2026-11-27-retired-policies';
import * as sessions from './migrations/2026-11-27-sessions';
import * as openInspection from './migrations/2026-11-25-open-inspection';

interface Migration {
  readonly name: string;
  readonly up: (db: Knex) => Promise<void>;
}

// Forward only; each must be safe on a filled database.
const MIGRATIONS: readonly Migration[] = [
  { name: '2026-11-25-first', up: first.up },
  { name: '2026-11-25-open-inspection', up: openInspection.up },
  { name: '2026-11-25-closing-loop', up: closingLoop.up },
  { name: '2026-11-25-house-content', up: houseContent.up },
  { name: '2026-11-25-tags', up: tags.up },
  { name: '2026-11-26-further-conditions', up: furtherConditions.up },
  { name: '2026-11-26-defect-reports', up: defectReports.up },
  { name: '2026-11-26-partitions', up: partitions.up },
  { name: '2026-11-26-senders-of-photos', up: sendersOfPhotos.up },
  { name: '2026-11-26-known-devices', up: knownDevices.up },
  { name: '2026-11-27-arrivals', up: arrivals.up },
  { name: '2026-11-27-sessions', up: sessions.up },
  { name: '2026-11-27-heads', up: heads.up },
  { name: '2026-11-27-retired-policies', up: retiredPolicies.up },
  { name: '2026-11-27-cards', up: cards.up },
  { name: '2026-11-27-named-defects', up: namedDefects.up },
];

const migrationSource: Knex.MigrationSource<Migration> = {
  getMigrations: () => Promise.resolve([...MIGRATIONS]),
  getMigrationName: (migration) => migration.name,
  getMigration: (migration) =>
    Promise.resolve({
      up: migration.up,
      down: () => Promise.reject(new Error('Migrations only go forward.')),
    }),
};

/** Brings the database to the present shape; returns the names of what was done. */
export async function migrate(db: Knex): Promise<string[]> {
  const [, done] = (await db.migrate.latest({ migrationSource })) as [number, string[]];
  return done;
}
