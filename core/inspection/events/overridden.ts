import type { OverriddenPayload } from '../payloads';
import type { EventKind } from './kind';

/** A supervisor takes the condition of a minor finding off; the first word counts. */
export const overridden: EventKind<OverriddenPayload> = {
  schema: (f) =>
    f.object({ about: f.key(), words: f.reason(), signature: f.signature() }).noUnknown(),
  who: ['supervisor'],
  when: 'signed',
  unless: ({ overrides }, { payload }) =>
    overrides.has(payload.about) ? 'already-overridden' : undefined,
  serverChecks: ['finding-may-be-overridden'],
  effect: (draft, payload, stamp) => {
    if (!draft.overrides.has(payload.about))
      draft.overrides.set(payload.about, { ...payload, ...stamp });
  },
  addition: true,
};
