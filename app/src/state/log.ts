import type { AnyEvent, EventType, Payloads } from '@nazar/core/inspection';
import { v7 as newId } from 'uuid';
import { flushSync } from 'react-dom';
import { create } from 'zustand';
import { isDiskFull, openDatabase, toEvent, type KeptEvent } from './database';
import { timeNow } from './time-now';

interface LogState {
  /** Events by inspection, as far as they were loaded. */
  readonly logs: ReadonlyMap<string, readonly AnyEvent[]>;
  /** The last entry could not be kept; nothing on the screen moved on. */
  readonly trouble: 'disk-full' | 'not-kept' | undefined;
  readonly load: (inspectionId: string) => Promise<void>;
  readonly dismissTrouble: () => void;
}

export const useLog = create<LogState>((set) => ({
  logs: new Map(),
  trouble: undefined,
  load: async (inspectionId) => {
    const database = await openDatabase();
    const kept = await database.getAllFromIndex('events', 'inspectionId', inspectionId);
    const heard = await database.getAllFromIndex('heard', 'inspectionId', inspectionId);
    set(({ logs }) => ({
      logs: new Map(logs).set(inspectionId, [
        ...heard.map(({ event }) => event),
        ...kept.map(toEvent),
      ]),
    }));
  },
  dismissTrouble: () => set({ trouble: undefined }),
}));

/** Smaller steps back are the offset to the server that was measured anew. */
const JITTER = 5_000;
let lastAt = 0;

/** When an entry is made: never a moment before the one before it, unless the clock itself was set back. */
function nextMoment(): number {
  const now = Math.round(timeNow());
  lastAt = now < lastAt && lastAt - now < JITTER ? lastAt : now;
  return lastAt;
}

const DEVICE = 'device';
let deviceId: string | undefined;

/** This device; two tabs that ask for the first time at one moment agree. */
async function ownDeviceId(): Promise<string> {
  if (deviceId !== undefined) return deviceId;
  const writing = (await openDatabase()).transaction('values', 'readwrite');
  const known = (await writing.store.get(DEVICE))?.value as string | undefined;
  const own = known ?? newId();
  if (known === undefined) await writing.store.put({ name: DEVICE, value: own });
  await writing.done;
  deviceId = own;
  return own;
}

const listeners = new Set<(count: number) => void>();

/** Called with the number of entries that were just kept; sync listens. */
export function onEntryKept(listener: (count: number) => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

export interface NewEntry<T extends EventType> {
  readonly inspectionId: string;
  readonly actorId: string;
  readonly type: T;
  readonly payload: Payloads[T];
}

/**
 * Writes an entry to the device's database; only then is it part of the log and may a screen
 * move on.
 * @param onKept the step on the screen that follows, drawn together with the new state
 * @returns whether it was kept; when not, `trouble` says why and what was typed is still there.
 */
export async function appendEntries<T extends EventType>(
  entries: readonly NewEntry<T>[],
  onKept: () => void = () => undefined,
): Promise<boolean> {
  try {
    const deviceId = await ownDeviceId();
    const made = entries.map((entry) => {
      const at = nextMoment();
      const event = {
        ...entry,
        id: newId(),
        deviceId,
        at,
        version: 1 as const,
      };
      const { id, inspectionId, actorId } = event;
      return { id, inspectionId, actorId, event, state: 'waiting' as const };
    });
    const writing = (await openDatabase()).transaction('events', 'readwrite');
    // The database gives each its sequence.
    const adding = made.map(async (each) => writing.store.add(each as unknown as KeptEvent));
    const [sequences] = await Promise.all([Promise.all(adding), writing.done]);
    const kept = made.map((each, index) => ({ ...each, sequence: sequences[index] }));
    // The new state and the step that follows from it are one picture, not two.
    flushSync(() => {
      useLog.setState(({ logs }) => {
        const next = new Map(logs);
        for (const each of kept)
          next.set(each.inspectionId, [...(next.get(each.inspectionId) ?? []), toEvent(each)]);
        return { logs: next, trouble: undefined };
      });
      onKept();
    });
    for (const listener of listeners) listener(kept.length);
    return true;
  } catch (error) {
    useLog.setState({ trouble: isDiskFull(error) ? 'disk-full' : 'not-kept' });
    return false;
  }
}

/** A walk of this person that was begun here and not signed yet. */
export async function listUnfinished(actorId: string): Promise<string[]> {
  const open = new Map<string, boolean>();
  for (const { inspectionId, event, state } of await (await openDatabase()).getAll('events')) {
    if (state === 'refused') continue;
    if (event.type === 'begun' && event.actorId === actorId && !open.has(inspectionId))
      open.set(inspectionId, true);
    if (event.type === 'signed') open.set(inspectionId, false);
  }
  return [...open].filter(([, isOpen]) => isOpen).map(([id]) => id);
}

export interface RefusedEntry {
  readonly id: string;
  readonly type: string;
  readonly at: number;
  readonly detail: string;
}

/** Entries and pictures that the server refused, newest first. */
export async function listRefused(): Promise<RefusedEntry[]> {
  const database = await openDatabase();
  const events = await database.getAllFromIndex('events', 'state', 'refused');
  const photos = await database.getAllFromIndex('photos', 'state', 'refused');
  return [
    ...photos.map(({ id, refusal }) => ({
      id,
      type: 'photo',
      at: 0,
      detail: refusal?.detail ?? '',
    })),
    ...events.map(({ id, event, refusal }) => ({
      id,
      type: event.type,
      at: event.at,
      detail: refusal?.detail ?? '',
    })),
  ].sort((a, b) => b.at - a.at);
}

/** The sentence with which the server refused the newest entry of an inspection; undefined when it did not. */
export async function lastRefusal(inspectionId: string): Promise<string | undefined> {
  const last = await lastEntry(inspectionId);
  return last?.state === 'refused' ? last.refusal?.detail : undefined;
}

/** Whether the newest entry of an inspection is still on this device only. */
export async function isLastWaiting(inspectionId: string): Promise<boolean> {
  return (await lastEntry(inspectionId))?.state === 'waiting';
}

async function lastEntry(inspectionId: string) {
  const database = await openDatabase();
  const kept = await database.getAllFromIndex('events', 'inspectionId', inspectionId);
  return kept.sort((one, other) => one.sequence - other.sequence).at(-1);
}

const KEEP_DAYS = 14;

/**
 * Lets go of walks that the server has had for two weeks, whole and signed, with their pictures.
 * Anything that waits or was refused stays.
 * @param now milliseconds since 1970
 */
export async function pruneSent(now: number): Promise<void> {
  const before = now - KEEP_DAYS * 86_400_000;
  const stores = ['events', 'photos', 'heard'] as const;
  const writing = (await openDatabase()).transaction(stores, 'readwrite');
  const kept = await writing.objectStore('events').getAll();
  const done = new Set(
    kept
      .filter(({ event }) => event.type === 'signed' && event.at < before)
      .map(({ inspectionId }) => inspectionId),
  );
  for (const { inspectionId, state } of [
    ...kept,
    ...(await writing.objectStore('photos').getAll()),
  ])
    if (state !== 'sent') done.delete(inspectionId);
  for (const inspectionId of done)
    for (const name of stores) {
      const store = writing.objectStore(name);
      for (const key of await store.index('inspectionId').getAllKeys(inspectionId))
        await store.delete(key as never);
    }
  await writing.done;
}
