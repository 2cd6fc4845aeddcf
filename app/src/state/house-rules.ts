import type { HouseRules } from '@nazar/core/wire';
import type { PolicyChoice } from '@nazar/core/grading';
import { callApi, callJson } from './api';
import { useServerRead, type ServerRead } from './server-reads';

export function useHouseRules(): ServerRead<HouseRules> {
  return useServerRead(['rules'], () => callJson<HouseRules>('/rules'));
}

export async function choosePolicies(choice: PolicyChoice): Promise<void> {
  await callApi('/rules/policies', { method: 'PUT', json: choice });
}

/** @throws ApiProblem whose detail has one fault a line. */
export async function bringPolicy(policy: unknown): Promise<void> {
  await callApi('/rules/policies', { method: 'POST', json: policy });
}

/** @throws ApiProblem when a depot grades by it. */
export async function takePolicyAway(id: string): Promise<void> {
  await callApi(`/rules/policies/${id}`, { method: 'DELETE' });
}

export async function hold(unitId: string, words: string): Promise<void> {
  await callApi('/holds', { method: 'POST', json: { unitId, words } });
}

export async function liftHold(id: string): Promise<void> {
  await callApi(`/holds/${id}`, { method: 'DELETE' });
}

/** A new secret address of the depot's calendar; the former one stops working. */
export async function renewCalendar(): Promise<string> {
  const { path } = await callJson<{ path: string }>('/calendar', { method: 'POST', json: {} });
  return new URL(path, window.location.href).href;
}
