import { noMatterOfTheWorkshop } from './workshop';
import type { WorkedPayload } from '../payloads';
import type { EventKind } from './kind';

/** What was done on a defect, with time and parts. */
export const worked: EventKind<WorkedPayload> = {
  schema: (f) =>
    f
      .object({
        defectId: f.uuid().required(),
        words: f.plainText(1000).min(2, 'say what was done').required('say what was done'),
        minutes: f.number().integer().min(1).max(10_000),
        parts: f
          .array(
            f
              .object({
                words: f.plainText(120).min(2).required(),
                count: f.number().integer().min(1).max(999).required(),
              })
              .noUnknown(),
          )
          .max(30)
          .required(),
        photos: f
          .array(f.photo().shape({ when: f.word(['before', 'after']).required() }))
          .max(8)
          .required(),
      })
      .noUnknown(),
  who: ['mechanic'],
  when: 'begun',
  unless: noMatterOfTheWorkshop,
  serverChecks: ['defect-on-rig', 'defect-is-open'],
  effect: (draft, payload, stamp) => {
    draft.work.push({ ...payload, ...stamp });
  },
  addition: true,
};
