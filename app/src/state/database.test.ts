import { openDatabase } from './database';

const asked = <T>(request: IDBRequest<T>) =>
  new Promise<T>((done, failed) => {
    request.onsuccess = () => done(request.result);
    request.onerror = () => failed(new Error('not opened'));
  });

/** As the first phones in the yard have it. */
async function makeFirst(): Promise<void> {
  const opening = indexedDB.open('nazar', 10);
  opening.onupgradeneeded = () => {
    const { result } = opening;
    const events = result.createObjectStore('events', { keyPath: 'sequence', autoIncrement: true });
    events.createIndex('id', 'id', { unique: true });
    events.createIndex('inspectionId', 'inspectionId');
    events.createIndex('[actorId+state]', ['actorId', 'state']);
    events.createIndex('state', 'state');
    for (const name of ['photos', 'drafts']) {
      const store = result.createObjectStore(name, { keyPath: 'id' });
      store.createIndex('inspectionId', 'inspectionId');
      store.createIndex('[actorId+state]', ['actorId', 'state']);
      store.createIndex('state', 'state');
    }
    result.createObjectStore('values', { keyPath: 'name' });
  };
  const first = await asked(opening);
  const entry = { id: 'e', inspectionId: 'walk', actorId: 'imre', state: 'waiting', event: {} };
  await asked(first.transaction('events', 'readwrite').objectStore('events').add(entry));
  first.close();
}

it('finds what a phone kept before the app was updated, and goes on with its sequence', async () => {
  await makeFirst();
  const database = await openDatabase();
  expect(await database.getAllFromIndex('events', '[actorId+state]', ['imre', 'waiting'])).toEqual([
    expect.objectContaining({ id: 'e', sequence: 1 }),
  ]);
  const sequence = await database.add('events', {
    id: 'f',
    inspectionId: 'walk',
    actorId: 'imre',
    state: 'waiting',
  } as never);
  expect(sequence).toBe(2);
  expect(await database.getAll('heard')).toEqual([]);
});

it('does not stand in the way of a newer version of the app, and opens again after it', async () => {
  const before = await openDatabase();
  const opening = indexedDB.open('nazar', 30);
  const newer = await asked(opening);
  expect(newer.version).toBe(30);
  newer.close();
  await expect(openDatabase()).rejects.toThrow();
  expect(before).toBeDefined();
});
