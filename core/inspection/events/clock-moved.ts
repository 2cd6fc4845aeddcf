import type { ClockMovedPayload } from '../payloads';
import type { EventKind } from './kind';

/** The clock of the phone was changed while it was looked at. */
export const clockMoved: EventKind<ClockMovedPayload> = {
  schema: (f) => f.object({ seconds: f.finite().min(-1e7).max(1e7).required() }).noUnknown(),
  who: ['driver'],
  when: 'walking',
  serverChecks: [],
  effect: (draft, payload, stamp) => {
    draft.course.clockMoves.push({ ...payload, ...stamp });
  },
};
