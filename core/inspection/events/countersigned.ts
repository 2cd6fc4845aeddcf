import { noMatterOfTheWorkshop } from './workshop';
import type { CountersignedPayload } from '../payloads';
import type { EventKind } from './kind';

/** The carrier’s agent signs beside the mechanic. */
export const countersigned: EventKind<CountersignedPayload> = {
  schema: (f) => f.object({ defectId: f.uuid().required(), signature: f.signature() }).noUnknown(),
  who: ['supervisor'],
  when: 'begun',
  unless: noMatterOfTheWorkshop,
  serverChecks: ['defect-on-rig', 'second-signature-is-wanted'],
  effect: (draft, payload, stamp) => {
    draft.countersignatures.push({ ...payload, ...stamp });
  },
  addition: true,
};
