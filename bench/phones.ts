import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import type { AnyEvent } from '@nazar/core/inspection';
import { answerSound, begunOf, makeLog, makeRig, signature, truck } from '@nazar/core/testing';
import type { Knex } from 'knex';
import { v4 as anyId } from 'uuid';
import { freePort } from '../scripts/postgres.mjs';
import { inOrganisation } from '../server/store/connection';
import { nameKey } from '../server/store/sign-ins';
import {
  asWalkOf,
  halvern,
  north,
  people,
  PIN,
  startTestServer,
} from '../server/testing/test-server';
import { heading, median, percentile, print } from './figures';
import { composeLargest } from './largest-rig';

const PHONES = 100;
const SECONDS = 30;
const BATCH = 5;

/** A hundred phones that each send a batch a second, against a server process of its own; and one large walk at once. */
export async function benchPhones(): Promise<void> {
  heading('A hundred phones');
  const world = await startTestServer();
  const folder = mkdtempSync(join(tmpdir(), 'nazar-phones-'));
  const port = await freePort(0);
  const server = spawn(process.execPath, ['--import', 'tsx', 'server/main.ts'], {
    cwd: join(import.meta.dirname, '..'),
    env: {
      ...process.env,
      LOG_LEVEL: 'silent',
      DATABASE_URL: world.configuration.databaseUrl,
      SEAL_KEY_FILE: join(folder, 'seal-key.pem'),
      PORT: String(port),
    },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  try {
    await new Promise<void>((done) => {
      server.stdout.on('data', (text) => {
        if (String(text).includes('listening')) done();
      });
    });
    const drivers = await insertDrivers(world.owner);
    const times: number[] = [];
    let refused = 0;
    await Promise.all(
      drivers.map(async (driver, index) => {
        const cookie = await signIn(port, driver.name);
        await pause((1000 * index) / PHONES);
        refused += await walk(port, cookie, makeWalk(driver), times);
      }),
    );
    print(
      `${PHONES} phones, ${BATCH} entries a second each, median`,
      `${median(times).toFixed(0)} ms`,
    );
    print('p95', `${percentile(times, 0.95).toFixed(0)} ms`, 'under 500 ms');
    print('entries refused', String(refused), '0');
    const report = await largeWalk(world.owner, port);
    await besideHeavyWork(port, report);
  } finally {
    server.kill('SIGTERM');
    await world.close();
    rmSync(folder, { recursive: true, force: true });
  }
}

type Driver = (typeof people)['imre'];

async function insertDrivers(owner: Knex): Promise<Driver[]> {
  const drivers = Array.from({ length: PHONES }, (_, index) => ({
    ...people.imre,
    id: anyId(),
    name: `Phone ${index + 1}`,
  }));
  const { pin_hash: pinHash } = await owner('sign_ins')
    .where({ person_id: people.imre.id })
    .first('pin_hash');
  await inOrganisation(owner, halvern.id, (trx) =>
    trx('people').insert(
      drivers.map(({ id, name, role }) => ({
        id,
        name,
        role,
        depot_id: north.id,
        organisation_id: halvern.id,
      })),
    ),
  );
  await owner('sign_ins').insert(
    drivers.map(({ id, name }) => ({
      name_key: nameKey(name),
      person_id: id,
      organisation_id: halvern.id,
      pin_hash: pinHash,
    })),
  );
  return drivers;
}

async function signIn(port: number, name: string): Promise<string> {
  const answer = await post(port, '/api/session', { name, pin: PIN });
  if (!answer.ok) throw new Error(`${name} is not let in: ${answer.status}`);
  return answer.headers
    .getSetCookie()
    .map((each) => each.split(';')[0])
    .join('; ');
}

function post(port: number, path: string, body: unknown, cookie = ''): Promise<Response> {
  return fetch(`http://127.0.0.1:${port}${path}`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', Cookie: cookie },
    body: JSON.stringify(body),
  });
}

function makeWalk(driver: Driver): AnyEvent[] {
  const rig = makeRig([truck]);
  const log = makeLog();
  log.add('begun', begunOf(rig));
  for (const instance of rig.instances) answerSound(log, instance);
  return asWalkOf(driver, log.events, Date.now() - 600_000 - (log.events[0] as AnyEvent).at);
}

/** @returns how many entries were refused */
async function walk(
  port: number,
  cookie: string,
  events: readonly AnyEvent[],
  times: number[],
): Promise<number> {
  let refused = 0;
  for (let second = 0; second < SECONDS; second += 1) {
    const began = performance.now();
    const batch = events.slice(second * BATCH, (second + 1) * BATCH);
    const answer = await post(port, '/api/events', { events: batch }, cookie);
    const { answers } = (await answer.json()) as { answers: { status: string }[] };
    const took = performance.now() - began;
    // In the first seconds everybody begins, and nothing is warm.
    if (second >= 5) times.push(took);
    refused += answers.filter(({ status }) => status === 'refused').length;
    await pause(Math.max(0, 1000 - took));
  }
  return refused;
}

/** A signed walk of the largest rig in one request. Returns the id of a report. */
async function largeWalk(owner: Knex, port: number): Promise<string> {
  const composed = composeLargest();
  const units = composed.units.map(({ unit }) => ({ ...unit, id: anyId() }));
  await inOrganisation(owner, halvern.id, (trx) =>
    trx('units').insert(
      units.map((unit) => ({
        id: unit.id,
        number: `9${unit.number}`,
        title: unit.title,
        plate: unit.plate,
        module_id: unit.moduleId,
        depot_id: north.id,
        specification: '{}',
        organisation_id: halvern.id,
      })),
    ),
  );
  const rig = makeRig(units);
  const cookie = await signIn(port, people.tove.name);
  const times: number[] = [];
  let answered = '';
  let report = '';
  for (let round = 0; round < 12; round += 1) {
    const log = makeLog();
    log.add('begun', begunOf(rig));
    for (const instance of rig.instances) {
      answerSound(log, instance);
      // A card that says nothing leaves some readings unjudged; then it is said why.
      if (instance.check.reading?.required)
        log.add('answered', { key: instance.key, outcome: 'not-looked', reason: 'No card' });
    }
    log.add('signed', { signature, headline: 'stays' });
    const laterBy = Date.now() - 3_600_000 - (log.events[0] as AnyEvent).at;
    const events = asWalkOf(people.tove, log.events, laterBy);
    report = (events[0] as AnyEvent).inspectionId;
    const began = performance.now();
    const answer = await post(port, '/api/events', { events }, cookie);
    const { answers } = (await answer.json()) as { answers: { status: string; code?: string }[] };
    if (round > 2) times.push(performance.now() - began);
    answered = [...new Set(answers.map(({ status, code }) => code ?? status))].join(', ');
  }
  print(
    `a signed walk of ${rig.instances.length} checks taken in and sealed`,
    `${median(times).toFixed(0)} ms`,
    `360 checks under 120 ms (${answered})`,
  );
  return report;
}

/** How long a small request takes while reports are printed and content is checked. */
async function besideHeavyWork(port: number, report: string): Promise<void> {
  const cookie = await signIn(port, people.tove.name);
  const supervisor = await signIn(port, people.ilka.name);
  const get = (path: string, by: string) =>
    fetch(`http://127.0.0.1:${port}${path}`, { headers: { Cookie: by } });
  const file: unknown = await (await get('/api/content/file', supervisor)).json();
  let done = 0;
  let over = false;
  const again = async (work: () => Promise<Response>) => {
    while (!over) {
      await (await work()).arrayBuffer();
      done += 1;
    }
  };
  const heavy = [
    again(() => get(`/api/reports/${report}/pdf`, cookie)),
    again(() => get(`/api/reports/${report}/pdf`, cookie)),
    again(() =>
      post(port, '/api/content/file', { basedOn: 99, words: 'as before', file }, supervisor),
    ),
  ];
  const times: number[] = [];
  for (let count = 0; count < 100; count += 1) {
    const began = performance.now();
    await (await get('/api/session', cookie)).arrayBuffer();
    times.push(performance.now() - began);
    await pause(50);
  }
  over = true;
  await Promise.all(heavy);
  print(
    `a small request while ${done} reports and content files are worked on, p95`,
    `${percentile(times, 0.95).toFixed(0)} ms`,
    'under 300 ms',
  );
}
