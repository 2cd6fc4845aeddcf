import type { AnyEvent, Payloads } from '@nazar/core/inspection';
import {
  begunOf,
  faultOf,
  instanceOf,
  makeLog,
  makeRig,
  signature,
  trailer,
  walkSound,
} from '@nazar/core/testing';
import { v4 as anyId } from 'uuid';
import { inOrganisation } from '../store/connection';
import {
  asWalkOf,
  eventAfter,
  halvern,
  people,
  startTestServer,
  type TestServer,
} from '../testing/test-server';

let server: TestServer;
const HOUR = 3_600_000;
const start = Date.now() - 40 * HOUR;

beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());
beforeEach(() => server.owner('rate_counters').delete());

const rig = makeRig();
const nuts = instanceOf(rig, 'wheel.nuts/steer-left');
const lamp = instanceOf(rig, 'truck.lamp.stop/rear-lamps-left');
const { imre, tove, rasmus, edda, ilka } = people;

type Change = (log: ReturnType<typeof walkSound>) => void;
let walked = 0;

/** A whole walk of Imre's, signed; each an hour after the one before. */
async function walk(change: Change = () => undefined, who = imre): Promise<string> {
  const log = walkSound(rig);
  change(log);
  log.add('signed', { signature, headline: 'rolls' });
  walked += 1;
  const shift = start + walked * HOUR - log.events[0].at;
  const events = asWalkOf(who, log.events, shift);
  const answers = await server.send(who, events);
  expect(answers.filter(({ status }) => status === 'refused')).toEqual([]);
  return events[0].inspectionId;
}

let entries = 0;
/** A moment after the latest walk, each time a second later. */
const later = () => {
  entries += 1;
  return start + walked * HOUR + HOUR / 2 + entries * 1000;
};
async function add<T extends keyof Payloads>(
  who: typeof imre,
  inspectionId: string,
  type: T,
  payload: Payloads[T],
  at = later(),
) {
  const [answer] = await server.send(who, [eventAfter(who, inspectionId, type, payload, at)]);
  return answer;
}

const signOut = (id: string, more: Partial<Payloads['signed-out']> = {}, who = imre) =>
  add(who, id, 'signed-out', { purpose: 'job', needs: ['tow'], conditions: [], ...more });
const certify = (id: string, defectId: string, more: Partial<Payloads['certified']> = {}) =>
  add(rasmus, id, 'certified', {
    defectId,
    outcome: 'repaired',
    words: 'Nut renewed and torqued',
    signature,
    ...more,
  });
const rowOf = (id: string) =>
  inOrganisation(server.db, halvern.id, (trx) => trx('defects').where({ id }).first());
const withFault =
  (on: typeof nuts, symptom: string, defectId: string): Change =>
  (log) =>
    log.add('faulted', faultOf(on, symptom, { defectId }));

