import { callApi, callJson } from './api';
import { useServerRead, type ServerRead } from './server-reads';

/** Where the person is signed in. */
export interface OpenSession {
  readonly id: string;
  /** A word for the kind of device; empty where it did not tell. */
  readonly device: string;
  readonly openedAt: string;
  /** This very device. */
  readonly here: boolean;
}

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
