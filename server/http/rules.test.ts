import { faultOf, instanceOf, makeRig, signature, truck, walkSound } from '@nazar/core/testing';
import { affectsSafetyPolicy } from '@nazar/core/grading';
import request from 'supertest';
import { v4 as anyId } from 'uuid';
import { runRetention } from '../jobs/retention';
import { inOrganisation } from '../store/connection';
import {
  abroadTruck,
  asWalkOf,
  eventAfter,
  halvern,
  people,
  quayTruck,
  startTestServer,
  type TestServer,
} from '../testing/test-server';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());
beforeEach(() => server.owner('rate_counters').delete());

const rig = makeRig();
const { imre, rasmus, ilka, jonah, stranger, strangeSupervisor } = people;
const DAY = 86_400_000;

const inHalvern = <T>(work: Parameters<typeof inOrganisation<T>>[2]) =>
  inOrganisation(server.owner, halvern.id, work);

async function walk(
  change: (log: ReturnType<typeof walkSound>) => void = () => undefined,
  daysAgo = 1,
): Promise<string> {
  const log = walkSound(rig);
  change(log);
  log.add('signed', { signature, headline: 'rolls' });
  const events = asWalkOf(imre, log.events, Date.now() - daysAgo * DAY - log.events[0].at);
  await server.send(imre, events);
  return events[0].inspectionId;
}

describe('policies of a depot', () => {
  const own = { ...affectsSafetyPolicy, id: 'halvern-list', title: 'The list of Halvern' };

  it('are read by everybody and changed by supervisors', async () => {
    const driver = await server.as(imre);
    const { body } = await driver.get('/api/rules').expect(200);
    expect(body.choice).toEqual({ usual: 'two-step', byClass: {} });
    expect(body.policies).toHaveLength(6);
    const answer = await driver
      .put('/api/rules/policies')
      .send({ usual: 'readiness', byClass: {} })
      .expect(403);
    expect(answer.body.detail).toBe('Only a supervisor does this.');
  });

  it('brought in a file are checked, kept, and never replaced', async () => {
    const agent = await server.as(ilka);
    const { gradeOf, ...holed } = own;
    const refused = await agent
      .post('/api/rules/policies')
      .send({ ...holed, gradeOf: { watch: gradeOf.watch, stop: gradeOf.stop }, keepDays: 5 })
      .expect(422);
    expect(refused.body.code).toBe('policy-faults');
    expect(refused.body.detail).toMatch(/gradeOf\.repair/);
    expect(refused.body.detail).toMatch(/keepDays/);
    await agent.post('/api/rules/policies').send(own).expect(201);
    await agent
      .post('/api/rules/policies')
      .send({ ...own, title: 'Softer' })
      .expect(409);
    await agent
      .put('/api/rules/policies')
      .send({ usual: 'two-step', byClass: { trailer: 'halvern-list' } })
      .expect(204);
    const { body } = await (await server.as(imre)).get('/api/reference').expect(200);
    expect(body.depot.choice.byClass).toEqual({ trailer: 'halvern-list' });
    expect(body.ownPolicies).toMatchObject([{ title: 'The list of Halvern' }]);
  });

  it('that nobody brought cannot be chosen', async () => {
    const agent = await server.as(ilka);
    const answer = await agent
      .put('/api/rules/policies')
      .send({ usual: 'lenient', byClass: {} })
      .expect(422);
    expect(answer.body.detail).toContain('lenient');
    await agent.put('/api/rules/policies').send({ usual: 'two-step' }).expect(422);
    await agent
      .put('/api/rules/policies')
      .send({ usual: 'two-step', byClass: { boat: 'two-step' } })
      .expect(422);
  });

  it('keep who changed what', async () => {
    const { body } = await (await server.as(ilka)).get('/api/rules').expect(200);
    expect(body.changes.map(({ what, by }: any) => [what, by])).toEqual([
      ['policies', 'Ilka Moors'],
      ['policy-brought', 'Ilka Moors'],
    ]);
  });

  it('of one organisation are nothing to another', async () => {
    const agent = await server.as(strangeSupervisor);
    const { body } = await agent.get('/api/rules').expect(200);
    expect(body.own).toEqual([]);
    await agent.put('/api/rules/policies').send({ usual: 'halvern-list', byClass: {} }).expect(422);
  });

  it('grade the walk that names them', async () => {
    const lens = instanceOf(rig, 'tag-trailer.lamp.tail/rear-lamps-left');
    const defectId = anyId();
    const id = await walk((log) => {
      const begun = log.events[0] as { payload: object };
      begun.payload = {
        ...begun.payload,
        policies: { [rig.units[1].unit.id]: 'halvern-list' },
      };
      log.add('faulted', faultOf(lens, 'lens-broken', { defectId }));
    });
    const row = await inHalvern((trx) => trx('defects').where({ id: defectId }).first());
    expect(row).toMatchObject({ grade: 'major', policy_ids: ['halvern-list'], inspection_id: id });
  });

  it('taken away can be chosen no more, and what names them is read by them for ever', async () => {
    const agent = await server.as(ilka);
    const driver = await server.as(imre);
    await driver.delete('/api/rules/policies/halvern-list').expect(403);
    const used = await agent.delete('/api/rules/policies/halvern-list').expect(409);
    expect(used.body).toMatchObject({ code: 'policy-in-use' });
    await agent.put('/api/rules/policies').send({ usual: 'two-step', byClass: {} }).expect(204);
    await agent.delete('/api/rules/policies/halvern-list').expect(204);
    await agent.delete('/api/rules/policies/halvern-list').expect(404);
    await agent.delete('/api/rules/policies/two-step').expect(409);
    const { body } = await agent.get('/api/rules').expect(200);
    expect(body.own).toEqual([]);
    expect(body.changes[0]).toMatchObject({ what: 'policy-taken-away', before: 'halvern-list' });
    await agent.put('/api/rules/policies').send({ usual: 'halvern-list', byClass: {} }).expect(422);
    await agent
      .post('/api/rules/policies')
      .send({ ...own, title: 'Softer' })
      .expect(409);
    // A phone that has begun with it goes on, and its walk is sealed.
    const reference = await driver.get('/api/reference').expect(200);
    expect(reference.body.ownPolicies).toMatchObject([{ id: 'halvern-list' }]);
    const late = await walk((log) => {
      const begun = log.events[0] as { payload: object };
      begun.payload = { ...begun.payload, policies: { [rig.units[1].unit.id]: 'halvern-list' } };
    });
    await driver.get(`/api/reports/${late}`).expect(200);
    // Taken away by mistake, the very same one comes back.
    await agent.post('/api/rules/policies').send(own).expect(201);
    const back = await agent.get('/api/rules').expect(200);
    expect(back.body.own).toMatchObject([{ id: 'halvern-list' }]);
  });
});

