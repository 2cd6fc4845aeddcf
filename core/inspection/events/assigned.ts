import { noMatterOfTheWorkshop } from './workshop';
import type { AssignedPayload } from '../payloads';
import type { EventKind } from './kind';

/** A defect goes to a mechanic, or back to everybody. */
export const assigned: EventKind<AssignedPayload> = {
  schema: (f) =>
    f
      .object({
        defectId: f.uuid().required(),
        to: f.uuid().nullable().defined(),
        revision: f.number().integer().min(0),
      })
      .noUnknown(),
  who: ['mechanic', 'supervisor'],
  when: 'begun',
  unless: noMatterOfTheWorkshop,
  serverChecks: ['defect-on-rig', 'defect-is-open', 'mechanic-of-the-depot'],
  effect: (draft, payload, stamp) => {
    draft.assignments.push({ ...payload, ...stamp });
  },
};
