import type { AnyEvent } from '@nazar/core/inspection';
import { callJson } from './api';
import { useLog } from './log';

/**
 * Brings the log of a walk that was made on another device, so that it can be looked at and added to here.
 * Entries that are only on this device stay. @throws ApiProblem
 */
export async function loadRemoteLog(inspectionId: string): Promise<void> {
  const { events } = await callJson<{ events: AnyEvent[] }>(`/inspections/${inspectionId}/events`);
  await useLog.getState().load(inspectionId);
  useLog.setState(({ logs }) => {
    const here = logs.get(inspectionId) ?? [];
    const known = new Set(events.map(({ id }) => id));
    const merged = [...events, ...here.filter(({ id }) => !known.has(id))];
    return { logs: new Map(logs).set(inspectionId, merged) };
  });
}
