import { catalogue } from '@nazar/core/content';
import { fold, type AnyEvent, type InspectionEvent } from '@nazar/core/inspection';
import {
  answerSound,
  begunOf,
  faultOf,
  instanceOf,
  makeLog,
  makeRig,
  signature,
  truck,
} from '@nazar/core/testing';
import type { Knex } from 'knex';
import pg from 'pg';
import { v4 as anyId, v7 as newId } from 'uuid';
import {
  asWalkOf,
  halvern,
  north,
  people,
  startTestServer,
  type TestServer,
} from '../server/testing/test-server';
import { stand } from '../server/intake/stand';
import { takeIn } from '../server/intake/take-in';
import { walkRows } from '../server/projection/walk-rows';
import { INSERT_WALK, walkBindings } from '../server/store/insert-walk';
import { inOrganisation } from '../server/store/connection';
import { listOpenDefects } from '../server/store/defects';
import { openInspection } from '../server/store/open-inspection';
import { readReference } from '../server/store/reference';
import { heading, median, percentile, print } from './figures';

const WALKS = 120;
const ROUNDS = 5;
const DEFECTS = 100_000;

/** A signed walk with its readings and one fault that was put right on the spot. */
function makeWalk(): AnyEvent[] {
  const rig = makeRig([truck]);
  const log = makeLog();
  log.add('begun', begunOf(rig));
  for (const instance of rig.instances) answerSound(log, instance);
  log.add(
    'faulted',
    faultOf(instanceOf(rig, 'truck.glass.washer-fluid'), 'washer-empty', {
      defectId: anyId(),
      fixed: 'Fill it',
    }),
  );
  log.add('signed', { signature, headline: 'limits' });
  return asWalkOf(people.imre, log.events);
}

const freshWalk = (walk: readonly AnyEvent[]): AnyEvent[] => {
  const inspectionId = newId();
  return walk.map((event) => ({
    ...event,
    id: newId(),
    inspectionId,
    payload:
      event.type === 'faulted'
        ? { ...(event.payload as object), defectId: newId() }
        : event.payload,
  }));
};

/** Whole walks a second against one bare prepared batch insert of the same rows, turn by turn. */
async function intake(server: TestServer): Promise<void> {
  heading('Intake');
  const walk = makeWalk();
  const sent = await server.send(people.imre, walk);
  const stored = sent.filter(({ status }) => status === 'stored').length;
  print(`a walk of ${walk.length} events`, '1 request', `stored ${stored}`);
  const bare = new pg.Client(server.configuration.databaseUrl);
  await bare.connect();
  await bare.query(`set role nazar_serving`);
  await bare.query(`select set_config('app.organisation', $1, false)`, [halvern.id]);
  const ours: number[] = [];
  const theirs: number[] = [];
  for (let round = 0; round <= ROUNDS; round += 1) {
    const walks = Array.from({ length: WALKS }, () => freshWalk(walk));
    const rows = await bareRows(server, walks);
    // A vehicle has a handful of open defects, not one of each walk of this bench.
    await server.owner('defects').update({ status: 'closed', certificate_status: 'closed' });
    await server.owner.raw('vacuum analyze defects');
    const began = performance.now();
    for (const each of walks) await takeIn(server.db, people.imre, each);
    const between = performance.now();
    for (const values of rows) await bare.query({ name: 'walk', text: PREPARED, values });
    const ended = performance.now();
    // The first round warms both up.
    if (round > 0) {
      ours.push(WALKS / ((between - began) / 1000));
      theirs.push(WALKS / ((ended - between) / 1000));
    }
  }
  await bare.end();
  print(
    'walks taken in (validate, permit, store, fold, project)',
    `${median(ours).toFixed(0)} walks/s`,
  );
  print('bare prepared batch insert of the same rows', `${median(theirs).toFixed(0)} walks/s`);
  print('ratio', (median(ours) / median(theirs)).toFixed(2), 'at least 0.50');
}

const NAMES = [
  'organisation',
  'events',
  'readings',
  'steps',
  'reports',
  'defects',
  'inspection',
  'units',
] as const;

/** The same statement with numbered parameters, so that PostgreSQL prepares it once. */
const PREPARED = NAMES.reduce(
  (sql, name, index) => sql.replaceAll(`:${name} as`, `$${index + 1} as`),
  INSERT_WALK,
);

/** The rows that each walk would become, under ids of their own, ready as parameters. */
async function bareRows(server: TestServer, walks: readonly AnyEvent[][]): Promise<unknown[][]> {
  return inOrganisation(server.db, halvern.id, async (trx) => {
    const rows: unknown[][] = [];
    for (const each of walks) {
      const walk = freshWalk(each);
      const { inspectionId } = walk[0];
      const opened = await openInspection(trx, halvern.id, inspectionId, {
        unitIds: [truck.id],
        catalogueVersion: catalogue.version,
      });
      const standing = stand(fold(inspectionId, walk), opened);
      const accepted = walk as InspectionEvent[];
      const bindings: Readonly<Record<string, string>> = walkBindings(
        walkRows({
          person: people.imre,
          standing,
          accepted,
          isNew: true,
          arrivedAt: Date.now(),
          isKnownDefect: () => false,
        }),
      );
      rows.push(NAMES.map((name) => bindings[name]));
    }
    return rows;
  });
}

