import type { Desk, PlannedJob } from '@nazar/core/wire';
import { callApi, callJson } from './api';
import { useServerRead, type ServerRead } from './server-reads';

export function useDesk(): ServerRead<Desk> {
  return useServerRead(['desk'], () => callJson<Desk>('/desk'));
}

export async function planJob(job: Omit<PlannedJob, 'id'>): Promise<void> {
  await callApi('/jobs', { method: 'POST', json: job });
}

export async function cancelJob(id: string): Promise<void> {
  await callApi(`/jobs/${id}`, { method: 'DELETE' });
}

/** @throws ApiProblem */
export async function forgetSetAside(id: string): Promise<void> {
  await callApi(`/set-aside/${id}`, { method: 'DELETE' });
}
