import type { Phase } from '@nazar/core/catalogue';
import { callApi, callJson } from './api';
import { useServerRead, type ServerRead } from './server-reads';
import type { Tag } from './reference';

/** A tag with the title of its stop. */
export interface StopTag extends Tag {
  readonly title: string;
  /** The catalogue itself wants it read, in these phases. */
  readonly phases: readonly Phase[];
}

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
