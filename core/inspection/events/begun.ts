import { PHASES } from '../../catalogue';
import type { BegunPayload } from '../payloads';
import type { EventKind } from './kind';

/** A walk begins: round what, why, by which content and policies. */
export const begun: EventKind<BegunPayload> = {
  schema: (f) =>
    f
      .object({
        unitIds: f.rigUnits(),
        phase: f.word(PHASES).required(),
        catalogueVersion: f.plainText(40).required(),
        houseVersion: f.number().integer().min(1),
        policyId: f.plainText(40).required(),
        policies: f.policiesOfUnits(),
        job: f
          .object({ needs: f.capabilities(), title: f.plainText(80) })
          .noUnknown()
          .default(undefined)
          .optional(),
        circumstances: f.circumstances(),
        tags: f.array(f.zone()).max(200),
        temperatureC: f.finite().min(-80).max(70),
        place: f.plainText(120),
      })
      .noUnknown(),
  who: ['anyone'],
  when: 'not-begun',
  serverChecks: ['units-make-a-rig'],
  effect: (draft, payload, stamp) => {
    draft.begun ??= { ...payload, ...stamp };
  },
};
