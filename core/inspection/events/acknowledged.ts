import type { AcknowledgedPayload } from '../payloads';
import type { EventKind } from './kind';

/** The driver of the next walk has read what was mended. */
export const acknowledged: EventKind<AcknowledgedPayload> = {
  schema: (f) => f.object({ defectId: f.uuid().required() }).noUnknown(),
  who: ['driver'],
  when: 'begun',
  serverChecks: ['defect-on-rig', 'repair-to-read'],
  effect: (draft, { defectId }, stamp) => {
    if (!draft.acknowledged.has(defectId)) draft.acknowledged.set(defectId, stamp);
  },
};
