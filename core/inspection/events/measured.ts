import { UNITS } from '../../quantity';
import type { MeasuredPayload } from '../payloads';
import type { EventKind } from './kind';
import { say } from './say';

/** A reading at a check. */
export const measured: EventKind<MeasuredPayload> = {
  schema: (f) =>
    f
      .object({
        key: f.key(),
        value: f.finite().required(),
        unit: f.word(Object.keys(UNITS)).required(),
        typed: f.plainText(24).required(),
        instrument: f.word(['eye', 'gauge', 'sensor', 'simulated-sensor']).required(),
      })
      .noUnknown(),
  who: ['driver', 'helper'],
  when: 'walking',
  serverChecks: ['check-on-rig', 'helper-may-answer'],
  effect: (draft, payload, stamp, speaker) => {
    say(draft, speaker, payload.key, (said) => {
      said.measured(payload, stamp, speaker);
    });
  },
};
