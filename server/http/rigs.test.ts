import { trailer, truck } from '@nazar/core/testing';
import { v4 as anyId } from 'uuid';
import { people, startTestServer, type TestServer } from '../testing/test-server';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());
beforeEach(() => server.owner('rate_counters').delete());

const titlesOf = async (agent: Awaited<ReturnType<TestServer['as']>>) =>
  (await agent.get('/api/reference').expect(200)).body.rigs.map(
    ({ title }: { title: string }) => title,
  );

it('is built, kept once, seen by the depot, and taken apart', async () => {
  const agent = await server.as(people.imre);
  const rig = { title: '214 for the day', unitIds: [truck.id] };
  const { body } = await agent.post('/api/rigs').send(rig).expect(201);
  const again = await agent
    .post('/api/rigs')
    .send({ ...rig, title: 'Other words' })
    .expect(200);
  expect(again.body.id).toBe(body.id);
  expect(await titlesOf(await server.as(people.tove))).toContain('214 for the day');
  await agent.delete(`/api/rigs/${body.id}`).expect(204);
  await agent.delete(`/api/rigs/${body.id}`).expect(404);
  expect(await titlesOf(agent)).not.toContain('214 for the day');
  const { body: logbook } = await agent.get(`/api/units/${truck.id}/logbook`).expect(200);
  expect(logbook.rigChanges).toMatchObject([
    { what: 'taken-apart', title: '214 for the day', by: 'Imre Dahl' },
    { what: 'joined', title: '214 for the day', by: 'Imre Dahl' },
  ]);
});

it.each([
  ['a trailer in front', [trailer.id, truck.id], 'no-rig', /cannot drive by itself/],
  ['a unit twice', [truck.id, truck.id], 'no-rig', /stands twice/],
  ['a unit of somebody else', [anyId()], 'not-your-units', /not of your depot/],
])('%s is refused with the reason, and nothing is kept', async (_, unitIds, code, words) => {
  const agent = await server.as(people.imre);
  const before = await titlesOf(agent);
  const { body } = await agent.post('/api/rigs').send({ title: 'A rig', unitIds }).expect(422);
  expect(body).toMatchObject({ code, detail: expect.stringMatching(words) });
  expect(await titlesOf(agent)).toEqual(before);
});

it('is of its depot: another organisation neither sees nor takes it apart', async () => {
  const agent = await server.as(people.imre);
  const { body } = await agent
    .post('/api/rigs')
    .send({ title: 'Ours alone', unitIds: [truck.id] })
    .expect(201);
  const stranger = await server.as(people.jonah);
  expect(await titlesOf(stranger)).not.toContain('Ours alone');
  await stranger.delete(`/api/rigs/${body.id}`).expect(404);
});
