import type { ReleasedPayload } from '../payloads';
import type { EventKind } from './kind';

/** An officer lets roll what may roll though some of its equipment is out of service. */
export const released: EventKind<ReleasedPayload> = {
  schema: (f) => f.object({ words: f.reason(), signature: f.signature() }).noUnknown(),
  who: ['supervisor'],
  when: 'signed',
  serverChecks: [],
  effect: (draft, payload, stamp) => {
    draft.released ??= { ...payload, ...stamp };
  },
  addition: true,
};
