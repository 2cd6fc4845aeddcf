import { SOMETHING_ELSE, type Check, type Symptom } from '../catalogue';
import { somethingElse } from '../grading';
import type { FaultedPayload } from './payloads';

/** The symptom of a fault: one of the check's own, or what was told in words; undefined where nobody knows what it means. */
export function symptomOf({ symptoms }: Check, fault: FaultedPayload): Symptom | undefined {
  if (fault.symptomId === SOMETHING_ELSE)
    return somethingElse(symptoms, fault.note ?? '', fault.other ?? {});
  return symptoms.find(({ id }) => id === fault.symptomId);
}

/** What was found, in words. */
export function wordsOf(check: Check, fault: FaultedPayload): string {
  if (fault.symptomId === SOMETHING_ELSE) return fault.note ?? '';
  return symptomOf(check, fault)?.words ?? fault.symptomId;
}
