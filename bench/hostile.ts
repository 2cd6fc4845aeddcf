import { attack } from '../server/testing/hostile';
import { startTestServer } from '../server/testing/test-server';
import { heading, print } from './figures';

/**
 * Random requests over every route: how many of them the server answered with an error of its own.
 * @param count asked for by name it is a hundred thousand, which takes a quarter of an hour
 */
export async function benchHostile(count: number): Promise<void> {
  heading('hostile requests');
  const server = await startTestServer();
  const began = performance.now();
  const { broken, statuses } = await attack(server, count, 20_261_126);
  await server.close();
  const seconds = (performance.now() - began) / 1000;
  const told = [...statuses]
    .sort(([a], [b]) => a - b)
    .map(([status, many]) => `${status}: ${many}`);
  print(`${count} requests in ${seconds.toFixed(0)} s`, told.join(', '));
  print('errors of the server', String(broken.length), '0');
  for (const { request, status } of broken.slice(0, 20))
    print(`  ${status} ${request.method} ${request.url.slice(0, 80)}`, '');
  if (broken.length > 0) process.exitCode = 1;
}
