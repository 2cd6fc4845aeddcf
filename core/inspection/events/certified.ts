import { noMatterOfTheWorkshop } from './workshop';
import type { CertifiedPayload } from '../payloads';
import type { EventKind } from './kind';

/** A mechanic certifies what became of a defect. */
export const certified: EventKind<CertifiedPayload> = {
  schema: (f) =>
    f
      .object({
        defectId: f.uuid().required(),
        outcome: f.word(['repaired', 'no-repair-needed', 'deferred']).required(),
        words: f
          .plainText(1000)
          .min(3, 'say what was done or why')
          .required('say what was done or why'),
        until: f.day().when('outcome', {
          is: 'deferred',
          then: (date) => date.required('a deferral needs a date'),
        }),
        revision: f.number().integer().min(0),
        signature: f.signature(),
      })
      .noUnknown(),
  who: ['mechanic'],
  when: 'begun',
  unless: noMatterOfTheWorkshop,
  serverChecks: ['defect-on-rig', 'certificate-is-allowed'],
  effect: (draft, payload, stamp) => {
    draft.certifications.push({ ...payload, ...stamp });
  },
  addition: true,
};
