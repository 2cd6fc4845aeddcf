import type { PartedPayload } from '../payloads';
import type { EventKind } from './kind';

/** The helper left, or was sent away. One who has left meanwhile makes it mean nothing, and no fault. */
export const parted: EventKind<PartedPayload> = {
  schema: (f) => f.object({}).noUnknown(),
  who: ['driver', 'helper'],
  when: 'walking',
  serverChecks: [],
  effect: ({ course }, _, { at }) => {
    if (!course.helper) return;
    delete course.helper;
    delete course.asked;
    course.helpers = course.helpers.map((each) =>
      each.to === undefined ? { ...each, to: at } : each,
    );
  },
};