describe('defect, refused sign-out, repair, acknowledgement, and the same part again', () => {
  const defectId = anyId();
  let first: string;

  it('a rig with a major defect is not signed out; the refusal names it', async () => {
    first = await walk(withFault(nuts, 'nut-one', defectId));
    const answer = await signOut(first);
    expect(answer).toMatchObject({ status: 'refused', code: 'may-not-leave' });
    expect(answer.detail).toContain('Wheel nuts, left steer: One nut loose or missing');
  });

  it('nobody overrides it', async () => {
    const override = { about: nuts.key, words: 'We need it', signature };
    expect(await add(ilka, first, 'overridden', override)).toMatchObject({
      code: 'major-not-overridden',
    });
    expect(await add(imre, first, 'overridden', override)).toMatchObject({
      code: 'supervisors-only',
    });
  });

  it('is assigned, worked on and certified, step by step', async () => {
    expect(
      await add(ilka, first, 'assigned', { defectId, to: rasmus.id, revision: 0 }),
    ).toMatchObject({ status: 'stored' });
    expect(await add(ilka, first, 'assigned', { defectId, to: imre.id })).toMatchObject({
      code: 'no-such-mechanic',
    });
    expect(await add(imre, first, 'assigned', { defectId, to: null })).toMatchObject({
      code: 'workshop-only',
    });
    const work = {
      defectId,
      words: 'Stud stretched, both renewed',
      minutes: 45,
      parts: [{ words: 'wheel stud', count: 2 }],
      photos: [{ id: anyId(), width: 800, height: 600, when: 'after' as const }],
    };
    expect(await add(rasmus, first, 'worked', work)).toMatchObject({ status: 'stored' });
    expect(await certify(first, defectId, { revision: 2 })).toMatchObject({ status: 'stored' });
    expect(await rowOf(defectId)).toMatchObject({ status: 'repaired', assigned_to: rasmus.id });
    const agent = await server.as(rasmus);
    const { body } = await agent.get(`/api/defects/${defectId}`).expect(200);
    expect(body.steps.map(({ kind }: { kind: string }) => kind)).toEqual([
      'reported',
      'assigned',
      'worked',
      'certified',
    ]);
    expect(body.steps[2]).toMatchObject({
      minutes: 45,
      parts: [{ words: 'wheel stud', count: 2 }],
      by: 'Rasmus Feld',
    });
  });

  it('is not certified twice', async () => {
    expect(await certify(first, defectId)).toMatchObject({ code: 'already-certified' });
  });

  it('is acknowledged by the driver of the next walk, and by nobody on another’s', async () => {
    const toves = await walk(() => undefined, tove);
    expect(await add(imre, toves, 'acknowledged', { defectId })).toMatchObject({
      code: 'other-walk',
    });
    // Unread, the repair kept Tove's rig in.
    expect(await signOut(toves, {}, tove)).toMatchObject({ code: 'may-not-leave' });
    const next = await walk((log) => log.add('acknowledged', { defectId }));
    expect(await rowOf(defectId)).toMatchObject({ status: 'closed', acknowledged_by: imre.id });
    expect(await signOut(next)).toMatchObject({ status: 'stored' });
    expect(await signOut(next)).toMatchObject({ code: 'already-signed-out' });
    const other = await walk(() => undefined, tove);
    const answer = await signOut(other, {}, tove);
    expect(answer).toMatchObject({ code: 'unit-is-out' });
    expect(answer.detail).toBe('214 and 931 is out with Imre Dahl. Have it returned first.');
    // It is Imre's outing: another driver does not end it; the workshop may.
    expect(await add(tove, next, 'returned', {})).toMatchObject({
      code: 'driver-or-workshop-only',
    });
    expect(await add(rasmus, next, 'returned', {})).toMatchObject({ status: 'stored' });
    expect(await add(imre, next, 'returned', {})).toMatchObject({ code: 'already-returned' });
    expect(await signOut(other, {}, tove)).toMatchObject({ status: 'stored' });
    await add(tove, other, 'returned', {});
  });

  it('found on the same part again it is a return, and the repair did not hold', async () => {
    const again = anyId();
    await walk(withFault(nuts, 'nut-streak', again));
    expect(await rowOf(again)).toMatchObject({ return_of: defectId });
    expect(await rowOf(defectId)).toMatchObject({ held: false });
    const agent = await server.as(rasmus);
    const { body } = await agent.get(`/api/defects/${again}`).expect(200);
    expect(body.formerRepair).toMatchObject({
      id: defectId,
      outcomeWords: 'Nut renewed and torqued',
      held: false,
    });
    // Found once more, and worse: the same defect, confirmed and worsened, no second return.
    await walk(withFault(nuts, 'nut-several', again));
    expect(await rowOf(again)).toMatchObject({ grade: 'major', confirmations: 1 });
    const { body: worse } = await agent.get(`/api/defects/${again}`).expect(200);
    expect(worse.steps.at(-1)).toMatchObject({ kind: 'worsened', grade: 'major' });
    const id = (await rowOf(again)).inspection_id as string;
    expect(await certify(id, again)).toMatchObject({ status: 'stored' });
    await walk((log) => log.add('acknowledged', { defectId: again }));
  });

  it('stands in the sealed report, addition by addition', async () => {
    const agent = await server.as(imre);
    const { body } = await agent.get(`/api/reports/${first}`).expect(200);
    expect(body.additions.map(({ addition }: any) => addition.kind)).toEqual([
      'worked',
      'certified',
      'acknowledged',
    ]);
    const trailers = body.report.rig.units[1].report;
    const other = await agent.get(`/api/reports/${trailers}`).expect(200);
    expect(other.body.report.units[0].number).toBe(trailer.number);
    expect(other.body.additions).toEqual([]);
  });
});

describe('two benches', () => {
  it('the second is told what the first did, and nothing is lost', async () => {
    const defectId = anyId();
    const id = await walk(withFault(nuts, 'nut-streak', defectId));
    await add(edda, id, 'worked', { defectId, words: 'Looked at it', parts: [], photos: [] });
    const answer = await certify(id, defectId, { revision: 0 });
    expect(answer.code).toBe('changed-meanwhile');
    expect(answer.detail).toContain('Edda Lohm: worked, “Looked at it”');
    expect(await certify(id, defectId, { revision: 1 })).toMatchObject({ status: 'stored' });
    await walk((log) => log.add('acknowledged', { defectId }));
  });
});

