import type { SignedPayload } from '../payloads';
import type { EventKind } from './kind';

/** The driver signs the walk; from now on nothing of it changes. */
export const signed: EventKind<SignedPayload> = {
  schema: (f) =>
    f
      .object({
        signature: f.signature(),
        headline: f.word(['rolls', 'limits', 'stays']).required(),
      })
      .noUnknown(),
  who: ['driver'],
  when: 'walking',
  serverChecks: ['walk-is-complete'],
  effect: (draft, payload, stamp) => {
    draft.signed ??= { ...payload, ...stamp };
  },
};
