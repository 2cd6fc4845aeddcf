import type { PresentPayload } from '../payloads';
import type { EventKind } from './kind';

/** A tag on the vehicle was read; the first reading counts. */
export const present: EventKind<PresentPayload> = {
  schema: (f) =>
    f
      .object({
        zone: f.zone(),
        code: f
          .string()
          .matches(/^[A-Z0-9]{6}$/, 'a code of a tag has six letters and digits')
          .required(),
        how: f.word(['camera', 'typed']).required(),
      })
      .noUnknown(),
  who: ['driver', 'helper'],
  when: 'walking',
  serverChecks: ['tag-of-that-stop'],
  effect: (draft, payload, stamp) => {
    if (!draft.course.present.has(payload.zone))
      draft.course.present.set(payload.zone, { ...payload, ...stamp });
  },
};