describe('conditions', () => {
  const defectId = anyId();

  it('that forbid the job keep it in until a supervisor takes them off, in writing', async () => {
    const id = await walk(withFault(lamp, 'lamp-out', defectId));
    const refused = await signOut(id);
    expect(refused.detail).toContain('To the nearest repair.');
    expect(await signOut(id, { purpose: 'workshop', needs: [] })).toMatchObject({
      status: 'stored',
    });
    await add(imre, id, 'returned', {});
    const next = await walk(withFault(lamp, 'lamp-out', defectId));
    expect(
      await add(ilka, next, 'overridden', {
        about: lamp.key,
        words: 'Drives behind 218 with its lamps on',
        signature,
      }),
    ).toMatchObject({ status: 'stored' });
    expect(await signOut(next)).toMatchObject({ status: 'stored' });
    await add(imre, next, 'returned', {});
    const agent = await server.as(imre);
    const { body } = await agent.get(`/api/reports/${next}`).expect(200);
    expect(body.additions.map(({ addition }: any) => addition.kind)).toEqual(
      expect.arrayContaining(['overridden', 'signed-out', 'returned']),
    );
  });

  it('of a day ago do not cover a sign-out', async () => {
    await certify((await rowOf(defectId)).inspection_id, defectId);
    const id = await walk((log) => log.add('acknowledged', { defectId }));
    const event = { purpose: 'job' as const, needs: [], conditions: [] };
    expect(await add(imre, id, 'signed-out', event, later() + 25 * HOUR)).toMatchObject({
      code: 'report-too-old',
    });
    expect(await signOut(id, { needs: ['plow'] })).toMatchObject({
      detail: expect.stringContaining('This rig cannot do it: plow.'),
    });
  });
});

describe('what the depot’s policy wants', () => {
  const choose = (usual: string) =>
    server.as(ilka).then((agent) =>
      agent
        .put('/api/rules/policies')
        .send({ usual, byClass: { trailer: 'two-step' } })
        .expect(204),
    );
  afterAll(() => choose('two-step'));

  it('a mechanic does not certify an own report where it forbids that', async () => {
    await choose('nil-defect');
    const defectId = anyId();
    const id = await walk(withFault(nuts, 'nut-streak', defectId), rasmus);
    expect(await certify(id, defectId)).toMatchObject({ code: 'own-report' });
    const events = [
      eventAfter(edda, id, 'certified', {
        defectId,
        outcome: 'repaired',
        words: 'Torqued',
        signature,
      }),
    ];
    expect(await server.send(edda, events)).toMatchObject([{ status: 'stored' }]);
    await walk((log) => log.add('acknowledged', { defectId }));
  });

  it('the stricter of the walk’s and the depot’s counts, and the report says so', async () => {
    await choose('affects-safety');
    const defectId = anyId();
    const id = await walk(
      withFault(instanceOf(rig, 'truck.lamp.tail/rear-lamps-left'), 'lens-broken', defectId),
    );
    expect(await rowOf(defectId)).toMatchObject({ grade: 'major', status: 'open' });
    const agent = await server.as(imre);
    const { body } = await agent.get(`/api/reports/${id}`).expect(200);
    expect(body.report.policy.beside).toEqual(['List of parts that affect safety']);
    expect(body.report.defects[0].reasons.at(-1).code).toBe('stricter');
    // The carrier's agent signs beside the mechanic; until then it is open for drivers.
    expect(await certify(id, defectId)).toMatchObject({ status: 'stored' });
    expect(await rowOf(defectId)).toMatchObject({ status: 'awaiting-agent' });
    const next = await walk();
    expect(await signOut(next)).toMatchObject({ code: 'may-not-leave' });
    const second = { defectId, signature };
    expect(await add(rasmus, id, 'countersigned', second)).toMatchObject({
      code: 'supervisors-only',
    });
    expect(await add(ilka, id, 'countersigned', second)).toMatchObject({ status: 'stored' });
    expect(await add(ilka, id, 'countersigned', second)).toMatchObject({ code: 'not-awaiting' });
    expect(await rowOf(defectId)).toMatchObject({ status: 'repaired' });
    await walk((log) => log.add('acknowledged', { defectId }));
  });
});

describe('acknowledging', () => {
  it('what is not mended, or is on another rig, is refused with the reason', async () => {
    const defectId = anyId();
    await walk(withFault(instanceOf(rig, 'truck.body.mud-flap/drive-left'), 'flap-gone', defectId));
    const log = walkSound(rig);
    log.add('acknowledged', { defectId });
    log.add('acknowledged', { defectId: anyId() });
    const answers = await server.send(imre, asWalkOf(imre, log.events, later() - log.events[0].at));
    expect(answers.slice(-2)).toMatchObject([
      { status: 'refused', code: 'nothing-to-acknowledge' },
      { status: 'refused', code: 'not-on-this-rig' },
    ]);
  });
});

