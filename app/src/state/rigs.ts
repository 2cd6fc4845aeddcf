import { callApi, callJson } from './api';

/** Keeps a usual rig of the depot; the same units in the same order are kept once. */
export async function keepRig(title: string, unitIds: readonly string[]): Promise<string> {
  const { id } = await callJson<{ id: string }>('/rigs', {
    method: 'POST',
    json: { title, unitIds },
  });
  return id;
}

export async function takeRigApart(id: string): Promise<void> {
  await callApi(`/rigs/${id}`, { method: 'DELETE' });
}
