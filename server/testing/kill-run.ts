import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import type { AnyEvent } from '@nazar/core/inspection';
import { faultOf, instanceOf, makeRig, signature, walkSound } from '@nazar/core/testing';
import { v4 as anyId } from 'uuid';
import { freePort, startCluster } from '../../scripts/postgres.mjs';
import { auditDatabase } from '../report/audit';
import { connectAsOwner, connectServing } from '../store/connection';
import { migrate } from '../store/migrate';
import { ensurePartitions } from '../store/partitions';
import { randomFrom, type Random } from './hostile';
import { asWalkOf, insertWorld, people, PIN } from './test-server';

/**
 * Phones send walks while the server and its database are killed at random moments, without a warning. Whatever the server has
 * acknowledged must be there afterwards, once, and every walk sealed. Prints what was found as one line of JSON.
 *
 * node --import tsx server/testing/kill-run.ts --walks 6 --server-kills 2 --database-kills 2 --seed 1
 */
export interface KillResult {
  readonly walks: number;
  readonly acknowledged: number;
  /** Acknowledged, and not there. */
  readonly lost: number;
  readonly doubled: number;
  readonly unsealed: number;
  readonly alterations: readonly string[];
  readonly serverKills: number;
  readonly databaseKills: number;
}

const ROOT = join(import.meta.dirname, '..', '..');
const BATCH = 40;

function option(name: string, otherwise: number): number {
  const at = process.argv.indexOf(`--${name}`);
  return at < 0 ? otherwise : Number(process.argv[at + 1]);
}

async function main(): Promise<KillResult> {
  const [walks, serverKills, databaseKills] = [
    option('walks', 6),
    option('server-kills', 2),
    option('database-kills', 2),
  ];
  const random = randomFrom(option('seed', 1));
  const folder = mkdtempSync(join(tmpdir(), 'nazar-kill-'));
  const own = join(folder, 'own');
  let cluster = await startCluster({ folder: join(own, 'postgres') });
  let server: ChildProcess | undefined;
  try {
    const owner = connectAsOwner(cluster.url);
    const now = new Date();
    await migrate(owner);
    await ensurePartitions(owner, now, new Date(now.getTime() + 40 * 86_400_000));
    await insertWorld(owner);
    await owner.destroy();

    const port = await freePort(0);
    const env = { DATABASE_URL: cluster.url, SEAL_KEY_FILE: join(folder, 'seal-key.pem') };
    server = await startServer(port, env);
    const acknowledged = new Set<string>();
    const sent = Array.from({ length: walks }, (_, index) => makeWalk(index, walks));
    const sending = Promise.all(sent.map((events) => send(port, events, acknowledged)));

    const kills = shuffled(
      [
        ...Array.from({ length: serverKills }, () => 'server' as const),
        ...Array.from({ length: databaseKills }, () => 'database' as const),
      ],
      random,
    );
    for (const kill of kills) {
      await pause(200 + 600 * random());
      if (kill === 'database') {
        await killPostgres(cluster.data);
        await pause(300 * random());
        cluster = await startCluster({ folder: join(own, 'postgres') });
      }
      if (kill === 'server' || server.exitCode !== null) {
        server.kill('SIGKILL');
        server = await startServer(port, { ...env, DATABASE_URL: cluster.url });
      }
    }
    await sending;
    return {
      walks,
      serverKills,
      databaseKills,
      ...(await lookAt(cluster.url, sent.flat(), acknowledged)),
    };
  } finally {
    server?.kill('SIGKILL');
    cluster.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}

function shuffled<T>(list: readonly T[], random: Random): T[] {
  return list
    .map((each) => ({ each, at: random() }))
    .sort((a, b) => a.at - b.at)
    .map(({ each }) => each);
}

function makeWalk(index: number, of: number): AnyEvent[] {
  const rig = makeRig();
  const log = walkSound(rig);
  if (index % 2 === 0)
    log.add(
      'faulted',
      faultOf(instanceOf(rig, 'wheel.nuts/steer-left'), 'nut-one', { defectId: anyId() }),
    );
  log.add('signed', { signature, headline: 'rolls' });
  const laterBy = Date.now() - (of - index) * 3_600_000 - (log.events[0] as AnyEvent).at;
  return asWalkOf(people.imre, log.events, laterBy);
}

async function startServer(port: number, env: Record<string, string>): Promise<ChildProcess> {
  const child = spawn(process.execPath, ['--import', 'tsx', 'server/main.ts'], {
    cwd: ROOT,
    env: { ...process.env, LOG_LEVEL: 'silent', ...env, PORT: String(port) },
    stdio: ['ignore', 'pipe', 'ignore'],
  });
  await new Promise<void>((done) => {
    child.stdout.on('data', (text) => {
      if (String(text).includes('listening')) done();
    });
    child.once('exit', () => {
      done();
    });
  });
  return child;
}

/** As the phone does: what was not answered is sent again, until it is. */
async function send(
  port: number,
  events: readonly AnyEvent[],
  acknowledged: Set<string>,
): Promise<void> {
  let cookie: string | undefined;
  for (let at = 0; at < events.length;) {
    const batch = events.slice(at, at + BATCH);
    try {
      cookie ??= await signIn(port);
      const answer = await fetch(`http://127.0.0.1:${port}/api/events`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json', Cookie: cookie },
        body: JSON.stringify({ events: batch }),
        signal: AbortSignal.timeout(15_000),
      });
      if (!answer.ok) throw new Error(`answered ${answer.status}`);
      const { answers } = (await answer.json()) as { answers: { id: string; status: string }[] };
      for (const { id, status } of answers) if (status !== 'refused') acknowledged.add(id);
      at += BATCH;
    } catch {
      await pause(250);
    }
  }
}

