import { catalogue } from '@nazar/core/content';
import { fold, type AnyEvent } from '@nazar/core/inspection';
import { standOf } from '@nazar/core/standing';
import {
  answerSound,
  begunOf,
  faultOf,
  makeLog,
  makeRig,
  signature,
  trailer,
  truck,
} from '@nazar/core/testing';
import { v4 as anyId } from 'uuid';
import { inOrganisation } from '../store/connection';
import { randomFrom, type Random } from '../testing/hostile';
import {
  asWalkOf,
  eventAfter,
  halvern,
  people,
  startTestServer,
  type TestServer,
} from '../testing/test-server';

/*
 * What the phone shows is worked out from what the phone has: its log and the reference that it was sent. What the server keeps is worked
 * out from the database. Both must say the same, whatever was walked, mended, re-carded and re-ruled before.
 */
let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());
beforeEach(() => server.owner('rate_counters').delete());

const { imre, rasmus, ilka } = people;
const HOUR = 3_600_000;
const POLICIES = ['two-step', 'affects-safety', 'nil-defect'];

const pick = <T>(random: Random, list: readonly T[]): T =>
  list[Math.floor(random() * list.length)] as T;

/** A walk on which some things are wrong, some cannot be seen and some are never answered. */
function randomWalk(random: Random, at: number): AnyEvent[] {
  const units = random() < 0.5 ? [truck] : [truck, trailer];
  const circumstances = random() < 0.3 ? (['dark'] as const) : [];
  const rig = makeRig(units, 'pre-trip', circumstances);
  const log = makeLog();
  log.add('begun', begunOf(rig, circumstances));
  const isSigned = random() < 0.7;
  for (const instance of rig.instances) {
    const chance = random();
    const symptom = pick(random, instance.check.symptoms);
    if (chance < 0.02) log.add('faulted', faultOf(instance, symptom.id, { defectId: anyId() }));
    else if (chance < 0.04)
      log.add('answered', { key: instance.key, outcome: 'not-looked', reason: 'Snow on it' });
    else if (isSigned || chance < 0.9) answerSound(log, instance);
    if (chance > 0.99) log.add('answered', { key: instance.key, outcome: 'cleared' });
    if (chance > 0.99 && isSigned) answerSound(log, instance);
  }
  if (random() < 0.2) log.add('turned', { circumstances: ['wet'] });
  if (units.length > 1 && random() < 0.2)
    log.add('dropped', { unitId: trailer.id, reason: 'It stays in the yard' });
  if (isSigned) log.add('signed', { signature, headline: 'rolls' });
  return asWalkOf(imre, log.events, at - (log.events[0] as AnyEvent).at);
}

/** Something happens in the depot between two walks. */
async function somethingElse(random: Random, at: number): Promise<void> {
  const kind = random();
  if (kind < 0.3) {
    const usual = pick(random, POLICIES);
    await (await server.as(ilka)).put('/api/rules/policies').send({ usual, byClass: {} });
  } else if (kind < 0.6) {
    const card = { ...truck.specification, lowPressureWarning: 400_000 + 50_000 * random() };
    await server
      .owner('units')
      .where({ id: truck.id })
      .update({
        specification: JSON.stringify(card),
      });
  } else {
    const open = await inOrganisation(server.db, halvern.id, (trx) =>
      trx('defects').where({ status: 'open' }).select('id', 'inspection_id').limit(3),
    );
    for (const { id: defectId, inspection_id: walk } of open)
      await server.send(rasmus, [
        eventAfter(
          rasmus,
          walk,
          'certified',
          { defectId, outcome: 'repaired', words: 'Renewed', signature },
          at,
        ),
      ]);
  }
}

async function asOnThePhone(inspectionId: string) {
  const agent = await server.as(imre);
  const { body: reference } = await agent.get('/api/reference').expect(200);
  const { body: log } = await agent.get(`/api/inspections/${inspectionId}/events`).expect(200);
  const { assessment } = standOf(fold(inspectionId, log.events), {
    catalogue,
    units: reference.units,
    content: undefined,
    choice: reference.depot.choice,
    own: reference.ownPolicies,
    defects: reference.defects,
  });
  return assessment;
}

it.each([1, 2, 3, 4])('phone and server judge the same walks alike (seed %d)', async (seed) => {
  const random = randomFrom(seed);
  const start = Date.now() - 30 * HOUR;
  let judged = 0;
  for (let walked = 0; walked < 6; walked += 1) {
    const at = start + (seed * 6 + walked) * (HOUR / 2);
    const events = randomWalk(random, at);
    const { inspectionId } = events[0] as AnyEvent;
    // In pieces, as a network lets them through.
    const half = Math.floor(events.length * random());
    const answers = [
      ...(await server.send(imre, events.slice(0, half))),
      ...(await server.send(imre, events.slice(half))),
    ];
    const refused = answers.filter(({ status }) => status === 'refused').map(({ code }) => code);
    const { verdict, answered, total, missing } = await asOnThePhone(inspectionId);
    // A walk that lacks an answer is not signed, and the phone knows it as well.
    const isSigning = events.some(({ type }) => type === 'signed');
    expect(refused).toEqual(isSigning && missing.length > 0 ? ['not-complete'] : []);
    const row = await inOrganisation(server.db, halvern.id, (trx) =>
      trx('inspections').where({ id: inspectionId }).first(),
    );
    expect(row).toMatchObject({
      total,
      answered,
      headline: row.signed_at ? verdict.headline : null,
    });
    if (row.signed_at) {
      judged += 1;
      const { body } = await (
        await server.as(imre)
      )
        .get(`/api/reports/${inspectionId}`)
        .expect(200);
      const { report } = body;
      expect((report.rig ?? report.verdict).headline).toBe(verdict.headline);
      if (report.rig.units.length === 1)
        expect(report.verdict).toMatchObject({
          conditions: verdict.conditions,
          capabilities: verdict.capabilities.map(({ capability }) => ({ capability })),
        });
    }
    await somethingElse(random, at + 20 * 60_000);
  }
  expect(judged).toBeGreaterThan(0);
});
