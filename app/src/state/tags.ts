import type { StopTag } from '@nazar/core/wire';
import { callApi, callJson } from './api';
import { useServerRead, type ServerRead } from './server-reads';

/** The tags of a unit, made where there were none. */
export function useTags(unitId: string): ServerRead<readonly StopTag[]> {
  return useServerRead(
    ['tags', unitId],
    async () => (await callJson<{ tags: StopTag[] }>(`/units/${unitId}/tags`)).tags,
  );
}

/** Must it be read on every walk; or a new code. @throws ApiProblem */
export async function changeTag(
  unitId: string,
  zoneId: string,
  change: { readonly required?: boolean; readonly renew?: boolean },
): Promise<void> {
  await callApi(`/units/${unitId}/tags/${zoneId}`, { method: 'PUT', json: change });
}
