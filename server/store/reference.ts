import { catalogue } from '@nazar/core/content';
import type { UnitName } from '@nazar/core/quantity';
import type { LastReport, Reference } from '@nazar/core/wire';
import type { Knex } from 'knex';
import { defectsOfUnits } from './defects';
import { presentContent } from './depot-contents';
import { listSealKeys } from './reports';
import type { Person } from './sessions';
import { listJobs } from './jobs';
import { listOutings } from './outings';
import { findPolicyChoice, listKeptPolicies } from './rules';
import { listRigs } from './rigs';
import { listTags } from './tags';
import { listUnits } from './units';
import { weakSpotsOf } from './weak-spots';

/** What a phone caches to work offline. Each query is served by an index. */
export async function readReference(trx: Knex, person: Person): Promise<Reference> {
  const organisation = await trx('organisations').where({ id: person.organisationId }).first();
  const depot = await trx('depots').where({ id: person.depotId }).first();
  const units = await listUnits(trx, person.depotId);
  const unitIds = units.map((unit) => unit.id);
  return {
    catalogueVersion: catalogue.version,
    organisation: organisation.name as string,
    habit: organisation.units_habit as 'metric' | 'customary',
    depot: {
      id: depot.id as string,
      name: depot.name as string,
      choice: await findPolicyChoice(trx, person.depotId),
    },
    content: await presentContent(trx, person.depotId),
    ownPolicies: await listKeptPolicies(trx),
    weakSpots: await weakSpotsOf(trx, person.depotId),
    jobs: await listJobs(trx, person.depotId),
    outings: await listOutings(trx, unitIds),
    mechanics: await listMechanics(trx, person.depotId),
    units,
    tags: await listTags(trx, unitIds),
    rigs: await listRigs(trx, person.depotId),
    sealKeys: await listSealKeys(trx),
    defects: await defectsOfUnits(trx, unitIds),
    lastReadings: await lastReadings(trx, unitIds),
    lastReports: await lastReports(trx, unitIds),
    serverTime: Date.now(),
  };
}

async function listMechanics(trx: Knex, depotId: string) {
  const rows = await trx('people')
    .where({ depot_id: depotId, role: 'mechanic' })
    .orderBy('name')
    .select('id', 'name');
  return rows.map((row) => ({ id: row.id as string, name: row.name as string }));
}

/** The newest reading of each check instance of each unit, of the last three months. */
async function lastReadings(
  trx: Knex,
  unitIds: readonly string[],
): Promise<Reference['lastReadings']> {
  const { rows } = await trx.raw(
    `select distinct on (unit_id, key) key, value, unit, at
       from readings
      where unit_id = any(?::uuid[]) and at > now() - interval '92 days'
      order by unit_id, key, at desc`,
    [[...unitIds]],
  );
  return (rows as { key: string; value: number; unit: string; at: Date }[]).map((row) => ({
    key: row.key,
    value: row.value,
    unit: row.unit as UnitName,
    at: row.at.toISOString(),
  }));
}

async function lastReports(trx: Knex, unitIds: readonly string[]): Promise<LastReport[]> {
  const { rows } = await trx.raw(
    `select u.id as unit_id, i.id, latest.report_id, i.phase, i.headline, i.signed_at, p.name as driver
       from unnest(?::uuid[]) as u(id)
       cross join lateral (
         select inspection_id, report_id from inspection_units
          where unit_id = u.id and signed_at is not null
          order by signed_at desc limit 1) as latest
       join inspections i on i.id = latest.inspection_id
       left join people p on p.id = i.driver_id`,
    [[...unitIds]],
  );
  return (rows as LastReportRow[]).map((row) => ({
    unitId: row.unit_id,
    reportId: row.report_id,
    phase: row.phase as LastReport['phase'],
    headline: row.headline as LastReport['headline'],
    signedAt: row.signed_at.toISOString(),
    driver: row.driver ?? '',
  }));
}

interface LastReportRow {
  readonly unit_id: string;
  readonly report_id: string | null;
  readonly phase: string;
  readonly headline: string;
  readonly signed_at: Date;
  readonly driver: string | null;
}