async function signIn(port: number): Promise<string> {
  const answer = await fetch(`http://127.0.0.1:${port}/api/session`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ name: people.imre.name, pin: PIN }),
  });
  if (!answer.ok) throw new Error(`answered ${answer.status}`);
  return answer.headers
    .getSetCookie()
    .map((each) => each.split(';')[0])
    .join('; ');
}

/** The whole of it at once, as when the power goes. */
async function killPostgres(data: string): Promise<void> {
  const pid = Number(readFileSync(join(data, 'postmaster.pid'), 'utf8').split('\n')[0]);
  process.kill(pid, 'SIGKILL');
  // Until nobody has its number any more, a new one takes it for running.
  for (let tries = 0; tries < 100 && isThere(pid); tries += 1) await pause(50);
}

function isThere(pid: number): boolean {
  try {
    process.kill(pid, 0);
    return true;
  } catch {
    return false;
  }
}

async function lookAt(
  url: string,
  sent: readonly AnyEvent[],
  acknowledged: ReadonlySet<string>,
): Promise<Pick<KillResult, 'acknowledged' | 'lost' | 'doubled' | 'unsealed' | 'alterations'>> {
  const owner = connectAsOwner(url);
  const db = connectServing(url);
  try {
    const rows: { id: string; count: string }[] = await owner('events')
      .groupBy('id')
      .select('id')
      .count('* as count');
    const counts = new Map(rows.map(({ id, count }) => [id, Number(count)]));
    const walks = new Set(sent.map(({ inspectionId }) => inspectionId));
    const sealed = await owner('inspections')
      .whereIn('id', [...walks])
      .whereNotNull('report_id');
    const { faults } = await auditDatabase(db);
    return {
      acknowledged: acknowledged.size,
      lost: [...acknowledged].filter((id) => !counts.has(id)).length,
      doubled: [...counts.values()].filter((count) => count > 1).length,
      unsealed: walks.size - sealed.length,
      alterations: faults.map(({ where, words }) => `${where}: ${words}`),
    };
  } finally {
    await owner.destroy();
    await db.destroy();
  }
}

main().then(
  (result) => {
    process.stdout.write(`${JSON.stringify(result)}\n`);
    process.exit(0);
  },
  (error: unknown) => {
    process.stderr.write(`${error instanceof Error ? (error.stack ?? '') : String(error)}\n`);
    process.exit(1);
  },
);
