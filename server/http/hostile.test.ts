import { attack, routesOf } from '../testing/hostile';
import { startTestServer, type TestServer } from '../testing/test-server';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

it('finds every route by itself', () => {
  const routes = routesOf(server.app);
  expect(routes.length).toBeGreaterThan(35);
  expect(routes).toContainEqual({ method: 'post', path: '/api/events' });
  expect(routes).toContainEqual({ method: 'delete', path: '/api/rigs/:id' });
});

it('answers whatever is sent with a sentence, never with an error of its own, and goes on working', async () => {
  const { broken, statuses } = await attack(server, 900, 20_261_126);
  expect(broken).toEqual([]);
  // What was sent came past the door: some of it was even right.
  expect(statuses.get(200)).toBeGreaterThan(20);
  expect(statuses.get(422)).toBeGreaterThan(20);
}, 120_000);
