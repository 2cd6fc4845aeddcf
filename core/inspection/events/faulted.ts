import type { FaultedPayload } from '../payloads';
import { faultSchema } from './fault-schema';
import type { EventKind } from './kind';
import { say } from './say';

/** A fault at a check, found on the walk. */
export const faulted: EventKind<FaultedPayload> = {
  schema: faultSchema,
  who: ['driver', 'helper'],
  when: 'walking',
  serverChecks: ['check-on-rig', 'defect-on-rig', 'helper-may-answer'],
  effect: (draft, payload, stamp, speaker) => {
    say(draft, speaker, payload.key, (said) => {
      said.faulted(payload, stamp, speaker);
    });
  },
};
