import type { JoinedPayload } from '../payloads';
import type { EventKind } from './kind';

/** Somebody helps: whoever enters it by their own phone, or a person whom the driver names. */
export const joined: EventKind<JoinedPayload> = {
  schema: (f) =>
    f
      .object({ name: f.plainText(80).min(2).required(), phone: f.boolean().required() })
      .noUnknown(),
  who: ['anyone'],
  when: 'walking',
  unless: ({ begun, course }, { actorId, payload }) => {
    if (course.helper) return 'helper-there';
    return payload.phone === (actorId === begun?.actorId) ? 'other-walk' : undefined;
  },
  serverChecks: [],
  effect: ({ course }, payload, stamp) => {
    // The first to come stays; a second one is refused by the server.
    if (course.helper) return;
    course.helper = { ...payload, ...stamp };
    course.helpers.push(course.helper);
  },
};
