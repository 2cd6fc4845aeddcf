import { helperCode } from '@nazar/core/inspection';
import {
  begunOf,
  instanceOf,
  makeLog,
  makeRig,
  measuredOf,
  trailer,
  truck,
} from '@nazar/core/testing';
import { v4 as anyId } from 'uuid';
import {
  asWalkOf,
  eventAfter,
  people,
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
const { imre, tove, jonah } = people;
const stopLamp = instanceOf(rig, 'truck.lamp.stop/rear-lamps-left').key;
const brake = instanceOf(rig, 'truck.air.leak-released').key;
const name = 'Tove Brask';

/** A walk of Imre's that is under way. */
async function begin(): Promise<string> {
  const log = makeLog();
  log.add('begun', begunOf(rig));
  const events = asWalkOf(imre, log.events, Date.now() - 60_000 - log.events[0].at);
  expect((await server.send(imre, events))[0].status).toBe('stored');
  return events[0].inspectionId;
}

const join = async (who: typeof imre, code: string) =>
  (await server.as(who)).post('/api/helping').send({ code });

async function add(who: typeof imre, id: string, type: never | string, payload: object) {
  const event = eventAfter(who, id, type as 'joined', payload as never, Date.now());
  const [answer] = await server.send(who, [event]);
  return answer;
}

it('finds the walk by the code that the driver reads out, however it is typed', async () => {
  const id = await begin();
  const code = helperCode(id);
  const { body } = await join(tove, ` ${code.toLowerCase().slice(0, 2)}-${code.slice(2)}`);
  expect(body).toMatchObject({ inspectionId: id, driver: 'Imre Dahl', back: false });
  expect(body.events).toHaveLength(1);
});

it.each([
  ['a code that is nobody’s', () => join(tove, 'ACDEF'), 404, 'no-such-walk'],
  [
    'somebody of another depot',
    async () => join(jonah, helperCode(await begin())),
    404,
    'no-such-walk',
  ],
  ['the driver', async () => join(imre, helperCode(await begin())), 409, 'own-walk'],
])('refuses %s', async (_, ask, status, code) => {
  const answer = await ask();
  expect(answer.status).toBe(status);
  expect(answer.body).toMatchObject({ code });
});

it('lets a helper answer what helpers may, and nothing of the driver’s own', async () => {
  const id = await begin();
  expect(await add(tove, id, 'answered', { key: stopLamp, outcome: 'sound' })).toMatchObject({
    code: 'other-walk',
  });
  expect(await add(tove, id, 'joined', { name, phone: true })).toMatchObject({ status: 'stored' });
  expect(await add(tove, id, 'answered', { key: stopLamp, outcome: 'sound' })).toMatchObject({
    status: 'stored',
  });
  expect(await add(tove, id, 'measured', measuredOf(brake, 1, 'psi/min'))).toMatchObject({
    code: 'not-for-helpers',
  });
  expect(await add(tove, id, 'changed', { change: 'start' })).toMatchObject({ code: 'other-walk' });
  const { body } = await (await server.as(tove)).get(`/api/inspections/${id}/events`).expect(200);
  expect(body.events.map(({ type }: { type: string }) => type)).toEqual([
    'begun',
    'joined',
    'answered',
  ]);
});

it('has one helper: a second is refused until the first has left, and then nothing more is taken of them', async () => {
  const id = await begin();
  await add(imre, id, 'joined', { name: 'A neighbour', phone: false });
  const second = await join(tove, helperCode(id));
  expect(second.body).toMatchObject({ code: 'helper-there', detail: /A neighbour/ });
  expect(await add(tove, id, 'joined', { name, phone: true })).toMatchObject({
    code: 'helper-there',
  });
  expect(await add(imre, id, 'parted', {})).toMatchObject({ status: 'stored' });
  expect(await add(tove, id, 'joined', { name, phone: true })).toMatchObject({ status: 'stored' });
  expect(await add(imre, id, 'asked', { keys: [stopLamp] })).toMatchObject({ status: 'stored' });
  await add(imre, id, 'parted', {});
  expect(await add(tove, id, 'answered', { key: stopLamp, outcome: 'sound' })).toMatchObject({
    code: 'other-walk',
  });
  const gone = await (await server.as(tove)).get(`/api/inspections/${id}/events`);
  expect(gone.status).toBe(404);
});

it('takes a helper’s whole batch, joined first', async () => {
  const id = await begin();
  const at = Date.now();
  const answers = await server.send(tove, [
    eventAfter(tove, id, 'joined', { name, phone: true }, at),
    eventAfter(tove, id, 'answered', { key: stopLamp, outcome: 'sound' }, at + 1),
  ]);
  expect(answers.map(({ status }) => status)).toEqual(['stored', 'stored']);
});

it('leaves a trailer behind, never the truck', async () => {
  const id = await begin();
  const reason = 'It stays in the yard.';
  expect(await add(imre, id, 'dropped', { unitId: truck.id, reason })).toMatchObject({
    code: 'unit-drives',
  });
  expect(await add(imre, id, 'dropped', { unitId: anyId(), reason })).toMatchObject({
    code: 'check-of-other-unit',
  });
  expect(await add(imre, id, 'dropped', { unitId: trailer.id, reason })).toMatchObject({
    status: 'stored',
  });
});

it('asks only for what is new behind the cursor of the last answer', async () => {
  const id = await begin();
  await add(tove, id, 'joined', { name, phone: true });
  const agent = await server.as(tove);
  const read = (after: number) => agent.get(`/api/inspections/${id}/events?after=${after}`);
  const all = (await read(0)).body;
  expect(all.events.map(({ type }: { type: string }) => type)).toEqual(['begun', 'joined']);
  const nothing = (await read(all.cursor)).body;
  expect(nothing).toEqual({ events: [], cursor: all.cursor });
  await add(imre, id, 'asked', { keys: [stopLamp] });
  const news = (await read(all.cursor)).body;
  expect(news.events.map(({ type }: { type: string }) => type)).toEqual(['asked']);
  expect(news.cursor).toBeGreaterThan(all.cursor);
  for (const bad of ['-1', 'x', '1.5'])
    expect((await agent.get(`/api/inspections/${id}/events?after=${bad}`)).status).toBe(422);
});