describe('planned jobs', () => {
  const job = {
    title: 'Sand',
    needs: ['tow'],
    unitIds: [truck.id],
    startsAt: new Date(Date.now() + 3_600_000).toISOString(),
  };

  it('are planned and called off by supervisors, and seen by drivers', async () => {
    const agent = await server.as(ilka);
    const { body } = await agent.post('/api/jobs').send(job).expect(201);
    const seen = await (await server.as(imre)).get('/api/jobs').expect(200);
    expect(seen.body.jobs).toMatchObject([{ id: body.id, title: 'Sand', needs: ['tow'] }]);
    await (await server.as(imre)).delete(`/api/jobs/${body.id}`).expect(403);
    await agent.delete(`/api/jobs/${body.id}`).expect(204);
    await agent.delete(`/api/jobs/${body.id}`).expect(404);
  });

  it.each([
    ['a unit of another depot', { ...job, unitIds: [quayTruck.id] }, 'not-your-units'],
    ['a unit of another organisation', { ...job, unitIds: [abroadTruck.id] }, 'not-your-units'],
    ['long ago', { ...job, startsAt: '2020-01-01T00:00:00Z' }, 'not-in-time'],
    ['no time', { ...job, startsAt: 'tonight' }, 'malformed'],
    ['an unknown need', { ...job, needs: ['fly'] }, 'malformed'],
    ['no units', { ...job, unitIds: [] }, 'malformed'],
  ])('with %s are refused', async (_, body, code) => {
    const answer = await (await server.as(ilka)).post('/api/jobs').send(body).expect(422);
    if (code !== 'malformed') expect(answer.body.code).toBe(code);
    expect(answer.body.detail).not.toMatch(/at .*\.ts/);
  });
});

