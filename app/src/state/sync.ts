import type { EventAnswer } from '@nazar/core/wire';
import { create } from 'zustand';
import { ApiProblem, callApi, callJson, OFFLINE } from './api';
import { openDatabase, toEvent } from './database';
import { forgetFormerModules } from './catalogue';
import { onEntryKept, pruneSent } from './log';
import { useReference } from './reference';
import { useSession } from './session';

export type SyncTrouble = 'offline' | 'sign-in-needed' | 'server-away' | undefined;

interface SyncState {
  readonly waiting: number;
  /** Made by somebody else who must sign in here before they can be sent. */
  readonly ofOthers: number;
  readonly refused: number;
  /** How often entries have arrived at the server since the app opened; lists of the server are read again then. */
  readonly arrivals: number;
  readonly busy: boolean;
  readonly trouble: SyncTrouble;
}

export const useSync = create<SyncState>(() => ({
  waiting: 0,
  ofOthers: 0,
  refused: 0,
  arrivals: 0,
  busy: false,
  trouble: undefined,
}));

const BATCH = 500;
const FIRST_PAUSE = 2_000;
const LONGEST_PAUSE = 60_000;
/** Defects and repairs of other people are asked for again when they are older than this. */
const NEWS_AGE = 60_000;

/** By who made it and how far it has got. */
const OWN = '[actorId+state]';

/** Counts what is still on this device only. */
export async function countWaiting(): Promise<void> {
  const personId = useSession.getState().person?.id ?? '';
  const database = await openDatabase();
  const waiting = await database.countFromIndex('events', 'state', 'waiting');
  const own = await database.countFromIndex('events', OWN, [personId, 'waiting']);
  const pictures = await database.countFromIndex('photos', 'state', 'waiting');
  const refused = await database.countFromIndex('events', 'state', 'refused');
  useSync.setState({ waiting: own + pictures, ofOthers: waiting - own, refused });
}

let newsAt = 0;
let running: Promise<void> | undefined;
let following: Promise<void> | undefined;
let pause = FIRST_PAUSE;
let timer: ReturnType<typeof setTimeout> | undefined;

/**
 * Sends what waits; safe to call at any time. The promise ends after a run that began after the
 * call, so what was kept before it has been offered to the server by then.
 */
export function syncNow(): Promise<void> {
  if (running) {
    // Also after a run that broke off: a later call must never hang on an earlier failure.
    const ended = running.catch(() => undefined);
    following ??= ended.then(() => {
      following = undefined;
      return syncNow();
    });
    return following;
  }
  clearTimeout(timer);
  running = run().finally(() => {
    running = undefined;
  });
  return running;
}

async function run(): Promise<void> {
  const { person } = useSession.getState();
  await countWaiting();
  if (!person) return;
  useSync.setState({ busy: true });
  try {
    const held = await sendPhotos(person.id);
    const sent = await sendEvents(person.id);
    if (sent > 0 || useSync.getState().trouble || Date.now() - newsAt > NEWS_AGE) {
      await useReference.getState().refresh(person.id);
      newsAt = Date.now();
    }
    if (held) throw held;
    pause = FIRST_PAUSE;
    useSync.setState({ trouble: undefined });
    useSession.getState().setExpired(false);
  } catch (error) {
    if (!(error instanceof ApiProblem)) throw error;
    const trouble: SyncTrouble =
      error.code === OFFLINE ? 'offline' : error.status === 401 ? 'sign-in-needed' : 'server-away';
    useSync.setState({ trouble });
    if (trouble === 'sign-in-needed') useSession.getState().setExpired(true);
    else retryLater();
  } finally {
    await countWaiting();
    useSync.setState({ busy: false });
  }
}

/** Gives up the next try, and waits for the one that runs. */
export async function stopTrying(): Promise<void> {
  clearTimeout(timer);
  pause = FIRST_PAUSE;
  await (following ?? running);
  clearTimeout(timer);
}

