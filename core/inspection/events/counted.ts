import type { CountedPayload } from '../payloads';
import type { EventKind } from './kind';

/** What was found of the list that belongs to a check; the last count counts. */
export const counted: EventKind<CountedPayload> = {
  schema: (f) =>
    f
      .object({
        key: f.key(),
        items: f
          .array(
            f
              .object({
                id: f.plainText(80).required(),
                found: f.number().integer().min(0).max(999).required(),
                until: f.day(),
              })
              .noUnknown(),
          )
          .max(60)
          .required(),
      })
      .noUnknown(),
  who: ['driver', 'helper'],
  when: 'walking',
  serverChecks: ['check-on-rig', 'helper-may-answer'],
  effect: (draft, payload, stamp) => {
    draft.counts.set(payload.key, { ...payload, ...stamp });
  },
};