describe('the logbook', () => {
  it('tells walks, defects, readings, services, weak spots and the chain', async () => {
    await walk();
    const agent = await server.as(imre);
    const { body } = await agent.get(`/api/units/${truck.id}/logbook`).expect(200);
    expect(body.unit.number).toBe('214');
    expect(body.walks.length).toBeGreaterThanOrEqual(2);
    expect(body.walks[0]).toMatchObject({ headline: expect.any(String), driver: 'Imre Dahl' });
    expect(body.readings.length).toBeGreaterThan(8);
    expect(body.services.map(({ service }: any) => service.id)).toContain('truck.oil-change');
    expect(body.chain).toMatchObject({ faults: [], removed: 0 });
    expect(body.chain.length).toBe(body.walks.length);
  });

  it('shows a chain that was broken', async () => {
    const [row] = await inHalvern((trx) =>
      trx('reports').where({ unit_id: truck.id }).orderBy('sealed_at').select('id', 'seal'),
    );
    await inHalvern((trx) =>
      trx('reports')
        .where({ id: row.id })
        .update({ seal: JSON.stringify({ ...row.seal, hash: 'f'.repeat(64) }) }),
    );
    const agent = await server.as(imre);
    const { body } = await agent.get(`/api/units/${truck.id}/logbook`).expect(200);
    expect(body.chain.faults).toMatchObject([{ code: 'does-not-follow', sequence: 2 }]);
    await inHalvern((trx) =>
      trx('reports')
        .where({ id: row.id })
        .update({ seal: JSON.stringify(row.seal) }),
    );
  });

  it('of another depot or organisation is not there', async () => {
    const path = `/api/units/${truck.id}/logbook`;
    await (await server.as(jonah)).get(path).expect(404);
    await (await server.as(stranger)).get(path).expect(404);
    await (await server.as(imre)).get('/api/units/nonsense/logbook').expect(422);
  });

  it('a service that is done is recorded, and the next date follows', async () => {
    const path = `/api/units/${truck.id}/services/truck.oil-change`;
    await (await server.as(imre)).post(path).send({ words: 'Oil changed' }).expect(403);
    const agent = await server.as(rasmus);
    await agent.post(path).send({ words: '' }).expect(422);
    await agent.post(path).send({ words: 'x', at: '2099-01-01T00:00:00Z' }).expect(422);
    await agent.post(`${path}-not`).send({ words: 'Oil changed' }).expect(404);
    await agent.post(path).send({ words: 'Oil changed' }).expect(201);
    const { body } = await agent.get(`/api/units/${truck.id}/logbook`).expect(200);
    const service = body.services.find((each: any) => each.service.id === 'truck.oil-change');
    expect(service).toMatchObject({
      last: { words: 'Oil changed', by: 'Rasmus Feld', metres: expect.any(Number) },
      due: { from: 'use' },
    });
  });

  it('gives services as iCalendar, and the depot’s under a secret address', async () => {
    const agent = await server.as(rasmus);
    await agent
      .post(`/api/units/${truck.id}/services/truck.weekly`)
      .send({ words: 'Done' })
      .expect(201);
    const one = await agent.get(`/api/units/${truck.id}/services.ics`).expect(200);
    expect(one.text).toMatch(/BEGIN:VCALENDAR[\s\S]*SUMMARY:214 flatbed truck: Weekly check/);
    await agent.post('/api/calendar').expect(403);
    const boss = await server.as(ilka);
    const first = (await boss.post('/api/calendar').expect(201)).body.path as string;
    const feed = await request(server.app).get(first).expect(200);
    expect(feed.headers['content-type']).toContain('text/calendar');
    expect(feed.text).toContain('North Yard');
    const second = (await boss.post('/api/calendar').expect(201)).body.path as string;
    await request(server.app).get(first).expect(404);
    await request(server.app).get(second).expect(200);
    await request(server.app).get('/api/calendar/guess.ics').expect(404);
  });
});

