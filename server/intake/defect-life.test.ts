import type { Payloads } from '@nazar/core/inspection';
import {
  begunOf,
  faultOf,
  instanceOf,
  makeLog,
  makeRig,
  signature,
  truck,
  walkSound,
} from '@nazar/core/testing';
import { v4 as anyId } from 'uuid';
import { sealAllPending } from '../report/seal-pending';
import { inOrganisation } from '../store/connection';
import {
  asWalkOf,
  eventAfter,
  halvern,
  people,
  quayTruck,
  startTestServer,
  type TestServer,
} from '../testing/test-server';

let server: TestServer;
const HOUR = 3_600_000;
const start = Date.now() - 60 * HOUR;
const { imre, tove, rasmus, jonah, henk } = people;
const rig = makeRig();
const nuts = instanceOf(rig, 'wheel.nuts/steer-left');

beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());
beforeEach(() => server.owner('rate_counters').delete());

/** A whole walk, begun at an hour of the test's own day; signed unless it is left open. */
async function walkAt(
  hour: number,
  who: typeof imre,
  change: (log: ReturnType<typeof walkSound>) => void,
  { signed = true, of = rig } = {},
): Promise<string> {
  const log = walkSound(of);
  change(log);
  if (signed) log.add('signed', { signature, headline: 'rolls' });
  const events = asWalkOf(who, log.events, start + hour * HOUR - log.events[0].at);
  const answers = await server.send(who, events);
  expect(answers.filter(({ status }) => status === 'refused')).toEqual([]);
  return events[0].inspectionId;
}

async function addAt<T extends keyof Payloads>(
  hour: number,
  who: typeof imre,
  inspectionId: string,
  type: T,
  payload: Payloads[T],
) {
  const event = eventAfter(who, inspectionId, type, payload, start + hour * HOUR);
  const [answer] = await server.send(who, [event]);
  return answer;
}

const repair = (defectId: string) => ({
  defectId,
  outcome: 'repaired' as const,
  words: 'Nut renewed',
  signature,
});
const rowOf = (id: string) =>
  inOrganisation(server.db, halvern.id, (trx) => trx('defects').where({ id }).first());
const loose =
  (defectId: string, symptom = 'nut-one') =>
  (log: ReturnType<typeof walkSound>) =>
    void log.add('faulted', faultOf(nuts, symptom, { defectId }));

it('certified, and found again by a phone that had not heard of it: it is open, and the workshop sees it', async () => {
  const defectId = anyId();
  const first = await walkAt(1, imre, loose(defectId));
  expect(await addAt(3, rasmus, first, 'certified', repair(defectId))).toMatchObject({
    status: 'stored',
  });
  const second = await walkAt(5, tove, loose(defectId));
  expect(await rowOf(defectId)).toMatchObject({ status: 'open', grade: 'major' });
  const { body } = await (await server.as(rasmus)).get('/api/defects').expect(200);
  expect(body.defects.map(({ id }: { id: string }) => id)).toContain(defectId);
  // The next walk that finds nothing there does not roll past it.
  const next = await walkAt(6, imre, () => undefined);
  expect(
    await addAt(6.8, imre, next, 'signed-out', { purpose: 'job', needs: [], conditions: [] }),
  ).toMatchObject({ code: 'may-not-leave' });
  // It is repaired a second time, on the report of either walk.
  expect(await addAt(8, rasmus, second, 'certified', repair(defectId))).toMatchObject({
    status: 'stored',
  });
  expect(await rowOf(defectId)).toMatchObject({ status: 'repaired' });
});

it('found before the repair, and heard of after it, is what the repair was for', async () => {
  const defectId = anyId();
  const first = await walkAt(10, imre, loose(defectId));
  await addAt(14, rasmus, first, 'certified', repair(defectId));
  await walkAt(11, tove, loose(defectId));
  expect(await rowOf(defectId)).toMatchObject({ status: 'repaired' });
});

it('found a minute before the repair by their clocks, and heard of after it, is open: clocks differ', async () => {
  const defectId = anyId();
  const first = await walkAt(16, imre, loose(defectId));
  await addAt(18, rasmus, first, 'certified', repair(defectId));
  // The fault is the last entry of a walk that began a little earlier.
  const walk = walkSound(rig);
  walk.add('faulted', faultOf(nuts, 'nut-one', { defectId }));
  const length = walk.events[walk.events.length - 1].at - walk.events[0].at;
  await walkAt(18 - (length + 60_000) / HOUR, tove, loose(defectId));
  expect(await rowOf(defectId)).toMatchObject({ status: 'open' });
});

it('reported on a walk that nobody signed, confirmed on a signed one, and taken back on the first: it stays', async () => {
  const defectId = anyId();
  const left = await walkAt(20, tove, loose(defectId), { signed: false });
  await walkAt(22, imre, loose(defectId));
  expect(
    await addAt(23, tove, left, 'answered', { key: nuts.key, outcome: 'cleared' }),
  ).toMatchObject({ status: 'stored' });
  expect(await rowOf(defectId)).toMatchObject({ status: 'open', grade: 'major' });
});

