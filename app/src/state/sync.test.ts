import { clearDevice } from '../../testing/device';
import { answerFetch } from '../../testing/server-stand-in';
import { openDatabase } from './database';
import { appendEntries } from './log';
import { useReference } from './reference';
import { useSession } from './session';
import { stopTrying, syncNow, useSync } from './sync';

const person = {
  id: '01900000-0000-7000-8000-0000000000d1',
  name: 'Imre Dahl',
  role: 'driver' as const,
  depotId: 'north',
  organisationId: 'halvern',
};
const other = '01900000-0000-7000-8000-0000000000d2';

const note = (words: string, actorId = person.id) =>
  appendEntries([{ inspectionId: 'walk', actorId, type: 'annotated', payload: { words } }]);

const addPhoto = async (id: string) =>
  (await openDatabase()).add('photos', {
    id,
    inspectionId: 'walk',
    actorId: person.id,
    blob: new Blob(['x']),
    state: 'waiting',
  });

interface Sent {
  events: { id: string; payload: { words: string } }[];
}

/** Takes everything, except words for which `refuse` has a code. */
function takeAll(refuse: Record<string, string> = {}) {
  return answerFetch((path, init) => {
    if (path === '/reference') return { status: 200, body: { serverTime: Date.now() + 5000 } };
    if (path !== '/events') return { status: 204 };
    const { events } = JSON.parse(String(init.body)) as Sent;
    return {
      status: 200,
      body: {
        answers: events.map(({ id, payload }) =>
          refuse[payload.words]
            ? { id, status: 'refused', code: refuse[payload.words], detail: 'A sentence.' }
            : { id, status: 'stored' },
        ),
      },
    };
  });
}

const states = async () =>
  Object.fromEntries(
    (await (await openDatabase()).getAll('events')).map(({ event, state }) => [
      (event.payload as { words: string }).words,
      state,
    ]),
  );

beforeEach(async () => {
  jest.useRealTimers();
  await clearDevice();
  useSession.setState({ person, expired: false });
  useSync.setState({ waiting: 0, ofOthers: 0, refused: 0, busy: false, trouble: undefined });
});

// A later try of one test must not fall into the next.
afterEach(() => stopTrying());

it('sends what waits, in order, in one request, and reads the news afterwards', async () => {
  for (const words of ['one', 'two', 'three']) await note(words);
  const calls = takeAll();
  await syncNow();
  expect(calls.map(({ path }) => path)).toEqual(['/events', '/reference']);
  expect((calls[0].body as Sent).events.map(({ payload }) => payload.words)).toEqual([
    'one',
    'two',
    'three',
  ]);
  expect(await states()).toEqual({ one: 'sent', two: 'sent', three: 'sent' });
  expect(useSync.getState()).toMatchObject({ waiting: 0, trouble: undefined, busy: false });
});

it('sends a walk of 250 entries in one request', async () => {
  await appendEntries(
    Array.from({ length: 250 }, (_, index) => ({
      inspectionId: 'walk',
      actorId: person.id,
      type: 'annotated' as const,
      payload: { words: `number ${index}` },
    })),
  );
  const calls = takeAll();
  await syncNow();
  expect(calls.filter(({ path }) => path === '/events')).toHaveLength(1);
});

it('sends nothing twice', async () => {
  await note('one');
  takeAll();
  await syncNow();
  const calls = takeAll();
  await syncNow();
  expect(calls).toEqual([]);
});

it('keeps what is refused, with the sentence, and the rest goes through', async () => {
  for (const words of ['good', 'bad', 'fine']) await note(words);
  takeAll({ bad: 'unknown-type' });
  await syncNow();
  expect(await states()).toEqual({ good: 'sent', bad: 'refused', fine: 'sent' });
  expect(useSync.getState().refused).toBe(1);
  const refused = await (await openDatabase()).getFromIndex('events', 'state', 'refused');
  expect(refused?.refusal).toEqual({ code: 'unknown-type', detail: 'A sentence.' });
});

it('keeps everything without a network, and tells it', async () => {
  await note('one');
  answerFetch(() => 'offline');
  await syncNow();
  expect(await states()).toEqual({ one: 'waiting' });
  expect(useSync.getState()).toMatchObject({ trouble: 'offline', waiting: 1, busy: false });
  takeAll();
  await syncNow();
  expect(useSync.getState()).toMatchObject({ trouble: undefined, waiting: 0 });
});

it('keeps everything while the server is away', async () => {
  await note('one');
  answerFetch(() => ({ status: 503, body: { code: 'database-away', detail: 'Away.' } }));
  await syncNow();
  expect(useSync.getState()).toMatchObject({ trouble: 'server-away', waiting: 1 });
});

it('asks to sign in again when the session ran out, and goes on afterwards', async () => {
  await note('one');
  answerFetch(() => ({ status: 401, body: { code: 'sign-in-needed' } }));
  await syncNow();
  expect(useSession.getState().expired).toBe(true);
  expect(useSync.getState()).toMatchObject({ trouble: 'sign-in-needed', waiting: 1 });
  takeAll();
  await syncNow();
  expect(useSession.getState().expired).toBe(false);
  expect(await states()).toEqual({ one: 'sent' });
});

