import {
  faultOf,
  instanceOf,
  makeId,
  makeRig,
  signature,
  truck,
  walkSound,
} from '@nazar/core/testing';
import type { AnyEvent, Payloads } from '@nazar/core/inspection';
import { v4 as anyId } from 'uuid';
import { inOrganisation } from '../store/connection';
import {
  asWalkOf,
  halvern,
  north,
  people,
  startTestServer,
  type TestServer,
} from '../testing/test-server';

let server: TestServer;
beforeEach(async () => {
  server = await startTestServer();
});
afterEach(() => server.close());

const rig = makeRig();
const nuts = instanceOf(rig, 'wheel.nuts/steer-left');
const flap = instanceOf(rig, 'truck.body.mud-flap/drive-right');
const DAY = 86_400_000;

/** A signed walk of Imre's with these faults, so many days after the first. */
async function walkWith(
  faults: readonly Payloads['faulted'][],
  days = 0,
  before: (log: ReturnType<typeof walkSound>) => void = () => undefined,
): Promise<AnyEvent[]> {
  const log = walkSound(rig);
  before(log);
  for (const fault of faults) log.add('faulted', fault);
  log.add('signed', { signature, headline: 'limits' });
  const events = asWalkOf(people.imre, log.events, (days - 20) * DAY);
  const answers = await server.send(people.imre, events);
  expect(answers.filter(({ status }) => status === 'refused')).toEqual([]);
  return events;
}

function certificate(
  inspectionId: string,
  payload: Partial<Payloads['certified']> & { defectId: string },
  who = people.rasmus,
): AnyEvent {
  return {
    id: anyId(),
    inspectionId,
    deviceId: anyId(),
    actorId: who.id,
    at: Date.UTC(2026, 10, 26, 9),
    sequence: 1,
    version: 1,
    type: 'certified',
    payload: { outcome: 'repaired', words: 'Studs renewed, torqued', signature, ...payload },
  };
}

async function list(who = people.rasmus, query = '') {
  return (await (await server.as(who)).get(`/api/defects${query}`).expect(200)).body;
}

const reference = async (who = people.imre) =>
  (await (await server.as(who)).get('/api/reference').expect(200)).body;

describe('the workshop’s list', () => {
  it('has the worst first, then the oldest, with place, reasons and who', async () => {
    await walkWith([faultOf(flap, 'flap-gone', { defectId: anyId() })], 0);
    await walkWith([faultOf(nuts, 'nut-one', { defectId: anyId(), note: 'Front one' })], 2);
    const belt = instanceOf(rig, 'truck.engine.belts');
    await walkWith([faultOf(belt, 'belt-slack', { defectId: anyId() })], 1);
    const { defects, counts, more } = await list();
    expect(defects.map(({ symptom }: { symptom: string }) => symptom)).toEqual([
      'One nut loose or missing',
      'Missing or torn off',
      'Slack or glazed',
    ]);
    expect(counts).toEqual({ major: 1, minor: 2 });
    expect(more).toBe(false);
    expect(defects[0]).toMatchObject({
      unitNumber: '214',
      place: 'left steer',
      grade: 'major',
      blocks: ['road'],
      note: 'Front one',
      reportedBy: 'Imre Dahl',
      reasons: [{ code: 'symptom' }],
    });
  });

  it('comes page by page without a gap or a repetition', async () => {
    const places = rig.instances.filter(({ check }) => check.id === 'truck.brake.hose');
    await walkWith(places.map((each) => faultOf(each, 'hose-leak', { defectId: anyId() })));
    await walkWith([faultOf(flap, 'flap-gone', { defectId: anyId() })], 1);
    const seen: string[] = [];
    let query = '?limit=2';
    for (let page = 0; page < 5; page += 1) {
      const { defects, more } = await list(people.rasmus, query);
      seen.push(...defects.map(({ id }: { id: string }) => id));
      if (!more) break;
      const last = defects.at(-1);
      const rank = { note: 1, minor: 2, major: 3 }[last.grade as 'note'];
      query = `?limit=2&rank=${rank}&reportedAt=${last.reportedAt}&id=${last.id}`;
    }
    expect(seen).toHaveLength(5);
    expect(new Set(seen).size).toBe(5);
  });

  it('is for the workshop, and for its own depot', async () => {
    await walkWith([faultOf(nuts, 'nut-one', { defectId: anyId() })]);
    await (await server.as(people.imre)).get(`/api/defects/${anyId()}`).expect(403);
    const answer = await (await server.as(people.imre)).get('/api/defects').expect(403);
    expect(answer.body.code).toBe('workshop-only');
    expect((await list(people.henk)).defects).toEqual([]);
    expect((await list(people.strangeMechanic)).defects).toEqual([]);
  });

  it('is read by an index', async () => {
    const plan = await inOrganisation(server.owner, halvern.id, async (trx) => {
      await trx.raw('set local enable_seqscan = off');
      const { rows } = await trx.raw(
        `explain select id from defects where depot_id = ? and status in ('open', 'deferred')
          order by grade_rank desc, reported_at, id limit 50`,
        [north.id],
      );
      return JSON.stringify(rows);
    });
    expect(plan).toContain('defects_open');
    expect(plan).not.toContain('Sort');
  });
});