function retryLater(): void {
  pause = Math.min(pause * 2, LONGEST_PAUSE);
  // Half of it by chance, so that a yard full of phones does not come back at one moment.
  timer = setTimeout(() => void syncNow(), pause * (0.5 + Math.random() / 2));
}

/**
 * Pictures go first, so that the report can name their digests when it is sealed. One that the
 * server cannot take just now holds up no entry: it is returned, and tried again later.
 */
async function sendPhotos(actorId: string): Promise<ApiProblem | undefined> {
  let held: ApiProblem | undefined;
  const database = await openDatabase();
  const photos = await database.getAllFromIndex('photos', OWN, [actorId, 'waiting']);
  for (const photo of photos) {
    try {
      await callApi(`/photos/${photo.id}?inspection=${photo.inspectionId}`, {
        method: 'PUT',
        body: photo.blob,
        type: 'image/jpeg',
      });
      await database.put('photos', { ...photo, state: 'sent' });
    } catch (error) {
      if (!(error instanceof ApiProblem) || error.status === 0 || error.status === 401) throw error;
      if (error.status === 409 || error.status === 413 || error.status === 422) {
        // This picture alone is refused; it stays on the device.
        const { code, detail } = error;
        await database.put('photos', { ...photo, state: 'refused', refusal: { code, detail } });
      } else held ??= error;
    }
  }
  return held;
}

async function sendEvents(actorId: string): Promise<number> {
  let sent = 0;
  for (;;) {
    const database = await openDatabase();
    const waiting = await database.getAllFromIndex('events', OWN, [actorId, 'waiting']);
    if (waiting.length === 0) return sent;
    const batch = waiting
      .map(toEvent)
      .sort((a, b) => a.sequence - b.sequence)
      .slice(0, BATCH);
    const { answers } = await callJson<{ answers: EventAnswer[] }>('/events', {
      method: 'POST',
      json: { events: batch },
    });
    const writing = database.transaction('events', 'readwrite');
    for (const [index, answer] of answers.entries()) {
      const kept = await writing.store.get(batch[index].sequence);
      if (!kept) continue;
      await writing.store.put(
        answer.status === 'refused'
          ? { ...kept, state: 'refused', refusal: { code: answer.code, detail: answer.detail } }
          : { ...kept, state: 'sent' },
      );
    }
    await writing.done;
    sent += batch.length;
    useSync.setState(({ arrivals }) => ({ arrivals: arrivals + 1 }));
    await countWaiting();
  }
}

/** Starts listening for entries, the network and the person coming back to the screen. */
export function startSync(): () => void {
  let soon: ReturnType<typeof setTimeout> | undefined;
  let tell: ReturnType<typeof setTimeout> | undefined;
  let added = 0;
  const later = (count: number) => {
    added += count;
    // The answer is painted first; the line about saving follows.
    tell ??= setTimeout(() => {
      tell = undefined;
      useSync.setState(({ waiting }) => ({ waiting: waiting + added }));
      added = 0;
    }, 120);
    // A few answers in a row travel together; the first of them sets the time.
    soon ??= setTimeout(() => {
      soon = undefined;
      void syncNow();
    }, 800);
  };
  const stopListening = onEntryKept(later);
  const now = () => {
    pause = FIRST_PAUSE;
    void syncNow();
  };
  const gone = () => useSync.setState({ trouble: 'offline' });
  const visible = () => document.visibilityState === 'visible' && now();
  window.addEventListener('online', now);
  window.addEventListener('offline', gone);
  document.addEventListener('visibilitychange', visible);
  now();
  void pruneSent(Date.now()).then(forgetFormerModules);
  const regularly = setInterval(() => document.visibilityState === 'visible' && now(), NEWS_AGE);
  return () => {
    clearInterval(regularly);
    stopListening();
    clearTimeout(soon);
    clearTimeout(tell);
    void stopTrying();
    window.removeEventListener('online', now);
    window.removeEventListener('offline', gone);
    document.removeEventListener('visibilitychange', visible);
  };
}