async function fillDefects(owner: Knex): Promise<void> {
  const inspection = (
    await inOrganisation(owner, halvern.id, (trx) => trx('inspections').first('id'))
  ).id as string;
  await inOrganisation(owner, halvern.id, (trx) =>
    trx.raw(
      `insert into defects (id, organisation_id, depot_id, unit_id, inspection_id, key, title, symptom, grade,
          grade_rank, blocks, reasons, photo_ids, status, reported_at, reported_by)
       select gen_random_uuid(), :organisation, :depot, :unit, :inspection, 'k' || n, 'Made up', 'Made up',
          (array['note','minor','major'])[1 + n % 3], 1 + n % 3, '{}', '[]', '{}',
          (array['open','closed','closed','closed','closed'])[1 + n % 5],
          now() - make_interval(mins => n), :person
         from generate_series(1, :count) n`,
      {
        organisation: halvern.id,
        depot: north.id,
        unit: truck.id,
        inspection,
        person: people.imre.id,
        count: DEFECTS,
      },
    ),
  );
  await owner.raw('analyze');
}

async function time(rounds: number, work: () => Promise<unknown>): Promise<number[]> {
  const times: number[] = [];
  for (let round = 0; round < rounds; round += 1) {
    const began = performance.now();
    await work();
    if (round >= 5) times.push(performance.now() - began);
  }
  return times;
}

async function reads(server: TestServer): Promise<void> {
  heading('Reading');
  const today = await time(60, () =>
    inOrganisation(server.db, people.jonah.organisationId, (trx) =>
      readReference(trx, people.jonah),
    ),
  );
  print('Today of a depot (reference data), p95', `${percentile(today, 0.95).toFixed(1)} ms`);
  await fillDefects(server.owner);
  const list = await time(60, () =>
    inOrganisation(server.db, halvern.id, (trx) => listOpenDefects(trx, north.id, 51)),
  );
  print(`workshop’s list over ${DEFECTS} defects, p95`, `${percentile(list, 0.95).toFixed(1)} ms`);
  let after: Parameters<typeof listOpenDefects>[3];
  const deep = await time(60, async () => {
    const page = await inOrganisation(server.db, halvern.id, (trx) =>
      listOpenDefects(trx, north.id, 51, after),
    );
    const last = page[page.length - 1];
    after = {
      gradeRank: { note: 1, minor: 2, major: 3 }[last.grade],
      needed: last.neededAt !== null,
      reportedAt: last.reportedAt,
      id: last.id,
    };
  });
  print('its later pages, p95', `${percentile(deep, 0.95).toFixed(1)} ms`);
}

/** Each query on the way to Today and the workshop, with the index that serves it. */
async function plans(server: TestServer): Promise<void> {
  heading('Plans (no sequential scan of a table that grows)');
  const queries: readonly (readonly [string, (trx: Knex.Transaction) => Promise<unknown>])[] = [
    ['Today', (trx) => readReference(trx, people.imre)],
    ['workshop’s list', (trx) => listOpenDefects(trx, north.id, 51)],
  ];
  for (const [name, run] of queries) {
    const seen: { sql: string; bindings: readonly unknown[] }[] = [];
    const listen = ({ sql, bindings }: { sql: string; bindings: readonly unknown[] }) => {
      if (/^\s*select/i.test(sql) && !sql.includes('set_config')) seen.push({ sql, bindings });
    };
    server.db.on('query', listen);
    await inOrganisation(server.db, halvern.id, run);
    server.db.off('query', listen);
    for (const { sql, bindings } of seen) await explain(server, name, sql, bindings);
  }
}

const GROWS =
  /Seq Scan on (events|readings|defects|inspections|inspection_units|photos|reports|additions)\w*/;

async function explain(
  server: TestServer,
  name: string,
  sql: string,
  bindings: readonly unknown[],
): Promise<void> {
  const plan = await inOrganisation(server.db, halvern.id, async (trx) => {
    const { rows } = await trx.raw(`explain ${sql.replace(/\$\d+/g, '?')}`, bindings as never);
    return (rows as { 'QUERY PLAN': string }[]).map((row) => row['QUERY PLAN']).join('\n');
  });
  const table = /from "?(\w+)"?/i.exec(sql)?.[1] ?? '';
  const index = [
    ...plan.matchAll(
      /(?:using|on) (\w+(?:_\w+)?(?:_idx|_pkey|_open|_latest|_by_depot|_of_unit\w*))/g,
    ),
  ].map(([, each]) => each);
  const bad = GROWS.exec(plan);
  print(`${name}: ${table}`, bad ? bad[0] : 'ok', [...new Set(index)].slice(0, 3).join(', '));
}

export async function benchServer(): Promise<void> {
  const server = await startTestServer();
  try {
    print('catalogue', catalogue.version);
    await intake(server);
    await reads(server);
    await plans(server);
  } finally {
    await server.close();
  }
}