it('never sends the entries of somebody else', async () => {
  await note('mine');
  await note('theirs', other);
  const calls = takeAll();
  await syncNow();
  expect((calls[0].body as Sent).events).toHaveLength(1);
  expect(useSync.getState()).toMatchObject({ waiting: 0, ofOthers: 1 });
  expect(await states()).toEqual({ mine: 'sent', theirs: 'waiting' });
});

it('sends photos before the entries that name them', async () => {
  await addPhoto('p1');
  await note('one');
  const calls = takeAll();
  await syncNow();
  expect(calls.map(({ path }) => path)).toEqual([
    '/photos/p1?inspection=walk',
    '/events',
    '/reference',
  ]);
  expect((await (await openDatabase()).get('photos', 'p1'))?.state).toBe('sent');
});

it('puts a refused photo aside and goes on with the rest', async () => {
  await addPhoto('p1');
  await note('one');
  answerFetch((path, init) => {
    if (path.startsWith('/photos'))
      return { status: 422, body: { code: 'not-a-picture', detail: 'No picture.' } };
    if (path === '/reference') return { status: 200, body: { serverTime: Date.now() } };
    const { events } = JSON.parse(String(init.body)) as Sent;
    return { status: 200, body: { answers: events.map(({ id }) => ({ id, status: 'stored' })) } };
  });
  await syncNow();
  expect((await (await openDatabase()).get('photos', 'p1'))?.refusal?.code).toBe('not-a-picture');
  expect(await states()).toEqual({ one: 'sent' });
});

it('puts a photo aside whose id is somebody else’s, and goes on with the rest', async () => {
  await addPhoto('p1');
  await note('one');
  answerFetch((path, init) => {
    if (path.startsWith('/photos'))
      return { status: 409, body: { code: 'not-your-picture', detail: 'Not yours.' } };
    if (path === '/reference') return { status: 200, body: { serverTime: Date.now() } };
    const { events } = JSON.parse(String(init.body)) as Sent;
    return { status: 200, body: { answers: events.map(({ id }) => ({ id, status: 'stored' })) } };
  });
  await syncNow();
  expect((await (await openDatabase()).get('photos', 'p1'))?.refusal?.code).toBe(
    'not-your-picture',
  );
  expect(await states()).toEqual({ one: 'sent' });
});

it('sends the entries although the server cannot take a photo just now', async () => {
  await addPhoto('p1');
  await note('one');
  answerFetch((path, init) => {
    if (path.startsWith('/photos')) return { status: 500, body: { code: 'unexpected' } };
    if (path === '/reference') return { status: 200, body: { serverTime: Date.now() } };
    const { events } = JSON.parse(String(init.body)) as Sent;
    return { status: 200, body: { answers: events.map(({ id }) => ({ id, status: 'stored' })) } };
  });
  await syncNow();
  expect(await states()).toEqual({ one: 'sent' });
  expect((await (await openDatabase()).get('photos', 'p1'))?.state).toBe('waiting');
  expect(useSync.getState()).toMatchObject({ trouble: 'server-away', waiting: 1 });
  takeAll();
  await syncNow();
  expect((await (await openDatabase()).get('photos', 'p1'))?.state).toBe('sent');
});

it('goes on after a run that broke off', async () => {
  await note('one');
  globalThis.fetch = () =>
    Promise.resolve({ ok: true, json: () => Promise.resolve({}) } as Response);
  const broken = syncNow();
  const after = syncNow();
  await expect(broken).rejects.toThrow();
  await after.catch(() => undefined);
  takeAll();
  await syncNow();
  expect(await states()).toEqual({ one: 'sent' });
});

it('asks for the news of other people again after a while, and not at every touch', async () => {
  const clock = jest.spyOn(Date, 'now');
  const start = 2_000_000_000_000;
  clock.mockReturnValue(start);
  const calls = takeAll();
  await syncNow();
  await syncNow();
  expect(calls.map(({ path }) => path)).toEqual(['/reference']);
  clock.mockReturnValue(start + 61_000);
  await syncNow();
  expect(calls).toHaveLength(2);
  clock.mockRestore();
});

it('is asked many times and runs once at a time', async () => {
  await note('one');
  const calls = takeAll();
  await Promise.all([syncNow(), syncNow(), syncNow()]);
  expect(calls.filter(({ path }) => path === '/events')).toHaveLength(1);
});

it('answers only after what was kept before the call was offered', async () => {
  await note('one');
  takeAll();
  const first = syncNow();
  await note('two');
  await syncNow();
  expect(await states()).toEqual({ one: 'sent', two: 'sent' });
  await first;
});

it('learns how far the clock of this device is off', async () => {
  await note('one');
  takeAll();
  await syncNow();
  expect(useReference.getState().offset).toBeGreaterThan(4000);
  expect(useReference.getState().offset).toBeLessThan(6000);
  await note('two');
  const two = (await (await openDatabase()).getAll('events')).find(
    ({ event }) => (event.payload as { words: string }).words === 'two',
  );
  expect(two?.event.at).toBeGreaterThan(Date.now() + 3000);
});

it('does nothing while nobody is signed in', async () => {
  await note('one');
  useSession.setState({ person: null });
  const calls = takeAll();
  await syncNow();
  expect(calls).toEqual([]);
});
