import { VEHICLE_CHANGES } from '../../vehicle';
import type { ChangedPayload } from '../payloads';
import type { EventKind } from './kind';

/** Something was done to the vehicle between two checks. */
export const changed: EventKind<ChangedPayload> = {
  schema: (f) =>
    f
      .object({
        change: f.word(VEHICLE_CHANGES).required(),
        unitId: f.uuid().optional(),
        found: f.said(),
      })
      .noUnknown(),
  who: ['driver'],
  when: 'walking',
  serverChecks: [],
  effect: (draft, payload, stamp) => {
    draft.course.changes.push({ ...payload, ...stamp });
  },
};