describe('retention', () => {
  const expire = (id: string, days = 1) =>
    inHalvern((trx) =>
      trx('inspections')
        .where({ id })
        .update({ keep_until: new Date(Date.now() - days * DAY) }),
    );
  const isThere = async (id: string) =>
    (await inHalvern((trx) => trx('inspections').where({ id }).first('id'))) !== undefined;

  it('keeps a walk as long as the longest of its policies says', async () => {
    const id = await walk(undefined, 2);
    const row = await inHalvern((trx) => trx('inspections').where({ id }).first());
    // From the day on which it came, whatever its own clock said.
    const days = (row.keep_until.getTime() - Date.now()) / DAY;
    expect(Math.round(days)).toBe(184);
    await runRetention(server.db, new Date());
    expect(await isThere(id)).toBe(true);
  });

  it('removes what is past its time, and leaves the link of the chain', async () => {
    const id = await walk();
    await expire(id);
    expect(await runRetention(server.db, new Date())).toBe(1);
    expect(await isThere(id)).toBe(false);
    for (const table of ['events', 'readings', 'reports', 'additions', 'inspection_units'])
      expect(await inHalvern((trx) => trx(table).where({ inspection_id: id }))).toEqual([]);
    const agent = await server.as(imre);
    await agent.get(`/api/reports/${id}`).expect(404);
    const { body } = await agent.get(`/api/units/${truck.id}/logbook`).expect(200);
    expect(body.chain).toMatchObject({ removed: 1, faults: [] });
  });

  it('removes nothing that an open defect hangs on, reported or found again there', async () => {
    const defectId = anyId();
    const flap = instanceOf(rig, 'truck.body.mud-flap/drive-left');
    const fault = (log: ReturnType<typeof walkSound>) =>
      log.add('faulted', faultOf(flap, 'flap-gone', { defectId }));
    const first = await walk(fault, 3);
    const again = await walk(fault, 2);
    await expire(first);
    await expire(again);
    expect(await runRetention(server.db, new Date())).toBe(0);
    const certified = { defectId, outcome: 'repaired' as const, words: 'New flap', signature };
    await server.send(rasmus, [eventAfter(rasmus, first, 'certified', certified)]);
    // Mended, and still unread.
    await expire(first);
    expect(await runRetention(server.db, new Date())).toBe(0);
    await walk((log) => log.add('acknowledged', { defectId }));
    await expire(first);
    await expire(again);
    expect(await runRetention(server.db, new Date())).toBe(2);
  });

  it('removes nothing under a hold', async () => {
    const id = await walk();
    await expire(id);
    const agent = await server.as(ilka);
    await (
      await server.as(imre)
    )
      .post('/api/holds')
      .send({ unitId: truck.id, words: 'Claim after the crash' })
      .expect(403);
    await agent.post('/api/holds').send({ unitId: truck.id, words: '' }).expect(422);
    await agent.post('/api/holds').send({ unitId: quayTruck.id, words: 'Claim' }).expect(404);
    const { body } = await agent
      .post('/api/holds')
      .send({ unitId: truck.id, words: 'Claim after the crash' })
      .expect(201);
    expect(await runRetention(server.db, new Date())).toBe(0);
    const rules = await agent.get('/api/rules').expect(200);
    expect(rules.body.holds).toMatchObject([{ id: body.id, words: 'Claim after the crash' }]);
    expect(rules.body.retention.due).toBe(1);
    await agent.delete(`/api/holds/${body.id}`).expect(204);
    expect(await runRetention(server.db, new Date())).toBe(1);
  });

  it('cannot be talked into removing before the time', async () => {
    await expect(
      inOrganisation(server.db, halvern.id, (trx) =>
        trx.raw('select remove_expired(?, 10)', [new Date(Date.now() + 400 * DAY)]),
      ),
    ).rejects.toThrow(/before its time/);
    await expect(
      inOrganisation(server.db, halvern.id, (trx) => trx('events').delete()),
    ).rejects.toThrow(/permission denied/);
  });
});

describe('a report on paper and in tables', () => {
  it('fits both papers, and leaves no reading out', async () => {
    const id = await walk();
    const agent = await server.as(imre);
    const size = async (paper: string) => {
      const { body } = await agent
        .get(`/api/reports/${id}/pdf?paper=${paper}`)
        .buffer()
        .parse((response, done) => {
          const chunks: Buffer[] = [];
          response.on('data', (chunk: Buffer) => chunks.push(chunk));
          response.on('end', () => done(null, Buffer.concat(chunks)));
        })
        .expect(200);
      return /\/MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/.exec((body as Buffer).toString('latin1'))?.[0];
    };
    expect(await size('letter')).toContain('612 792');
    expect(await size('a4')).toContain('595.28 841.89');
    const readings = await agent.get(`/api/reports/${id}/readings.csv`).expect(200);
    const report = (await agent.get(`/api/reports/${id}`).expect(200)).body.report;
    const count = report.answers.flatMap((answer: any) => answer.readings ?? []).length;
    expect(readings.text.trim().split('\r\n')).toHaveLength(count + 1);
    const defects = await agent.get(`/api/reports/${id}/defects.csv`).expect(200);
    expect(defects.headers['content-disposition']).toContain('.csv');
    await agent.get(`/api/reports/${id}/people.csv`).expect(404);
  });
});

it('a rule with half a pair of characters, or with a NUL, is refused at the door, and walks go on', async () => {
  const boss = await server.as(ilka);
  for (const words of ['half \ud800 a pair', 'a \u0000 b']) {
    const answer = await boss
      .post('/api/rules/policies')
      .send({ ...affectsSafetyPolicy, id: 'house-own', title: words })
      .expect(422);
    expect(answer.body).toMatchObject({ code: 'not-storable' });
  }
  const deep = `${'['.repeat(200_000)}${']'.repeat(200_000)}`;
  const answer = await boss
    .post('/api/rules/policies')
    .set('Content-Type', 'application/json')
    .send(deep)
    .expect(422);
  expect(answer.body).toMatchObject({ code: 'too-deep' });
  await walk();
});