it('taken back by the only walk that said it, it is withdrawn, and said anew it is open', async () => {
  const defectId = anyId();
  const left = await walkAt(25, tove, loose(defectId), { signed: false });
  await addAt(25.6, tove, left, 'answered', { key: nuts.key, outcome: 'cleared' });
  expect(await rowOf(defectId)).toMatchObject({ status: 'withdrawn' });
  await addAt(25.7, tove, left, 'faulted', faultOf(nuts, 'nut-one', { defectId }));
  expect(await rowOf(defectId)).toMatchObject({ status: 'open' });
});

it('the id of another unit’s defect is refused with a sentence, and both stay as they are', async () => {
  const defectId = anyId();
  await walkAt(30, imre, loose(defectId));
  const of = makeRig([quayTruck]);
  const other = instanceOf(of, 'wheel.nuts/steer-left');
  const log = makeLog();
  log.add('begun', begunOf(of));
  log.add('faulted', faultOf(other, 'nut-one', { defectId }));
  const answers = await server.send(
    jonah,
    asWalkOf(jonah, log.events, start + 31 * HOUR - log.events[0].at),
  );
  expect(answers[1]).toMatchObject({ status: 'refused', code: 'defect-of-other-unit' });
  expect(answers[1].detail).toMatch(/another vehicle/);
  expect(await rowOf(defectId)).toMatchObject({ unit_id: nuts.unit.id, status: 'open' });
});

it('nobody takes a step in the life of a defect that is on no unit of that walk', async () => {
  const defectId = anyId();
  await walkAt(33, imre, loose(defectId));
  const quays = await walkAt(34, jonah, () => undefined, { of: makeRig([quayTruck]) });
  for (const [type, payload] of [
    ['certified', repair(defectId)],
    ['worked', { defectId, words: 'Looked', minutes: 5, parts: [], photos: [] }],
    ['assigned', { defectId, to: null }],
    ['annotated', { defectId, words: 'It was nothing' }],
  ] as const)
    expect(await addAt(35, henk, quays, type, payload as never)).toMatchObject({
      status: 'refused',
    });
  expect(await rowOf(defectId)).toMatchObject({ status: 'open', revision: 0 });
});

it('found by two walks, the repair stands in the sealed reports of both', async () => {
  const defectId = anyId();
  const first = await walkAt(40, imre, loose(defectId));
  const second = await walkAt(42, tove, loose(defectId));
  expect(await addAt(44, rasmus, first, 'certified', repair(defectId))).toMatchObject({
    status: 'stored',
  });
  const agent = await server.as(imre);
  for (const id of [first, second]) {
    const { body } = await agent.get(`/api/reports/${id}`).expect(200);
    expect(
      body.additions.map(({ addition }: { addition: { kind: string } }) => addition.kind),
    ).toContain('certified');
  }
});

it('read, found again, mended and read once more: the report tells both readings, each once', async () => {
  const defectId = anyId();
  const first = await walkAt(46, imre, loose(defectId));
  await addAt(46.5, rasmus, first, 'certified', repair(defectId));
  await walkAt(47, imre, (log) => void log.add('acknowledged', { defectId }));
  await walkAt(48, tove, loose(defectId));
  expect(await rowOf(defectId)).toMatchObject({ status: 'open' });
  await addAt(49, rasmus, first, 'certified', repair(defectId));
  await walkAt(50, imre, (log) => void log.add('acknowledged', { defectId }));
  expect(await rowOf(defectId)).toMatchObject({ status: 'closed' });
  expect(await sealAllPending(server.db, server.key, new Date())).toEqual({
    sealed: 0,
    failed: [],
  });
  const { body } = await (await server.as(imre)).get(`/api/reports/${first}`).expect(200);
  const read = (body.additions as { addition: { kind: string; at: string } }[]).flatMap(
    ({ addition }) => (addition.kind === 'acknowledged' ? [addition.at] : []),
  );
  expect(read).toHaveLength(2);
  expect(new Set(read).size).toBe(2);
});

it('made ready to be towed, it does not leave on the pre-trip of the same morning', async () => {
  const morning = await walkAt(50, imre, () => undefined);
  const towed = makeRig([truck], 'towed-away');
  const log = makeLog();
  log.add('begun', { ...begunOf(towed), phase: 'towed-away' });
  const [instance] = towed.instances;
  const defectId = anyId();
  log.add('faulted', faultOf(instance, instance.check.leaves ?? '', { defectId }));
  log.add('signed', { signature, headline: 'stays' });
  const events = asWalkOf(tove, log.events, start + 51 * HOUR - log.events[0].at);
  const answers = await server.send(tove, events);
  expect(answers.filter(({ status }) => status === 'refused')).toEqual([]);
  expect(await rowOf(defectId)).toMatchObject({ status: 'open', grade: 'major' });
  expect(
    await addAt(52, imre, morning, 'signed-out', { purpose: 'job', needs: [], conditions: [] }),
  ).toMatchObject({ code: 'may-not-leave' });
});

it('called sound, a vehicle that was made ready to be towed cannot even be signed for', async () => {
  const towed = makeRig([truck], 'towed-away');
  const log = makeLog();
  log.add('begun', { ...begunOf(towed), phase: 'towed-away' });
  log.add('answered', { key: towed.instances[0].key, outcome: 'sound' });
  log.add('signed', { signature, headline: 'rolls' });
  const events = asWalkOf(tove, log.events, start + 53 * HOUR - log.events[0].at);
  const answers = await server.send(tove, events);
  expect(answers.at(-1)).toMatchObject({ status: 'refused', code: 'not-complete' });
});