describe('the life of a defect', () => {
  it('reported, certified, read by the next driver, closed', async () => {
    const defectId = anyId();
    const [{ inspectionId }] = await walkWith([faultOf(nuts, 'nut-one', { defectId })]);
    expect((await reference()).defects).toMatchObject([{ id: defectId, status: 'open' }]);

    const [certified] = await server.send(people.rasmus, [certificate(inspectionId, { defectId })]);
    expect(certified.status).toBe('stored');
    expect((await list()).defects).toEqual([]);
    expect((await reference()).defects).toMatchObject([
      {
        id: defectId,
        status: 'repaired',
        outcomeWords: 'Studs renewed, torqued',
        certifiedBy: 'Rasmus Feld',
      },
    ]);

    await walkWith([], 3, (log) => log.add('acknowledged', { defectId }));
    expect((await reference()).defects).toEqual([]);
    const row = await inOrganisation(server.owner, halvern.id, (trx) =>
      trx('defects').where({ id: defectId }).first(),
    );
    expect(row).toMatchObject({ status: 'closed', acknowledged_by: people.imre.id });
  });

  it('is not closed by a walk round another unit', async () => {
    const defectId = anyId();
    const eye = instanceOf(rig, 'tag-trailer.coupling.eye');
    const [{ inspectionId }] = await walkWith([faultOf(eye, 'eye-worn', { defectId })]);
    await server.send(people.rasmus, [certificate(inspectionId, { defectId })]);
    const alone = walkSound(makeRig([truck]));
    alone.add('acknowledged', { defectId });
    alone.add('signed', { signature, headline: 'rolls' });
    await server.send(people.imre, asWalkOf(people.imre, alone.events, DAY));
    expect((await reference()).defects).toMatchObject([{ id: defectId, status: 'repaired' }]);
  });

  it('holds the next walk back while a repair was not read', async () => {
    const defectId = anyId();
    const [{ inspectionId }] = await walkWith([faultOf(nuts, 'nut-one', { defectId })]);
    await server.send(people.rasmus, [certificate(inspectionId, { defectId })]);
    const [next] = await walkWith([], 1);
    const row = await inOrganisation(server.owner, halvern.id, (trx) =>
      trx('inspections').where({ id: next.inspectionId }).first(),
    );
    expect(row.headline).toBe('stays');
  });

  it('found again is confirmed under its own id, not written twice', async () => {
    const defectId = anyId();
    await walkWith([faultOf(flap, 'flap-gone', { defectId })]);
    await walkWith([faultOf(flap, 'flap-gone', { defectId })], 1);
    const { defects } = await list();
    expect(defects).toHaveLength(1);
    expect(defects[0].confirmedAt).not.toBeNull();
  });

  it('found again and milder keeps its grade and what it takes away', async () => {
    const defectId = anyId();
    const oil = instanceOf(rig, 'truck.engine.leaks');
    await walkWith([faultOf(oil, 'block-oil', { defectId, stepId: 'class-3' })]);
    await walkWith([faultOf(oil, 'block-oil', { defectId, stepId: 'class-1' })], 1);
    expect((await list()).defects).toMatchObject([{ grade: 'major', blocks: ['road'] }]);
    const [next] = await walkWith([], 2);
    const row = await inOrganisation(server.owner, halvern.id, (trx) =>
      trx('inspections').where({ id: next.inspectionId }).first(),
    );
    expect(row.headline).toBe('stays');
  });

  it('a fault counts before the signature, and goes when it is taken back', async () => {
    const log = walkSound(rig);
    const defectId = anyId();
    log.add('faulted', faultOf(nuts, 'nut-one', { defectId }));
    const events = asWalkOf(people.imre, log.events);
    await server.send(people.imre, events);
    expect((await list()).defects).toHaveLength(1);
    const back = {
      ...events[0],
      id: anyId(),
      sequence: 5000,
      type: 'answered',
      payload: { key: nuts.key, outcome: 'sound' },
    };
    await server.send(people.imre, [back]);
    expect((await list()).defects).toEqual([]);
  });

  it('put right on the spot never reaches the workshop', async () => {
    const washer = instanceOf(rig, 'truck.glass.washer-fluid');
    await walkWith([faultOf(washer, 'washer-empty', { defectId: anyId(), fixed: 'Fill it' })]);
    expect((await list()).defects).toEqual([]);
  });

  it('cannot be taken over by a made-up report of another unit', async () => {
    const defectId = anyId();
    await walkWith([faultOf(nuts, 'nut-one', { defectId })]);
    const eye = instanceOf(rig, 'tag-trailer.coupling.eye');
    const log = walkSound(rig);
    log.add('faulted', faultOf(eye, 'eye-worn', { defectId }));
    const answers = await server.send(people.imre, asWalkOf(people.imre, log.events, -19 * DAY));
    expect(answers.at(-1)).toMatchObject({ status: 'refused', code: 'defect-of-other-unit' });
    expect((await list()).defects).toMatchObject([{ unitId: truck.id, grade: 'major' }]);
  });
});

