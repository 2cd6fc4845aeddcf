import type { DroppedPayload } from '../payloads';
import type { EventKind } from './kind';

/** A unit stays behind: what is not answered on it is not asked any more; the first word counts. */
export const dropped: EventKind<DroppedPayload> = {
  schema: (f) => f.object({ unitId: f.uuid().required(), reason: f.reason() }).noUnknown(),
  who: ['driver'],
  when: 'walking',
  serverChecks: ['unit-may-stay-behind'],
  effect: (draft, payload, stamp) => {
    if (!draft.course.dropped.has(payload.unitId))
      draft.course.dropped.set(payload.unitId, { ...payload, ...stamp });
  },
};
