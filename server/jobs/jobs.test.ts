import type { BegunPayload } from '@nazar/core/inspection';
import { makeRig, signature, walkSound } from '@nazar/core/testing';
import { v4 as anyId } from 'uuid';
import { takeIn } from '../intake/take-in';
import { sealAllPending } from '../report/seal-pending';
import { inOrganisation } from '../store/connection';
import { ensurePartitions } from '../store/partitions';
import {
  asWalkOf,
  halvern,
  people,
  startTestServer,
  type TestServer,
} from '../testing/test-server';
import { AHEAD, ownJobs } from './jobs';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

const DAY = 86_400_000;

function wholeWalk() {
  const log = walkSound(makeRig());
  log.add('signed', { signature, headline: 'rolls' });
  return asWalkOf(people.imre, log.events);
}
const partitionsOf = async (table: string) => {
  const { rows } = await server.owner.raw(
    `select c.relname as name from pg_inherits i join pg_class c on c.oid = i.inhrelid
      where i.inhparent = ?::regclass order by 1`,
    [table],
  );
  return (rows as { name: string }[]).map(({ name }) => name);
};
const putEvent = (at: string) =>
  server.owner('events').insert({
    id: anyId(),
    organisation_id: halvern.id,
    inspection_id: anyId(),
    device_id: anyId(),
    actor_id: people.imre.id,
    at,
    sequence: 1,
    type: 'annotated',
    version: 1,
    payload: '{}',
  });

it('makes room for months ahead as the serving role, also for a month of which rows came too early', async () => {
  await putEvent('2027-03-15T12:00:00Z');
  expect(await ensurePartitions(server.db, new Date('2027-03-01'), new Date('2027-03-20'))).toBe(2);
  expect(await ensurePartitions(server.db, new Date('2027-03-01'), new Date('2027-03-20'))).toBe(0);
  expect(await partitionsOf('events')).toContain('events_2027_03');
  const [{ count }] = await server.owner('events_2027_03').count('* as count');
  expect(Number(count)).toBe(1);
  expect(Number((await server.owner('events_other').count('* as count'))[0].count)).toBe(0);
});

it('a server that runs for a year by a shifted clock has a month for each of its days, and starts again', async () => {
  const [partitions] = ownJobs(server.db, server.key);
  for (let day = 0; day <= 365; day += 30) {
    const now = new Date(Date.parse('2026-11-26') + day * DAY);
    await partitions.run(now);
    await putEvent(new Date(now.getTime() + (AHEAD - 1) * DAY).toISOString());
  }
  expect(Number((await server.owner('events_other').count('* as count'))[0].count)).toBe(0);
  // As the next start does.
  const next = new Date(Date.parse('2026-11-26') + 366 * DAY);
  await ensurePartitions(server.owner, next, new Date(next.getTime() + AHEAD * DAY));
});

it('one walk that cannot be sealed keeps no other from it, and is named', async () => {
  const [bad, good] = [wholeWalk(), wholeWalk()];
  for (const events of [bad, good]) await takeIn(server.db, people.imre, events);
  const ruined = bad[0].inspectionId;
  // As a server of before took it in: the same unit twice.
  await server.owner.raw(
    `update events set payload = jsonb_set(payload, '{unitIds}', jsonb_build_array(payload->'unitIds'->0, payload->'unitIds'->0))
      where inspection_id = ? and type = 'begun'`,
    [ruined],
  );
  const { sealed, failed } = await sealAllPending(server.db, server.key, new Date());
  expect(sealed).toBe(1);
  expect(failed.map(({ inspectionId }) => inspectionId)).toEqual([ruined]);
  const row = await inOrganisation(server.db, halvern.id, (trx) =>
    trx('inspections').where({ id: good[0].inspectionId }).first(),
  );
  expect(row.report_id).not.toBeNull();
  const [, sealing] = ownJobs(server.db, server.key);
  await expect(sealing.run(new Date())).rejects.toThrow(ruined);
});

it('a walk with the same unit twice is refused at its beginning', async () => {
  const log = walkSound(makeRig());
  const events = asWalkOf(people.imre, log.events);
  const [begun] = events;
  const payload = begun.payload as BegunPayload;
  const [unitId] = payload.unitIds;
  const twice = { ...begun, payload: { ...payload, unitIds: [unitId, unitId] } };
  expect(await server.send(people.imre, [twice])).toMatchObject([
    { status: 'refused', code: 'no-rig' },
  ]);
});

it('says at /api/health how its jobs do', async () => {
  const { body } = await (await server.as(people.imre)).get('/api/health').expect(200);
  expect(body).toEqual({ ok: true, jobs: [] });
});
