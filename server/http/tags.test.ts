import { catalogue } from '@nazar/core/content';
import { begunOf, makeLog, makeRig, truck } from '@nazar/core/testing';
import {
  asWalkOf,
  eventAfter,
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

interface SeenTag {
  readonly zoneId: string;
  readonly code: string;
  readonly required: boolean;
}

const tagsOf = async (who = people.imre, unitId: string = truck.id): Promise<SeenTag[]> =>
  (await (await server.as(who)).get(`/api/units/${unitId}/tags`).expect(200)).body.tags;

it('is one for each stop of a unit, and stays what it is', async () => {
  const tags = await tagsOf();
  const zones = catalogue.modules.find(({ id }) => id === truck.moduleId)?.zones ?? [];
  expect(tags.map(({ zoneId }) => zoneId)).toEqual(zones.map(({ id }) => id));
  expect(new Set(tags.map(({ code }) => code)).size).toBe(tags.length);
  for (const { code } of tags) expect(code).toMatch(/^[ACDEFHJKLMNPRTUVWXY3479]{6}$/);
  expect(await tagsOf()).toEqual(tags);
});

it('is printed as a sheet', async () => {
  const agent = await server.as(people.imre);
  const { body, headers } = await agent
    .get(`/api/units/${truck.id}/tags.pdf`)
    .buffer(true)
    .parse((response, done) => {
      const chunks: Buffer[] = [];
      response.on('data', (chunk: Buffer) => chunks.push(chunk));
      response.on('end', () => done(null, Buffer.concat(chunks)));
    })
    .expect(200);
  expect(headers['content-type']).toBe('application/pdf');
  expect(body.subarray(0, 5).toString()).toBe('%PDF-');
  expect(body.length).toBeGreaterThan(8000);
});

it('is required or renewed by a supervisor, and by nobody else', async () => {
  const [rear] = (await tagsOf()).filter(({ zoneId }) => zoneId === 'rear');
  const path = `/api/units/${truck.id}/tags/rear`;
  await (await server.as(people.imre)).put(path).send({ required: true }).expect(403);
  const ilka = await server.as(people.ilka);
  await ilka.put(path).send({ required: true }).expect(204);
  expect((await tagsOf()).find(({ zoneId }) => zoneId === 'rear')).toMatchObject({
    code: rear.code,
    required: true,
  });
  await ilka.put(path).send({ renew: true, required: false }).expect(204);
  expect((await tagsOf()).find(({ zoneId }) => zoneId === 'rear')?.code).not.toBe(rear.code);
  await ilka.put(`/api/units/${truck.id}/tags/attic`).send({ required: true }).expect(404);
  await ilka.put(path).send({ colour: 'red' }).expect(422);
});

it('is of its depot', async () => {
  for (const who of [people.jonah, people.stranger])
    await (await server.as(who)).get(`/api/units/${truck.id}/tags`).expect(404);
  const { body } = await (await server.as(people.jonah)).get('/api/reference').expect(200);
  const ids = new Set(body.tags.map(({ unitId }: { unitId: string }) => unitId));
  expect(ids.has(truck.id)).toBe(false);
});

it('proves presence at its own stop only', async () => {
  const log = makeLog();
  log.add('begun', begunOf(makeRig()));
  const events = asWalkOf(people.imre, log.events, Date.now() - 60_000 - log.events[0].at);
  await server.send(people.imre, events);
  const [{ inspectionId }] = events;
  const tags = await tagsOf();
  const codeOf = (zoneId: string) => tags.find((tag) => tag.zoneId === zoneId)?.code ?? '';
  const other = (await tagsOf(people.jonah, quayTruck.id))[0];
  const read = async (zoneId: string, code: string) => {
    const payload = { zone: `${truck.id}/${zoneId}`, code, how: 'typed' as const };
    const event = eventAfter(people.imre, inspectionId, 'present', payload, Date.now());
    return (await server.send(people.imre, [event]))[0];
  };
  expect(await read('rear', codeOf('front'))).toMatchObject({
    code: 'other-tag',
    detail: /tag of 214/,
  });
  expect(await read('rear', other.code)).toMatchObject({ code: 'other-tag', detail: /305/ });
  expect(await read('rear', 'AAAAAA')).toMatchObject({ code: 'no-such-tag' });
  expect(await read('rear', codeOf('rear'))).toMatchObject({ status: 'stored' });
});

it('reports the weather of the depot’s own station, marked as made up', async () => {
  const { body } = await (await server.as(people.imre)).get('/api/conditions').expect(200);
  expect(body).toMatchObject({ station: 'North Yard', simulated: true });
  expect(typeof body.airC).toBe('number');
});

it('asked to change nothing, changes nothing; asked for a stop it does not have, says so', async () => {
  const agent = await server.as(people.ilka);
  const { body } = await agent.get(`/api/units/${truck.id}/tags`).expect(200);
  const [tag] = body.tags;
  await agent.put(`/api/units/${truck.id}/tags/${tag.zoneId}`).send({}).expect(204);
  for (const change of [{}, { required: true }, { renew: true }])
    await agent
      .put(`/api/units/${truck.id}/tags/${encodeURIComponent('９')}`)
      .send(change)
      .expect(404);
  const after = await agent.get(`/api/units/${truck.id}/tags`).expect(200);
  expect(after.body.tags).toEqual(body.tags);
});
