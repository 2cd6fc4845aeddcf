import type { OpenSession } from '@nazar/core/wire';
import { callApi, callJson } from './api';
import { useServerRead, type ServerRead } from './server-reads';

export function useSessions(): ServerRead<readonly OpenSession[]> {
  return useServerRead(
    ['sessions'],
    async () => (await callJson<{ sessions: OpenSession[] }>('/sessions')).sessions,
  );
}

/** @throws ApiProblem */
export async function endSession(id: string): Promise<void> {
  await callApi(`/sessions/${id}`, { method: 'DELETE' });
}