describe('corrections', () => {
  it('are additions; what was said stays', async () => {
    const defectId = anyId();
    const id = await walk(withFault(lamp, 'lens-broken', defectId));
    await certify(id, defectId);
    expect(
      await add(rasmus, id, 'annotated', { defectId, words: 'It was the right lamp.' }),
    ).toMatchObject({ status: 'stored' });
    const agent = await server.as(imre);
    const { body } = await agent.get(`/api/reports/${id}`).expect(200);
    expect(body.additions.map(({ addition }: any) => [addition.kind, addition.words])).toEqual([
      ['certified', 'Nut renewed and torqued'],
      ['annotated', 'It was the right lamp.'],
    ]);
  });
});

describe('a walk that nobody finished', () => {
  it('does not keep the workshop waiting for ever', async () => {
    const defectId = anyId();
    const log = walkSound(rig);
    log.add('faulted', faultOf(nuts, 'nut-one', { defectId }));
    const events: AnyEvent[] = asWalkOf(tove, log.events, start - log.events[0].at);
    await server.send(tove, events);
    const { inspectionId } = events[0];
    const last = events[events.length - 1].at;
    const entry = { defectId, outcome: 'repaired' as const, words: 'Nut renewed', signature };
    expect(await add(rasmus, inspectionId, 'certified', entry, last + HOUR)).toMatchObject({
      code: 'not-sealed',
    });
    expect(await add(rasmus, inspectionId, 'certified', entry, last + 13 * HOUR)).toMatchObject({
      status: 'stored',
    });
  });
});

describe('what first', () => {
  it('worst grade, then needed by a job of the next day, then oldest', async () => {
    const agent = await server.as(ilka);
    const before = (await agent.get('/api/defects').expect(200)).body.defects as {
      unitId: string;
      grade: string;
      neededAt: string | null;
    }[];
    const ranks = before.map(({ grade }) => ['note', 'minor', 'major'].indexOf(grade));
    expect(ranks).toEqual([...ranks].sort((a, b) => b - a));
    const onTrailer = anyId();
    await walk(withFault(instanceOf(rig, 'tag-trailer.body.box'), 'box-open', onTrailer));
    await agent
      .post('/api/jobs')
      .send({
        title: 'Sand to the hill road',
        needs: ['tow'],
        unitIds: [trailer.id],
        startsAt: new Date(Date.now() + 3 * HOUR).toISOString(),
      })
      .expect(201);
    const { body } = await agent.get('/api/defects').expect(200);
    const minors = body.defects.filter(({ grade }: { grade: string }) => grade === 'minor');
    expect(minors[0]).toMatchObject({ id: onTrailer, neededAt: expect.any(String) });
    // Page by page it is the same order.
    const ids: string[] = [];
    let cursor = '';
    for (let page = 0; page < 20; page += 1) {
      const part = (await agent.get(`/api/defects?limit=1${cursor}`).expect(200)).body;
      const [row] = part.defects;
      if (!row) break;
      ids.push(row.id);
      const rank = ['', 'note', 'minor', 'major'].indexOf(row.grade);
      cursor = `&rank=${rank}&needed=${String(row.neededAt !== null)}&reportedAt=${row.reportedAt}&id=${row.id}`;
      if (!part.more) break;
    }
    expect(ids).toEqual(body.defects.map(({ id }: { id: string }) => id));
  });
});

it('a defect of a walk that nobody signed is certified once a signed walk has found it again', async () => {
  const defectId = anyId();
  const log = makeLog();
  log.add('begun', begunOf(rig));
  log.add('faulted', faultOf(nuts, 'nut-streak', { defectId }));
  const left = asWalkOf(tove, log.events, Date.now() - 60_000 - log.events[0].at);
  await server.send(tove, left);
  const unsigned = left[0].inspectionId;
  const now = () => Date.now();
  const payload = { defectId, outcome: 'repaired' as const, words: 'Nut renewed', signature };
  const sign = async () => {
    const [answer] = await server.send(rasmus, [
      eventAfter(rasmus, unsigned, 'certified', payload, now()),
    ]);
    return answer;
  };
  expect(await sign()).toMatchObject({ status: 'refused', code: 'not-sealed' });
  // Worse than it was said to be, as it happens.
  await walk(withFault(nuts, 'nut-one', defectId));
  expect(await sign()).toMatchObject({ status: 'stored' });
  expect(await rowOf(defectId)).toMatchObject({ status: 'repaired' });
});
