import type { Inspection } from '@nazar/core/inspection';
import { standOf, type Standing as StandingOfWalk } from '@nazar/core/standing';
import type { OpenedInspection } from '../store/open-inspection';
import type { DepotUnit } from '../store/units';
import { rigOf } from './rig-of';

/** What one inspection is about, worked out from its log. */
export interface Standing extends StandingOfWalk {
  readonly units: readonly DepotUnit[];
}

/**
 * How a walk stands, by what was read with it; see {@link standOf}.
 * @throws {RangeError} before it is begun, when its units make no rig, or when it was begun by content that was never here
 */
export function stand(
  inspection: Inspection,
  { units, defects, rules }: Pick<OpenedInspection, 'units' | 'defects' | 'rules'>,
): Standing {
  if (!inspection.begun) throw new RangeError('Nothing stands before the inspection is begun.');
  const { catalogue } = rules;
  if (!catalogue)
    throw new RangeError(`There is no catalogue ${inspection.begun.catalogueVersion}.`);
  const reference = { units, defects, ...rules, catalogue };
  return { units, ...standOf(inspection, reference, rigOf(inspection.begun, reference)) };
}
