import type { Policy } from '../policy';
import { affectsSafetyPolicy } from './affects-safety';
import { fireServicePolicy } from './fire-service';
import { nilDefectPolicy } from './nil-defect';
import { readinessPolicy } from './readiness';
import { scheduleOnlyPolicy, twoStepPolicy } from './two-step';

export {
  affectsSafetyPolicy,
  fireServicePolicy,
  nilDefectPolicy,
  readinessPolicy,
  scheduleOnlyPolicy,
  twoStepPolicy,
};

/** The policies that ship. A depot may bring its own beside them. */
export const policies: readonly Policy[] = [
  twoStepPolicy,
  affectsSafetyPolicy,
  nilDefectPolicy,
  readinessPolicy,
  fireServicePolicy,
  scheduleOnlyPolicy,
];

/**
 * @param own policies that the organisation brought itself
 * @throws {RangeError} for a policy that is not known here.
 */
export function policyById(id: string, own: readonly Policy[] = []): Policy {
  const found = [...own, ...policies].find((each) => each.id === id);
  if (!found) throw new RangeError(`No grading policy ${id}.`);
  return found;
}
