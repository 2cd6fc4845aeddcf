import type { ReturnedPayload } from '../payloads';
import type { EventKind } from './kind';

/** The rig is back. */
export const returned: EventKind<ReturnedPayload> = {
  schema: (f) => f.object({ words: f.plainText(1000) }).noUnknown(),
  who: ['driver', 'mechanic', 'supervisor'],
  when: 'out',
  serverChecks: [],
  effect: (draft, payload, stamp) => {
    draft.returned ??= { ...payload, ...stamp };
  },
  addition: true,
};
