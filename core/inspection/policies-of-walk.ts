import { chosenPolicyId, policiesFor, type Policy, type PolicyChoice } from '../grading';
import type { Rig } from '../rig';
import type { BegunPayload } from './payloads';

/**
 * The policies that each unit of a walk is graded under: the walk's own, and the depot's as it stands
 * now. Where the two differ the stricter grade counts.
 * @param choice of the depot; undefined where it is not known
 * @param own policies that the organisation brought itself
 */
export function policiesOfWalk(
  begun: Pick<BegunPayload, 'policyId' | 'policies'>,
  rig: Rig,
  choice: PolicyChoice | undefined,
  own: readonly Policy[] = [],
): (unitId: string) => readonly Policy[] {
  const byUnit = new Map(
    rig.units.map(({ unit, module }) => {
      const ids = [begun.policies?.[unit.id] ?? begun.policyId];
      if (choice) ids.push(chosenPolicyId(choice, module.vehicleClass));
      return [unit.id, policiesFor(ids, own)];
    }),
  );
  // A unit that is not of the rig is graded by the strictest of all.
  return (unitId) => byUnit.get(unitId) ?? policiesFor([], own);
}
