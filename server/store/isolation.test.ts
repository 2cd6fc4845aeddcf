import { faultOf, instanceOf, makeRig, signature, truck, walkSound } from '@nazar/core/testing';
import { v4 as anyId } from 'uuid';
import {
  abroad,
  asWalkOf,
  halvern,
  people,
  startTestServer,
  type TestServer,
} from '../testing/test-server';
import { inOrganisation } from './connection';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
  const rig = makeRig();
  const log = walkSound(rig);
  log.add('faulted', faultOf(instanceOf(rig, 'truck.cab.belt'), 'belt-cut', { defectId: anyId() }));
  log.add('signed', { signature, headline: 'stays' });
  await server.send(people.imre, asWalkOf(people.imre, log.events));
  await (await server.as(people.imre)).get(`/api/units/${truck.id}/tags`).expect(200);
});
afterAll(() => server.close());

const WALLED = [
  'depots',
  'people',
  'units',
  'rigs',
  'events',
  'inspections',
  'inspection_units',
  'readings',
  'defects',
  'defect_steps',
  'defect_reports',
  'reports',
  'chain_heads',
  'tags',
];

const count = (organisationId: string, table: string) =>
  inOrganisation(server.db, organisationId, async (trx) =>
    Number((await trx(table).count('* as count'))[0].count),
  );

describe('the wall between organisations', () => {
  it.each(WALLED)('%s shows its own rows', async (table) => {
    expect(await count(halvern.id, table)).toBeGreaterThan(0);
  });

  it.each(WALLED.filter((table) => !['depots', 'people', 'units'].includes(table)))(
    '%s shows nothing of another',
    async (table) => {
      expect(await count(abroad.id, table)).toBe(0);
    },
  );

  it.each(WALLED)('%s shows nothing when no organisation was named', async (table) => {
    const [{ count: seen }] = await server.db(table).count('* as count');
    expect(Number(seen)).toBe(0);
  });

  it('does not leak into the next query of the same connection', async () => {
    await count(halvern.id, 'units');
    for (let tries = 0; tries < 5; tries += 1)
      expect(await server.db('units').select('id')).toEqual([]);
  });

  it('stands when a row is written under another name', async () => {
    const row = {
      id: anyId(),
      organisation_id: halvern.id,
      inspection_id: anyId(),
      sha256: 'a',
      width: 1,
      height: 1,
      bytes: Buffer.from('x'),
    };
    await expect(
      inOrganisation(server.db, abroad.id, (trx) => trx('photos').insert(row)),
    ).rejects.toThrow(/row-level security/);
  });

  it('each walled table of the database is known to this test or holds no tenant', async () => {
    const { rows } = await server.owner.raw(
      `select relname from pg_class where relrowsecurity and relkind in ('r', 'p') order by 1`,
    );
    const names = (rows as { relname: string }[]).map(({ relname }) => relname);
    expect(names).toEqual(
      [
        ...WALLED,
        'additions',
        'calendar_feeds',
        'entries_set_aside',
        'holds',
        'house_contents',
        'outings',
        'own_policies',
        'photos',
        'planned_jobs',
        'removals',
        'rig_changes',
        'rule_changes',
        'services_done',
      ].sort(),
    );
  });

  it('lets the serving role be no more than it must', async () => {
    const { rows } = await server.db.raw(
      `select current_user as name, rolsuper, rolbypassrls, rolcreatedb from pg_roles where rolname = current_user`,
    );
    expect(rows[0]).toEqual({
      name: 'nazar_serving',
      rolsuper: false,
      rolbypassrls: false,
      rolcreatedb: false,
    });
    await expect(server.db.raw('select * from knex_migrations')).rejects.toThrow(
      /permission denied/,
    );
  });
});

describe('reference data', () => {
  it('holds the own depot only', async () => {
    const agent = await server.as(people.imre);
    const { body } = await agent.get('/api/reference').expect(200);
    expect(body.units.map(({ number }: { number: string }) => number)).toEqual(['214', '931']);
    expect(body.rigs).toHaveLength(1);
    expect(body.depot.name).toBe('North Yard');
    expect(body.lastReports[0]).toMatchObject({ headline: 'stays', driver: 'Imre Dahl' });
    expect(body.lastReadings.length).toBeGreaterThan(8);
    const jonah = await server.as(people.jonah);
    const other = await jonah.get('/api/reference').expect(200);
    expect(other.body.units.map(({ number }: { number: string }) => number)).toEqual(['305']);
    expect(other.body.defects).toEqual([]);
  });
});

describe('the log by month', () => {
  it('lies in the partition of its month; a wrong clock has a place too', async () => {
    const partitions = async () => {
      const { rows } = await server.owner.raw(
        `select tableoid::regclass::text as part, count(*) from events group by 1`,
      );
      return (rows as { part: string }[]).map(({ part }) => part);
    };
    await inOrganisation(server.owner, halvern.id, (trx) =>
      trx('events').insert({
        id: anyId(),
        organisation_id: halvern.id,
        inspection_id: anyId(),
        device_id: anyId(),
        actor_id: people.imre.id,
        at: new Date('2061-02-03'),
        sequence: 1,
        type: 'annotated',
        version: 1,
        payload: '{}',
      }),
    );
    // The owner of the tables is not bound by the wall; it reads all partitions.
    expect(await partitions()).toEqual(expect.arrayContaining(['events_2026_11', 'events_other']));
  });
});

describe('the catalogue that was used', () => {
  it('is kept under its version and never replaced by other content', async () => {
    const { catalogue } = await import('@nazar/core/content');
    const { keepCatalogueVersion } = await import('./catalogue-versions');
    await keepCatalogueVersion(server.db, catalogue);
    const changed = { ...catalogue, modules: [catalogue.modules[0]] };
    await expect(keepCatalogueVersion(server.db, changed)).rejects.toThrow(/new version/);
  });
});
