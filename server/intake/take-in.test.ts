import {
  begunOf,
  faultOf,
  instanceOf,
  makeLog,
  makeRig,
  signature,
  trailer,
  truck,
  walkSound,
} from '@nazar/core/testing';
import type { AnyEvent } from '@nazar/core/inspection';
import { v4 as anyId } from 'uuid';
import { sealAllPending } from '../report/seal-pending';
import { inOrganisation } from '../store/connection';
import {
  abroadTruck,
  asWalkOf,
  halvern,
  people,
  quayTruck,
  startTestServer,
  type TestServer,
} from '../testing/test-server';
import { takeIn } from './take-in';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());
beforeEach(() => server.owner('rate_counters').delete());

const rig = makeRig();
const nuts = instanceOf(rig, 'wheel.nuts/steer-left');

function wholeWalk(change?: (log: ReturnType<typeof walkSound>) => void): AnyEvent[] {
  const log = walkSound(rig);
  change?.(log);
  log.add('signed', { signature, headline: 'rolls' });
  return asWalkOf(people.imre, log.events);
}

const inHalvern = <T>(work: Parameters<typeof inOrganisation<T>>[2]) =>
  inOrganisation(server.owner, halvern.id, work);
const statuses = (answers: { status: string; code?: string }[]) => [
  ...new Set(answers.map(({ status, code }) => code ?? status)),
];

describe('a whole walk', () => {
  it('is stored in one request, folded, projected and sealed', async () => {
    const events = wholeWalk();
    expect(statuses(await server.send(people.imre, events))).toEqual(['stored']);
    const [row] = await inHalvern((trx) =>
      trx('inspections').where({ id: events[0].inspectionId }),
    );
    expect(row).toMatchObject({
      headline: 'rolls',
      answered: rig.instances.length,
      total: rig.instances.length,
      driver_id: people.imre.id,
      report_id: events[0].inspectionId,
    });
    const [readings] = await inHalvern((trx) =>
      trx('readings').where({ inspection_id: events[0].inspectionId }).count('* as count'),
    );
    expect(Number(readings.count)).toBe(events.filter(({ type }) => type === 'measured').length);
  });

  it('sent again changes nothing', async () => {
    const events = wholeWalk();
    await server.send(people.imre, events);
    expect(statuses(await server.send(people.imre, events))).toEqual(['duplicate']);
    const [{ count }] = await inHalvern((trx) =>
      trx('events').where({ inspection_id: events[0].inspectionId }).count('* as count'),
    );
    // What the phone sent, and the server's own seal.
    expect(Number(count)).toBe(events.length + 1);
  });

  it('may arrive in pieces, with a piece twice', async () => {
    const events = wholeWalk();
    const third = Math.floor(events.length / 3);
    await server.send(people.imre, events.slice(0, third));
    await server.send(people.imre, events.slice(0, 2 * third));
    const last = await server.send(people.imre, events.slice(third));
    expect(last.every(({ status }) => status !== 'refused')).toBe(true);
    const [row] = await inHalvern((trx) =>
      trx('inspections').where({ id: events[0].inspectionId }),
    );
    expect(row.report_id).toBe(events[0].inspectionId);
    const units = await inHalvern((trx) =>
      trx('inspection_units').where({ inspection_id: events[0].inspectionId }),
    );
    expect(units.every(({ signed_at }) => signed_at !== null)).toBe(true);
  });

  it('sent by two requests at once is stored once', async () => {
    const events = wholeWalk();
    const both = await Promise.all([
      server.send(people.imre, events),
      server.send(people.imre, events),
    ]);
    const stored = both.flat().filter(({ status }) => status === 'stored');
    expect(stored).toHaveLength(events.length);
    const reports = await inHalvern((trx) =>
      trx('reports').where({ inspection_id: events[0].inspectionId }),
    );
    expect(reports.map((row) => row.unit_id).sort()).toEqual([truck.id, trailer.id].sort());
  });

  it('that was stored before a crash is sealed afterwards', async () => {
    const events = wholeWalk();
    await takeIn(server.db, people.imre, events);
    const before = await inHalvern((trx) =>
      trx('inspections').where({ id: events[0].inspectionId }).first(),
    );
    expect(before.report_id).toBeNull();
    expect(await sealAllPending(server.db, server.key, new Date())).toEqual({
      sealed: 1,
      failed: [],
    });
    expect(await sealAllPending(server.db, server.key, new Date())).toEqual({
      sealed: 0,
      failed: [],
    });
  });

  it('that was mended before a crash gets its addition afterwards', async () => {
    const defectId = anyId();
    const events = wholeWalk((log) => log.add('faulted', faultOf(nuts, 'nut-one', { defectId })));
    const { inspectionId } = events[0];
    await server.send(people.imre, events);
    const certified = {
      ...events[0],
      id: anyId(),
      actorId: people.rasmus.id,
      at: Date.now(),
      type: 'certified',
      payload: { defectId, outcome: 'repaired', words: 'Nut renewed', signature },
    };
    await takeIn(server.db, people.rasmus, [certified]);
    expect(await sealAllPending(server.db, server.key, new Date())).toEqual({
      sealed: 1,
      failed: [],
    });
    expect(await sealAllPending(server.db, server.key, new Date())).toEqual({
      sealed: 0,
      failed: [],
    });
    const rows = await inHalvern((trx) => trx('additions').where({ inspection_id: inspectionId }));
    expect(rows).toMatchObject([{ body: { words: 'Nut renewed' } }]);
    const acknowledging = wholeWalk((log) => log.add('acknowledged', { defectId }));
    await server.send(people.imre, acknowledging);
  });

  it('does not roll when the server finds more than the phone showed', async () => {
    const events = wholeWalk((log) =>
      log.add('faulted', faultOf(nuts, 'nut-one', { defectId: anyId() })),
    );
    await server.send(people.imre, events);
    const row = await inHalvern((trx) =>
      trx('inspections').where({ id: events[0].inspectionId }).first(),
    );
    expect(row.headline).toBe('stays');
    const report = await inHalvern((trx) =>
      trx('reports').where({ id: events[0].inspectionId }).first(),
    );
    expect(report.body.verdict.headline).toBe('stays');
    expect(report.body.rig).toMatchObject({ headline: 'stays', shown: 'rolls' });
  });
});

