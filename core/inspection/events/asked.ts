import type { AskedPayload } from '../payloads';
import type { EventKind } from './kind';

/** What is asked of the helper now; the last word counts. */
export const asked: EventKind<AskedPayload> = {
  schema: (f) => f.object({ keys: f.array(f.key()).max(100).required() }).noUnknown(),
  who: ['driver'],
  when: 'walking',
  serverChecks: [],
  effect: ({ course }, payload, stamp) => {
    course.asked = { ...payload, ...stamp };
  },
};
