import { AS_SHIPPED } from '@nazar/core/house';
import type { Policy } from '@nazar/core/grading';
import { assess, policiesOfWalk, type Assessment, type Inspection } from '@nazar/core/inspection';
import type { Rig } from '@nazar/core/rig';
import type { Bearing, Rules } from '../store/open-inspection';
import type { DepotUnit } from '../store/units';
import { rigOf } from './rig-of';

/** What one inspection is about, worked out from its log. */
export interface Standing {
  readonly inspection: Inspection;
  readonly units: readonly DepotUnit[];
  readonly rig: Rig;
  readonly policiesOf: (unitId: string) => readonly Policy[];
  readonly assessment: Assessment;
}

/** Rig and assessment as they follow from the log, from what is open on the units and from the depot's rules. */
export function stand(
  inspection: Inspection,
  units: readonly DepotUnit[],
  bearing: Bearing,
  rules: Rules,
): Standing {
  const { begun } = inspection;
  if (!begun) throw new RangeError('Nothing stands before the inspection is begun.');
  const { phase, circumstances } = begun;
  const rig = rigOf(units, phase, circumstances, rules.content ?? AS_SHIPPED);
  const policiesOf = policiesOfWalk(begun, rig, rules.choice, rules.own);
  const assessment = assess({ inspection, rig, policiesOf, ...bearing });
  return { inspection, units, rig, policiesOf, assessment };
}
