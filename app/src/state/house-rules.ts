import type { Policy, PolicyChoice } from '@nazar/core/grading';
import { callApi, callJson } from './api';
import { useServerRead, type ServerRead } from './server-reads';

export interface Hold {
  readonly id: string;
  readonly unitId: string;
  readonly words: string;
  readonly at: string;
  readonly by: string;
}

export interface HouseRules {
  readonly choice: PolicyChoice;
  readonly policies: readonly Policy[];
  readonly own: readonly Policy[];
  readonly changes: readonly {
    readonly at: string;
    readonly what: 'policies' | 'policy-brought' | 'policy-taken-away' | 'content';
    readonly after: unknown;
    readonly by: string;
  }[];
  readonly retention: {
    readonly due: number;
    readonly soon: number;
    readonly kept: number;
    readonly removed: number;
    readonly next: string | null;
  };
  readonly holds: readonly Hold[];
}

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
