import type { AnyEvent } from '@nazar/core/inspection';
import {
  begunOf,
  faultOf,
  instanceOf,
  makeLog,
  makeRig,
  signature,
  walkSound,
} from '@nazar/core/testing';
import { v4 as anyId } from 'uuid';
import { inOrganisation } from '../store/connection';
import {
  abroad,
  abroadTruck,
  asWalkOf,
  eventAfter,
  halvern,
  people,
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
const { imre, tove, stranger } = people;
const DAY = 86_400_000;

const storedIn = (organisationId: string, inspectionId: string) =>
  inOrganisation(server.db, organisationId, (trx) =>
    trx('events').where({ inspection_id: inspectionId }).select('id', 'type'),
  );

function wholeWalk(who = imre, laterBy = 0): AnyEvent[] {
  const log = walkSound(rig);
  log.add('signed', { signature, headline: 'rolls' });
  return asWalkOf(who, log.events, laterBy);
}

it('an entry that cannot be stored is set aside with a sentence, and all others of its batch are stored', async () => {
  // The defect of another organisation, which nobody here can see.
  const of = makeRig([abroadTruck]);
  const theirs = makeLog();
  const defectId = anyId();
  theirs.add('begun', begunOf(of));
  theirs.add('faulted', faultOf(instanceOf(of, 'wheel.nuts/steer-left'), 'nut-one', { defectId }));
  expect(await server.send(stranger, asWalkOf(stranger, theirs.events))).toMatchObject([
    { status: 'stored' },
    { status: 'stored' },
  ]);
  const log = walkSound(rig);
  log.add('faulted', faultOf(nuts, 'nut-one', { defectId }));
  const events = asWalkOf(imre, log.events);
  const aside: unknown[] = [];
  const answers = await takeIn(server.db, imre, events, {
    onSetAside: (_, event) => void aside.push(event.id),
  });
  const poisoned = answers.filter(({ status }) => status === 'refused');
  expect(poisoned).toEqual([
    {
      id: events[events.length - 1].id,
      status: 'refused',
      code: 'not-storable',
      detail: expect.stringMatching(/tell the office/),
    },
  ]);
  expect(aside).toEqual([events[events.length - 1].id]);
  expect(await storedIn(halvern.id, events[0].inspectionId)).toHaveLength(events.length - 1);
  // It is answered the same when it is sent again, and what comes after it is not kept waiting.
  const note = eventAfter(imre, events[0].inspectionId, 'annotated', { words: 'Look at the nuts' });
  expect(await server.send(imre, [events[events.length - 1], note])).toMatchObject([
    { status: 'refused', code: 'not-storable' },
    { status: 'stored' },
  ]);
  // Theirs stands as it was.
  const [row] = await inOrganisation(server.db, abroad.id, (trx) =>
    trx('defects').where({ id: defectId }),
  );
  expect(row).toMatchObject({ status: 'open', unit_id: abroadTruck.id });
});

it('where nothing at all can be stored, no entry is refused for it: it is sent again', async () => {
  const events = wholeWalk();
  // As a server would do whose own migration is missing.
  await server.owner.raw('revoke insert on inspections from nazar_serving');
  try {
    await expect(takeIn(server.db, imre, events)).rejects.toThrow(/inspections/);
  } finally {
    await server.owner.raw('grant insert on inspections to nazar_serving');
  }
  const answers = await takeIn(server.db, imre, events);
  expect(new Set(answers.map(({ status }) => status))).toEqual(new Set(['stored']));
});

it('an id that another walk has is refused, and nothing is said to be stored that is not', async () => {
  const first = wholeWalk();
  await server.send(imre, first);
  const second = wholeWalk(tove);
  const taken = { ...second[3], id: first[3].id, at: first[3].at };
  const answers = await server.send(tove, [...second.slice(0, 3), taken, ...second.slice(4, -1)]);
  expect(answers.filter(({ status }) => status !== 'stored')).toMatchObject([
    { id: first[3].id, status: 'refused', code: 'id-taken' },
  ]);
  expect(await storedIn(halvern.id, second[0].inspectionId)).toHaveLength(second.length - 2);
});

it('sent again it is the same; another entry under its id is refused', async () => {
  const log = makeLog();
  log.add('begun', begunOf(rig));
  log.add('answered', { key: nuts.key, outcome: 'sound' });
  const [begun, answered] = asWalkOf(imre, log.events);
  await server.send(imre, [begun, answered]);
  const other = { ...answered, payload: { key: nuts.key, outcome: 'not-looked', reason: 'Snow' } };
  expect(
    await server.send(imre, [answered, other, { ...answered, at: answered.at + 1 }]),
  ).toMatchObject([
    { status: 'duplicate' },
    { status: 'refused', code: 'id-taken' },
    { status: 'refused', code: 'id-taken' },
  ]);
});

it('a clock that is ahead is told so, and a walk of tomorrow does not become the last one', async () => {
  const events = wholeWalk(imre, Date.now() - Date.UTC(2026, 10, 25) + 2 * DAY);
  const answers = await server.send(imre, events);
  expect(new Set(answers.map(({ code }) => code))).toEqual(new Set(['clock-ahead']));
  expect(answers[0].detail).toMatch(/Set it, then enter this again/);
  expect(await storedIn(halvern.id, events[0].inspectionId)).toEqual([]);
});

it('a walk that is dated years ago is kept as long as any other, from the day on which it came', async () => {
  const events = wholeWalk(imre, -900 * DAY);
  const answers = await server.send(imre, events);
  expect(answers.filter(({ status }) => status !== 'stored')).toEqual([]);
  const row = await inOrganisation(server.db, halvern.id, (trx) =>
    trx('inspections').where({ id: events[0].inspectionId }).first(),
  );
  expect(row.keep_until.getTime()).toBeGreaterThan(Date.now() + 30 * DAY);
});

describe('what cannot be taken in', () => {
  const odd = () => ({ ...wholeWalk()[0], id: anyId(), payload: { unitIds: [] } });
  /** What the supervisor reads of what this driver's phone sent malformed. */
  const malformedOf = async (who: typeof imre) => {
    const { body } = await (await server.as(people.ilka)).get('/api/desk').expect(200);
    return body.setAside.find(
      (each: any) => each.person === who.name && each.code === 'malformed',
    ) as { id: string; count: number; detail: string } | undefined;
  };

  it('is shown to the supervisor of the depot with the sentence, until it is looked after', async () => {
    await server.send(imre, [odd(), { id: 'a\u0000\ud800', nonsense: true }]);
    const entry = await malformedOf(imre);
    expect(entry).toMatchObject({ count: 2 });
    expect(entry?.detail).not.toBe('');
    const agent = await server.as(people.ilka);
    await (await server.as(imre)).delete(`/api/set-aside/${entry?.id}`).expect(403);
    await agent.delete(`/api/set-aside/${entry?.id}`).expect(204);
    await agent.delete(`/api/set-aside/${entry?.id}`).expect(404);
    expect(await malformedOf(imre)).toBeUndefined();
  });

  it('is kept once, however often it is sent, and what is merely not permitted is not kept', async () => {
    const event = odd();
    await server.send(imre, [event]);
    await server.send(imre, [event]);
    expect(await malformedOf(imre)).toMatchObject({ count: 1 });
    await server.send(tove, wholeWalk());
    expect(await malformedOf(tove)).toBeUndefined();
  });

  it('does not fill the table, whoever sends rubbish for ever', async () => {
    const rubbish = Array.from({ length: 300 }, () => ({ id: anyId() }));
    await server.send(tove, rubbish);
    await server.send(
      tove,
      rubbish.map(() => ({ id: anyId() })),
    );
    const { rows } = await server.owner.raw(
      `select count(*)::int as count from entries_set_aside where person_id = ? and code = 'malformed'`,
      [tove.id],
    );
    expect(rows[0].count).toBe(100);
  });
});

describe('a sign-out that comes late', () => {
  const HOUR = 3_600_000;
  const out = { purpose: 'job' as const, needs: [], conditions: [] };

  /** A walk of thirty hours ago, and its sign-out of one minute later that comes only now. */
  async function signOutOfYesterday(heardHoursAgo: number) {
    const walk = wholeWalk();
    const [begun] = walk;
    const events = wholeWalk(imre, Date.now() - 30 * HOUR - begun.at);
    await server.send(imre, events);
    const signed = events[events.length - 1];
    await server.owner.raw(
      `update events set received_at = now() - make_interval(hours => ?) where inspection_id = ?`,
      [heardHoursAgo, signed.inspectionId],
    );
    const event = eventAfter(imre, signed.inspectionId, 'signed-out', out, signed.at + 60_000);
    const answer = await server.send(imre, [{ ...event, deviceId: signed.deviceId }]);
    await server.send(imre, [
      eventAfter(imre, signed.inspectionId, 'returned', {}, signed.at + 120_000),
    ]);
    return answer;
  }
  beforeEach(async () => {
    // Each of these phones is heard of for the first time.
    await server.owner.raw(`update events set device_id = gen_random_uuid()`);
  });

  it('counts where the phone had no network in the meantime', async () => {
    expect(await signOutOfYesterday(30)).toMatchObject([{ status: 'stored' }]);
  });

  it('is one of now where the server has heard from the phone in the meantime: the walk is too old', async () => {
    expect(await signOutOfYesterday(12)).toMatchObject([
      { status: 'refused', code: 'report-too-old' },
    ]);
  });
});

it('the name under a signature is the one that the server knows the signer by', async () => {
  const log = walkSound(rig);
  log.add('signed', {
    signature: { ...signature, name: 'Sanna Veit' },
    headline: 'rolls',
  });
  const events = asWalkOf(tove, log.events);
  await server.send(tove, events);
  const agent = await server.as(tove);
  const { body } = await agent.get(`/api/reports/${events[0].inspectionId}`).expect(200);
  expect(body.report.signature.name).toBe('Tove Brask');
});
