import { clearDevice } from '../../testing/device';
import { toEvent, openDatabase, type KeptEvent } from './database';
import { appendEntries, listRefused, listUnfinished, onEntryKept, pruneSent, useLog } from './log';

const actor = '01900000-0000-7000-8000-0000000000d1';
const begun = {
  unitIds: ['01900000-0000-7000-8000-000000000214'],
  phase: 'pre-trip' as const,
  catalogueVersion: 'x',
  policyId: 'two-step',
  circumstances: [],
};

const begin = (inspectionId: string, actorId = actor) =>
  appendEntries([{ inspectionId, actorId, type: 'begun', payload: begun }]);
const sound = (inspectionId: string, key: string) =>
  appendEntries([
    { inspectionId, actorId: actor, type: 'answered', payload: { key, outcome: 'sound' } },
  ]);

beforeEach(async () => {
  await clearDevice();
  useLog.setState({ logs: new Map(), trouble: undefined });
});

it('keeps an entry in the database before it is on the screen', async () => {
  expect(await begin('walk')).toBe(true);
  const kept = await (await openDatabase()).getAll('events');
  expect(kept).toMatchObject([
    { inspectionId: 'walk', state: 'waiting', event: { type: 'begun' } },
  ]);
  expect(useLog.getState().logs.get('walk')).toHaveLength(1);
});

it('numbers entries in one row, whatever the walk, and knows its device', async () => {
  await begin('one');
  await begin('two');
  await Promise.all([sound('one', 'a'), sound('one', 'b'), sound('two', 'c')]);
  const events = (await (await openDatabase()).getAll('events')).map(toEvent);
  const order = events.map(({ sequence }) => sequence);
  expect(order.map((each) => each - order[0])).toEqual([0, 1, 2, 3, 4]);
  expect(new Set(events.map(({ deviceId }) => deviceId)).size).toBe(1);
  expect(new Set(events.map(({ id }) => id)).size).toBe(5);
});

it('finds the walk again after the tab was killed', async () => {
  await begin('walk');
  await sound('walk', 'a');
  useLog.setState({ logs: new Map() });
  await useLog.getState().load('walk');
  expect(
    useLog
      .getState()
      .logs.get('walk')
      ?.map(({ type }) => type)
      .sort(),
  ).toEqual(['answered', 'begun']);
});

/** As the browser tells it: nothing of the batch is kept. */
const failToAdd = (error: Error) =>
  jest.spyOn(IDBObjectStore.prototype, 'add').mockImplementation(function (this: IDBObjectStore) {
    this.transaction.abort();
    throw error;
  });

it('says when the device is full, and does not move on', async () => {
  const failing = failToAdd(Object.assign(new Error('full'), { name: 'QuotaExceededError' }));
  expect(await begin('walk')).toBe(false);
  expect(useLog.getState().trouble).toBe('disk-full');
  expect(useLog.getState().logs.get('walk')).toBeUndefined();
  failing.mockRestore();
  expect(await begin('walk')).toBe(true);
  expect(useLog.getState().trouble).toBeUndefined();
});

it('says when it could not keep an entry for another reason', async () => {
  const failing = failToAdd(new Error('broken'));
  expect(await begin('walk')).toBe(false);
  expect(useLog.getState().trouble).toBe('not-kept');
  failing.mockRestore();
});

it('tells listeners after keeping, and no longer after they left', async () => {
  const heard = jest.fn();
  const leave = onEntryKept(heard);
  await begin('walk');
  expect(heard).toHaveBeenCalledTimes(1);
  leave();
  await sound('walk', 'a');
  expect(heard).toHaveBeenCalledTimes(1);
});

it('offers unfinished walks of this person only, and not those that were signed', async () => {
  await begin('mine');
  await begin('theirs', '01900000-0000-7000-8000-0000000000d9');
  await begin('signed');
  await appendEntries([
    {
      inspectionId: 'signed',
      actorId: actor,
      type: 'signed',
      payload: { signature: { name: 'A', strokes: [[0, 0, 1, 1]] }, headline: 'rolls' },
    },
  ]);
  expect(await listUnfinished(actor)).toEqual(['mine']);
});

describe('letting go', () => {
  const signedAt = Date.UTC(2026, 10, 1);
  const later = signedAt + 15 * 86_400_000;
  const keep = async (
    inspectionId: string,
    states: readonly ('sent' | 'waiting' | 'refused')[],
  ) => {
    for (const [index, state] of states.entries())
      await (
        await openDatabase()
      ).add('events', {
        id: `${inspectionId} ${index}`,
        inspectionId,
        actorId: actor,
        state,
        event: {
          id: `${inspectionId} ${index}`,
          inspectionId,
          deviceId: 'd',
          actorId: actor,
          at: signedAt,
          version: 1,
          type: index === states.length - 1 ? 'signed' : 'answered',
          payload: {},
        },
      } as unknown as KeptEvent);
  };
  const left = async () => [
    ...new Set((await (await openDatabase()).getAll('events')).map((each) => each.inspectionId)),
  ];

  it('drops what the server has had whole for two weeks', async () => {
    await keep('old', ['sent', 'sent']);
    await pruneSent(later);
    expect(await left()).toEqual([]);
  });

  it('keeps what is younger, waits, or was refused', async () => {
    await keep('waits', ['waiting', 'sent']);
    await keep('refused', ['refused', 'sent']);
    await pruneSent(later);
    expect(await left()).toEqual(['waits', 'refused']);
    await pruneSent(signedAt + 86_400_000);
    await keep('young', ['sent', 'sent']);
    await pruneSent(signedAt + 86_400_000);
    expect(await left()).toContain('young');
  });

  it('keeps a walk whose picture has not gone yet', async () => {
    await keep('pictured', ['sent', 'sent']);
    await (
      await openDatabase()
    ).add('photos', {
      id: 'p',
      inspectionId: 'pictured',
      actorId: actor,
      blob: new Blob(['x']),
      state: 'waiting',
    });
    await pruneSent(later);
    expect(await left()).toEqual(['pictured']);
  });

  it('keeps a walk that was never signed', async () => {
    await begin('open');
    await pruneSent(Date.now() + 90 * 86_400_000);
    expect(await left()).toEqual(['open']);
  });
});

it('keeps refused entries with their sentence', async () => {
  await begin('walk');
  const [kept] = await (await openDatabase()).getAll('events');
  const { id } = kept;
  await (
    await openDatabase()
  ).put('events', {
    ...kept,
    state: 'refused',
    refusal: { code: 'unit-not-yours', detail: 'The unit does not belong to your depot.' },
  });
  expect(await listRefused()).toMatchObject([
    { id, type: 'begun', detail: 'The unit does not belong to your depot.' },
  ]);
  expect(await listUnfinished(actor)).toEqual([]);
});
