import { generateKeyPairSync } from 'node:crypto';
import { createServer } from 'node:net';
import request from 'supertest';
import { toSealKey } from '../report/seal-key';
import { connectServing, isDatabaseGone } from '../store/connection';
import { people, PIN, startTestServer } from '../testing/test-server';
import { createApp } from './app';

async function closedPort(): Promise<number> {
  const server = createServer();
  await new Promise<void>((done) => {
    server.listen(0, '127.0.0.1', done);
  });
  const { port } = server.address() as { port: number };
  await new Promise((done) => server.close(done));
  return port;
}

describe('a database that is not there', () => {
  it('is told in a sentence, with a time to try again', async () => {
    const db = connectServing(`postgres://nobody@127.0.0.1:${await closedPort()}/nothing`);
    const app = createApp({
      db,
      key: toSealKey(generateKeyPairSync('ed25519').privateKey),
      configuration: {
        databaseUrl: '',
        port: 0,
        host: '',
        sealKeyFile: '',
        sessionHours: 1,
        secureCookies: false,
        logLevel: 'silent',
      },
    });
    const answer = await request(app)
      .post('/api/session')
      .send({ name: 'Imre Dahl', pin: '1234' })
      .expect(503);
    expect(answer.body).toMatchObject({ code: 'database-away' });
    expect(answer.body.detail).toMatch(/stay on this device/);
    expect(answer.headers['retry-after']).toBe('5');
    expect(JSON.stringify(answer.body)).not.toMatch(/ECONNREFUSED|127\.0\.0\.1/);
    await db.destroy();
  });

  it('that comes back is used again, without a restart', async () => {
    const server = await startTestServer();
    const agent = await server.as(people.imre);
    await agent.get('/api/reference').expect(200);
    // Every connection of this database is cut, as by a restart of the server behind it.
    await server.owner.raw(
      `select pg_terminate_backend(pid) from pg_stat_activity
        where datname = current_database() and pid <> pg_backend_pid()`,
    );
    const statuses: number[] = [];
    for (let tries = 0; tries < 6; tries += 1)
      statuses.push((await agent.get('/api/reference')).status);
    expect(statuses.at(-1)).toBe(200);
    expect(statuses.every((status) => status === 200 || status === 503)).toBe(true);
    await request(server.app)
      .post('/api/session')
      .send({ name: people.tove.name, pin: PIN })
      .expect(200);
    await server.close();
  });

  it.each([
    [Object.assign(new Error('x'), { code: 'ECONNRESET' }), true],
    [Object.assign(new Error('x'), { code: '57P01' }), true],
    [new Error('Connection terminated unexpectedly'), true],
    [new AggregateError([Object.assign(new Error('x'), { code: 'ECONNREFUSED' })]), true],
    [Object.assign(new Error('x'), { code: '23505' }), false],
    ['ECONNREFUSED', false],
  ])('tells %p from an error of another kind', (error, gone) => {
    expect(isDatabaseGone(error)).toBe(gone);
  });
});
