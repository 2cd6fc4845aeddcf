import { catalogue } from '@nazar/core/catalogue';
import { composeRig, findModuleOfUnit, type Rig, type Unit } from '@nazar/core/rig';

export type Joined = { readonly rig: Rig } | { readonly reason: string };

/** The rig of these units in this order, or why there is none. */
export function join(units: readonly Unit[]): Joined {
  try {
    return { rig: composeRig({ units, phase: 'pre-trip', circumstances: [], catalogue }) };
  } catch (error) {
    if (error instanceof RangeError) return { reason: error.message };
    throw error;
  }
}

export type Group = 'drives' | 'towed' | 'mounted';

export interface Candidate {
  readonly unit: Unit;
  readonly group: Group;
  /** Why it cannot be added now. */
  readonly reason?: string;
}

/** Every unit of the yard that is not chosen yet, and whether it can be added behind what is chosen. */
export function listCandidates(
  units: readonly Unit[],
  chosen: readonly Unit[],
  outWith: (unitId: string) => string | undefined,
): Candidate[] {
  return units
    .filter(({ id }) => !chosen.some((unit) => unit.id === id))
    .flatMap((unit): Candidate[] => {
      const module = findModuleOfUnit(unit, catalogue);
      if (!module) return [];
      const group = module.build === 'attachment' ? 'mounted' : module.powered ? 'drives' : 'towed';
      const joined = join([...chosen, unit]);
      const reason = outWith(unit.id) ?? ('reason' in joined ? joined.reason : undefined);
      return [{ unit, group, ...(reason !== undefined && { reason }) }];
    });
}
