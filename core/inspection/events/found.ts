import { faultSchema } from './fault-schema';
import type { FoundPayload } from '../payloads';
import type { EventKind } from './kind';

/** A fault that showed on the road, between sign-out and return. */
export const found: EventKind<FoundPayload> = {
  schema: faultSchema,
  who: ['driver'],
  when: 'out',
  serverChecks: ['check-on-rig', 'defect-on-rig'],
  effect: (draft, payload, stamp) => {
    draft.found.push({ ...payload, ...stamp });
  },
  addition: true,
};
