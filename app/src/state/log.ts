import type { AnyEvent, EventType, Payloads } from '@nazar/core/inspection';
import { v7 as newId } from 'uuid';
import { create } from 'zustand';
import { database, isDiskFull, keepValue, readValue, type KeptEvent } from './database';
import { useReference } from './reference';

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
    const kept = await database.events.where({ inspectionId }).toArray();
    set(({ logs }) => ({
      logs: new Map(logs).set(
        inspectionId,
        kept.map(({ event }) => event),
      ),
    }));
  },
  dismissTrouble: () => set({ trouble: undefined }),
}));

const listeners = new Set<() => void>();

/** Called after each entry that was kept; sync listens. */
export function onEntryKept(listener: () => void): () => void {
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
 * @returns whether it was kept; when not, `trouble` says why and what was typed is still there.
 */
export async function appendEntries<T extends EventType>(
  entries: readonly NewEntry<T>[],
): Promise<boolean> {
  try {
    const kept = await database.transaction('rw', database.events, database.values, async () => {
      const deviceId = await ownDeviceId();
      let sequence = (await readValue<number>('sequence')) ?? 0;
      const made = entries.map((entry): KeptEvent => {
        sequence += 1;
        const event: AnyEvent = {
          ...entry,
          id: newId(),
          deviceId,
          at: Math.round(Date.now() + useReference.getState().offset),
          sequence,
          version: 1,
        };
        return {
          id: event.id,
          inspectionId: entry.inspectionId,
          actorId: entry.actorId,
          event,
          state: 'waiting',
        };
      });
      await keepValue('sequence', sequence);
      await database.events.bulkAdd(made);
      return made;
    });
    useLog.setState(({ logs }) => {
      const next = new Map(logs);
      for (const { inspectionId, event } of kept)
        next.set(inspectionId, [...(next.get(inspectionId) ?? []), event]);
      return { logs: next, trouble: undefined };
    });
    for (const listener of listeners) listener();
    return true;
  } catch (error) {
    useLog.setState({ trouble: isDiskFull(error) ? 'disk-full' : 'not-kept' });
    return false;
  }
}

async function ownDeviceId(): Promise<string> {
  const known = await readValue<string>('device');
  if (known) return known;
  const made = newId();
  await keepValue('device', made);
  return made;
}

/** A walk of this person that was begun here and not signed yet. */
export async function listUnfinished(actorId: string): Promise<string[]> {
  const open = new Map<string, boolean>();
  await database.events.each(({ inspectionId, event, state }) => {
    if (state === 'refused') return;
    if (event.type === 'begun' && event.actorId === actorId && !open.has(inspectionId))
      open.set(inspectionId, true);
    if (event.type === 'signed') open.set(inspectionId, false);
  });
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
  const events = await database.events.where('state').equals('refused').toArray();
  const photos = await database.photos.where('state').equals('refused').toArray();
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
