import { helperCode, type AnyEvent } from '@nazar/core/inspection';
import { useRef } from 'react';
import { callJson } from '../api';
import { openDatabase } from '../database';
import { useLog } from '../log';
import { useServerRead, type ServerRead } from '../server-reads';
import { syncNow } from '../sync';

/**
 * Brings the log of a walk that was made on another device, so that it can be looked at and added to here. Entries that are only on
 * this device stay.
 */
export function useRemoteLog(inspectionId: string): ServerRead<true> {
  return useServerRead(['remote-log', inspectionId], async () => {
    const { events } = await callJson<{ events: AnyEvent[] }>(
      `/inspections/${inspectionId}/events`,
    );
    await useLog.getState().load(inspectionId);
    useLog.setState(({ logs }) => ({
      logs: new Map(logs).set(inspectionId, merge(events, logs.get(inspectionId) ?? [])),
    }));
    return true as const;
  });
}

function merge(remote: readonly AnyEvent[], here: readonly AnyEvent[]): readonly AnyEvent[] {
  const known = new Set(remote.map(({ id }) => id));
  return [...remote, ...here.filter(({ id }) => !known.has(id))];
}

/** Keeps what other devices added to a walk, so that it is here without a network too. */
async function hear(inspectionId: string, events: readonly AnyEvent[]): Promise<void> {
  const here = useLog.getState().logs.get(inspectionId) ?? [];
  const known = new Set(here.map(({ id }) => id));
  const fresh = events.filter(({ id }) => !known.has(id));
  if (fresh.length === 0) return;
  const database = await openDatabase();
  const kept = await database.getAllFromIndex('events', 'inspectionId', inspectionId);
  const own = new Set(kept.map(({ id }) => id));
  const writing = database.transaction('heard', 'readwrite');
  await Promise.all([
    ...fresh
      .filter(({ id }) => !own.has(id))
      .map((event) => writing.store.put({ id: event.id, inspectionId, event })),
    writing.done,
  ]);
  await useLog.getState().load(inspectionId);
}

const EVERY = 2_000;

export type Hearing = 'fresh' | 'stale' | 'gone';

/**
 * While two phones are on one walk, each listens for what the other adds: every two seconds while it is looked at.
 * @returns `stale` without a network, `gone` once this person has no part in the walk any more
 */
export function useHearing(inspectionId: string, on: boolean): Hearing {
  // Of the last answer: only what came in behind it is asked for.
  const heardUpTo = useRef(0);
  const { trouble } = useServerRead(
    ['hearing', inspectionId],
    async () => {
      const path = `/inspections/${inspectionId}/events?after=${heardUpTo.current}`;
      const { events, cursor } = await callJson<{ events: AnyEvent[]; cursor: number }>(path);
      await hear(inspectionId, events);
      heardUpTo.current = cursor;
      return cursor;
    },
    { enabled: on, refetchInterval: EVERY },
  );
  if (!trouble) return 'fresh';
  return trouble !== 'offline' && trouble.status === 404 ? 'gone' : 'stale';
}

/**
 * Finds the walk of a code that a driver read out, and keeps its log here. @throws ApiProblem
 * @returns its id, and whether this person helps on it already
 */
export async function findWalkToHelp(
  code: string,
): Promise<{ readonly inspectionId: string; readonly driver: string; readonly back: boolean }> {
  const { events, ...found } = await callJson<{
    inspectionId: string;
    driver: string;
    back: boolean;
    events: AnyEvent[];
  }>('/helping', { method: 'POST', json: { code } });
  await useLog.getState().load(found.inspectionId);
  await hear(found.inspectionId, events);
  return found;
}

/** The code of a walk, once the server has the walk. */
export async function codeOfWalk(inspectionId: string): Promise<string | undefined> {
  await syncNow();
  const database = await openDatabase();
  const kept = await database.getAllFromIndex('events', 'inspectionId', inspectionId);
  const begun = kept.find(({ event }) => event.type === 'begun');
  return begun?.state === 'sent' ? helperCode(inspectionId) : undefined;
}
