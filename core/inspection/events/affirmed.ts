import { AFFIRMATIONS } from '../../vehicle';
import type { AffirmedPayload } from '../payloads';
import type { EventKind } from './kind';

/** The driver vouches for something that no clock can tell. */
export const affirmed: EventKind<AffirmedPayload> = {
  schema: (f) => f.object({ what: f.word(AFFIRMATIONS).required(), zone: f.zone() }).noUnknown(),
  who: ['driver'],
  when: 'walking',
  serverChecks: [],
  effect: (draft, payload, stamp) => {
    draft.course.affirmed.push({ ...payload, ...stamp });
  },
};
