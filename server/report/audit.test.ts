import type { AnyEvent } from '@nazar/core/inspection';
import { faultOf, instanceOf, makeRig, signature, walkSound } from '@nazar/core/testing';
import type { Knex } from 'knex';
import sharp from 'sharp';
import { v4 as anyId } from 'uuid';
import {
  asWalkOf,
  eventAfter,
  people,
  startTestServer,
  type TestServer,
} from '../testing/test-server';
import { auditDatabase } from './audit';

/*
 * Each alteration is made by somebody who owns the database, row by row, in a transaction that is rolled back after the audit has
 * gone through it. The audit connects as the serving role does; it sees the transaction because it runs inside it.
 */
let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

const { imre, rasmus } = people;
const rig = makeRig();
const nuts = instanceOf(rig, 'wheel.nuts/steer-left');
const defectId = anyId();
const photoId = anyId();
let walk: string;
let former: string;

async function sendWalk(more: (log: ReturnType<typeof walkSound>) => void = () => undefined) {
  const log = walkSound(rig);
  more(log);
  log.add('signed', { signature, headline: 'stays' });
  const events: AnyEvent[] = asWalkOf(imre, log.events);
  await server.send(imre, events);
  return events[0];
}

beforeAll(async () => {
  former = (await sendWalk()).inspectionId;
  const agent = await server.as(imre);
  const log = walkSound(rig);
  log.add(
    'faulted',
    faultOf(nuts, 'nut-one', { defectId, photos: [{ id: photoId, width: 40, height: 30 }] }),
  );
  log.add('signed', { signature, headline: 'stays' });
  const events = asWalkOf(imre, log.events);
  walk = events[0].inspectionId;
  await agent
    .put(`/api/photos/${photoId}?inspection=${walk}`)
    .set('Content-Type', 'image/jpeg')
    .send(
      await sharp({ create: { width: 40, height: 30, channels: 3, background: '#2a4' } })
        .jpeg()
        .toBuffer(),
    )
    .expect(204);
  await server.send(imre, events);
  for (const words of ['Washed afterwards', 'Nuts are ordered'])
    await server.send(imre, [eventAfter(imre, walk, 'annotated', { words }, Date.now())]);
});

/** What the audit says of the database with this done to it. */
async function auditWith(alter: (trx: Knex.Transaction) => PromiseLike<unknown>) {
  const trx = await server.owner.transaction();
  try {
    await alter(trx);
    const { faults } = await auditDatabase(trx);
    return faults.map(({ where, words }) => `${where.split(' ')[0]}: ${words}`);
  } finally {
    await trx.rollback();
  }
}

it('finds nothing in a database that nobody has altered', async () => {
  const { faults, reports, withoutLog, heads } = await auditDatabase(server.db);
  expect(faults).toEqual([]);
  expect(reports).toBe(4);
  expect(withoutLog).toBe(0);
  expect(heads.map(({ sequence }) => sequence)).toEqual([2, 2]);
});

it.each<[string, (trx: Knex.Transaction) => PromiseLike<unknown>, RegExp]>([
  [
    'an answer in a sealed report',
    (trx) =>
      trx.raw(
        `update reports set body = jsonb_set(body::jsonb, '{verdict,headline}', '"rolls"')::json where inspection_id = ?`,
        [walk],
      ),
    /report: report\.verdict/,
  ],
  [
    'an entry of the log',
    (trx) =>
      trx.raw(
        `update events set payload = payload || '{"symptomId": "nut-rusty"}' where inspection_id = ? and type = 'faulted'`,
        [walk],
      ),
    /the log of the walk is not the one that was signed/,
  ],
  [
    'an entry that is gone',
    (trx) => trx('events').where({ inspection_id: walk, type: 'faulted' }).delete(),
    /the log of the walk is not the one that was signed/,
  ],
  [
    'the time of an entry',
    (trx) =>
      trx.raw(
        `update events set at = at + interval '1 minute' where inspection_id = ? and type = 'faulted'`,
        [walk],
      ),
    /the log of the walk is not the one that was signed/,
  ],
  [
    'a picture',
    (trx) =>
      trx('photos')
        .where({ id: photoId })
        .update({ bytes: Buffer.from('other') }),
    /is another picture/,
  ],
  ['a picture that is gone', (trx) => trx('photos').where({ id: photoId }).delete(), /is gone/],
  [
    'the last addition',
    (trx) =>
      trx('additions')
        .whereRaw(`inspection_id = ? and body->>'words' = 'Nuts are ordered'`, [walk])
        .delete(),
    /additions\[1\] \(was removed/,
  ],
  [
    'the row of walks',
    (trx) => trx('inspections').where({ id: former }).update({ headline: 'limits' }),
    /the table of walks says something else/,
  ],
  [
    'a defect that is mended by nobody',
    (trx) => trx('defects').where({ id: defectId }).update({ status: 'repaired' }),
    /defect: .*it is repaired, and nobody has certified it/,
  ],
  [
    'a defect that is gone',
    (trx) => trx('defects').where({ id: defectId }).delete(),
    /it is gone from the table of defects/,
  ],
  [
    'a report in the middle of its row',
    async (trx) => {
      await trx('inspections').where({ id: former }).update({ report_id: null });
      await trx('inspection_units').where({ inspection_id: former }).update({ report_id: null });
      await trx('reports').where({ inspection_id: former }).delete();
    },
    /unit: report .* of its row/,
  ],
  [
    'the newest report with the head of its row',
    async (trx) => {
      const [before] = await trx('reports').where({ inspection_id: former });
      await trx('reports').where({ inspection_id: walk }).delete();
      await trx('chain_heads').update({ sequence: 1, hash: before.seal.hash });
    },
    /how far its row goes is not as it was signed/,
  ],
])('finds %s', async (_, alter, words) => {
  const found = await auditWith(alter);
  expect(found.some((each) => words.test(each))).toBe(true);
});

it('finds a whole end that was put back to an older state, by the heads of an earlier audit', async () => {
  const { heads } = await auditDatabase(server.db);
  const before = heads.map((head) => ({ ...head, sequence: head.sequence + 1 }));
  const { faults } = await auditDatabase(server.db, before);
  expect(faults.map(({ words }) => words)).toContain('report 3, there at the last audit, is gone');
});

it('a mended defect with its certificate is as it should be', async () => {
  const certified = {
    defectId,
    outcome: 'repaired' as const,
    words: 'New nuts',
    signature,
  };
  await server.send(rasmus, [eventAfter(rasmus, walk, 'certified', certified, Date.now())]);
  expect((await auditDatabase(server.db)).faults).toEqual([]);
});
