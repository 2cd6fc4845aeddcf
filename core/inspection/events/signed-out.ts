import type { SignedOutPayload } from '../payloads';
import type { EventKind } from './kind';

/** The rig leaves for a job or to the workshop. */
export const signedOut: EventKind<SignedOutPayload> = {
  schema: (f) =>
    f
      .object({
        purpose: f.word(['job', 'workshop']).required(),
        needs: f.capabilities(),
        title: f.plainText(80),
        conditions: f.array(f.plainText(300).required()).max(60).required(),
        stowed: f.said(),
      })
      .noUnknown(),
  who: ['driver'],
  when: 'signed',
  unless: ({ begun, signedOut }) => {
    // A weekly check or a look at a stop is no walk round before work.
    if (begun?.phase !== 'pre-trip') return 'not-a-pre-trip';
    return signedOut ? 'already-signed-out' : undefined;
  },
  serverChecks: ['rig-may-leave'],
  effect: (draft, payload, stamp) => {
    draft.signedOut ??= { ...payload, ...stamp };
  },
  addition: true,
};
