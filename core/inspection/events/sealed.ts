import type { SealedPayload } from '../payloads';
import type { EventKind } from './kind';

/** The server has sealed the report. */
export const sealed: EventKind<SealedPayload> = {
  schema: (f) =>
    f.object({ reportId: f.uuid().required(), hash: f.plainText(100).required() }).noUnknown(),
  who: ['server'],
  when: 'signed',
  serverChecks: [],
  effect: (draft, payload, stamp) => {
    draft.sealed ??= { ...payload, ...stamp };
  },
};