describe('what is refused, and refused alone', () => {
  const begun = (units: readonly { id: string }[] = [truck]) => {
    const log = makeLog();
    log.add('begun', { ...begunOf(rig), unitIds: units.map(({ id }) => id) });
    return asWalkOf(people.imre, log.events);
  };

  it('an event of an unknown type, and the rest of the batch is kept', async () => {
    const events = wholeWalk().slice(0, 5);
    const batch = [events[0], { ...events[1], type: 'levitated' }, ...events.slice(2)];
    const answers = await server.send(people.imre, batch);
    expect(answers.map(({ status, code }) => code ?? status)).toEqual([
      'stored',
      'unknown-type',
      'stored',
      'stored',
      'stored',
    ]);
    expect(answers[1].detail).toMatch(/levitated/);
  });

  it('a malformed one', async () => {
    const [first] = begun();
    const answers = await server.send(people.imre, [
      first,
      { id: 'x' },
      null,
      'text',
      { ...first, at: 'now' },
    ]);
    expect(answers.map(({ status, code }) => code ?? status)).toEqual([
      'stored',
      ...Array<string>(4).fill('malformed'),
    ]);
  });

  it('a walk round a unit of another depot, of another organisation, or of nobody', async () => {
    for (const unit of [quayTruck, abroadTruck, { id: anyId() }]) {
      const answers = await server.send(people.imre, begun([unit]));
      expect(statuses(answers)).toEqual(['unit-not-yours']);
    }
  });

  it('an answer about a unit that is not in the rig', async () => {
    const events = begun([truck]);
    const { inspectionId, deviceId } = events[0];
    const log = makeLog();
    log.add('answered', { key: `${quayTruck.id}/truck.cab.belt`, outcome: 'sound' });
    const [stray] = asWalkOf(people.imre, log.events);
    const answers = await server.send(people.imre, [
      ...events,
      { ...stray, inspectionId, deviceId },
    ]);
    expect(answers.map(({ code }) => code)).toEqual([undefined, 'check-of-other-unit']);
  });

  it('an entry of somebody else', async () => {
    const answers = await server.send(people.tove, wholeWalk().slice(0, 2));
    expect(statuses(answers)).toEqual(['other-person']);
  });

  it('a change of a sealed walk', async () => {
    const events = wholeWalk();
    await server.send(people.imre, events);
    const change = {
      ...events[2],
      id: anyId(),
      sequence: 9999,
      payload: { key: nuts.key, outcome: 'cleared' },
    };
    const [answer] = await server.send(people.imre, [{ ...change, type: 'answered' }]);
    expect(answer).toMatchObject({ status: 'refused', code: 'already-signed' });
    expect(answer.detail).toMatch(/sealed/);
  });

  it('a signature under an unfinished walk; the answers stay', async () => {
    const events = wholeWalk();
    const unfinished = [...events.slice(0, 40), events[events.length - 1]];
    const answers = await server.send(people.imre, unfinished);
    expect(answers.at(-1)).toMatchObject({ code: 'not-complete' });
    expect(answers.filter(({ status }) => status === 'stored')).toHaveLength(40);
    const rest = await server.send(people.imre, events.slice(40));
    expect(statuses(rest)).toEqual(['stored']);
  });

  it('units that make no rig, and content that the server does not have', async () => {
    expect(statuses(await server.send(people.imre, begun([trailer])))).toEqual(['no-rig']);
    const [event] = begun();
    const other = {
      ...event,
      payload: { ...(event.payload as object), catalogueVersion: '1999.1' },
    };
    expect(statuses(await server.send(people.imre, [other]))).toEqual(['catalogue-unknown']);
  });

  it('a seal from a device', async () => {
    const events = wholeWalk();
    await server.send(people.imre, events.slice(0, 2));
    const seal = {
      ...events[1],
      id: anyId(),
      type: 'sealed',
      payload: { reportId: anyId(), hash: 'a' },
    };
    expect(statuses(await server.send(people.imre, [seal]))).toEqual(['server-only']);
  });

  it('no list, or a list without end', async () => {
    const agent = await server.as(people.imre);
    await agent.post('/api/events').send({}).expect(422);
    const many = await agent
      .post('/api/events')
      .send({ events: Array(1001).fill({}) })
      .expect(413);
    expect(many.body.detail).toMatch(/1000/);
  });

  it('without a sign-in', async () => {
    const { default: request } = await import('supertest');
    await request(server.app).post('/api/events').send({ events: wholeWalk() }).expect(401);
  });
});
