import type { LookedAgainPayload } from '../payloads';
import type { EventKind } from './kind';

/** What had to be done before leaving is done, and looked at again. */
export const lookedAgain: EventKind<LookedAgainPayload> = {
  schema: (f) => f.object({ about: f.key(), words: f.plainText(300) }).noUnknown(),
  who: ['driver'],
  when: 'signed',
  unless: ({ signedOut }) => (signedOut ? 'already-signed-out' : undefined),
  serverChecks: ['asked-before-leaving'],
  effect: (draft, payload, stamp) => {
    draft.lookedAgain.set(payload.about, { ...payload, ...stamp });
  },
  addition: true,
};
