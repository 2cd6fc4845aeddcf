import type { Phase } from '@nazar/core/catalogue';
import { callApi, callJson } from './api';
import type { Tag } from './reference';

/** A tag with the title of its stop. */
export interface StopTag extends Tag {
  readonly title: string;
  /** The catalogue itself wants it read, in these phases. */
  readonly phases: readonly Phase[];
}

/** The tags of a unit, made where there were none. @throws ApiProblem */
export async function loadTags(unitId: string): Promise<readonly StopTag[]> {
  return (await callJson<{ tags: StopTag[] }>(`/units/${unitId}/tags`)).tags;
}

/** Must it be read on every walk; or a new code. @throws ApiProblem */
export async function changeTag(
  unitId: string,
  zoneId: string,
  change: { readonly required?: boolean; readonly renew?: boolean },
): Promise<void> {
  await callApi(`/units/${unitId}/tags/${zoneId}`, { method: 'PUT', json: change });
}