describe('certifying is refused', () => {
  const defectId = anyId();
  let inspectionId: string;
  beforeEach(async () => {
    [{ inspectionId }] = await walkWith([faultOf(nuts, 'nut-one', { defectId })]);
  });
  const attempt = async (event: AnyEvent, who = people.rasmus) =>
    (await server.send(who, [event]))[0].code ?? 'stored';

  it('to a driver', async () => {
    expect(await attempt(certificate(inspectionId, { defectId }, people.imre), people.imre)).toBe(
      'mechanics-only',
    );
  });
  it('to a mechanic of another depot', async () => {
    expect(await attempt(certificate(inspectionId, { defectId }, people.henk), people.henk)).toBe(
      'unit-not-yours',
    );
  });
  it('to a mechanic of another organisation, who cannot even see it', async () => {
    const event = certificate(inspectionId, { defectId }, people.strangeMechanic);
    expect(await attempt(event, people.strangeMechanic)).toBe('not-begun');
  });
  it('twice', async () => {
    expect(await attempt(certificate(inspectionId, { defectId }))).toBe('stored');
    expect(await attempt(certificate(inspectionId, { defectId }))).toBe('already-certified');
  });
  it('as a deferral of a major defect', async () => {
    const event = certificate(inspectionId, { defectId, outcome: 'deferred', until: '2099-01-01' });
    expect(await attempt(event)).toBe('grade-not-deferrable');
  });
  it('for a defect that nobody reported', async () => {
    expect(await attempt(certificate(inspectionId, { defectId: makeId(12345) }))).toBe(
      'no-such-defect',
    );
  });
  it('without a word', async () => {
    expect(await attempt(certificate(inspectionId, { defectId, words: '' }))).toBe('malformed');
  });
});
