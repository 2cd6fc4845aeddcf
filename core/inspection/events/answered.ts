import type { AnsweredPayload } from '../payloads';
import type { EventKind } from './kind';
import { say } from './say';

/** A check is sound, cannot be looked at, or what was said of it is taken back. */
export const answered: EventKind<AnsweredPayload> = {
  schema: (f) =>
    f
      .object({
        key: f.key(),
        outcome: f.word(['sound', 'not-looked', 'cleared']).required(),
        reason: f.plainText(300).when('outcome', {
          is: 'not-looked',
          then: (text) => text.required('say why it could not be looked at').min(3),
        }),
        together: f.said(),
      })
      .noUnknown(),
  who: ['driver', 'helper'],
  when: 'walking',
  serverChecks: ['check-on-rig', 'helper-may-answer'],
  effect: (draft, payload, stamp, speaker) => {
    say(draft, speaker, payload.key, (said) => {
      said.answered(payload, stamp, speaker);
    });
  },
};
