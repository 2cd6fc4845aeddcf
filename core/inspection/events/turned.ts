import type { TurnedPayload } from '../payloads';
import type { EventKind } from './kind';

/** It began to rain, to freeze, or it got dark: from now on more is asked. */
export const turned: EventKind<TurnedPayload> = {
  schema: (f) => f.object({ circumstances: f.circumstances().min(1) }).noUnknown(),
  who: ['driver'],
  when: 'walking',
  serverChecks: [],
  effect: (draft, payload, stamp) => {
    draft.course.turned.push({ ...payload, ...stamp });
  },
};
