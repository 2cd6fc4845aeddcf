import type { AnnotatedPayload } from '../payloads';
import type { EventKind } from './kind';

/** A note, or a correction of what was said about one defect. */
export const annotated: EventKind<AnnotatedPayload> = {
  schema: (f) =>
    f.object({ words: f.plainText(2000).min(2).required(), defectId: f.uuid() }).noUnknown(),
  who: ['driver', 'helper', 'mechanic', 'supervisor'],
  when: 'begun',
  serverChecks: ['defect-on-rig'],
  effect: (draft, payload, stamp) => {
    draft.annotations.push({ ...payload, ...stamp });
  },
  addition: true,
};
