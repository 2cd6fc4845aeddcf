import type { Catalogue } from '@nazar/core/catalogue';
import type { UnitHabit } from '@nazar/core/quantity';
import {
  composeRig,
  findMisfits,
  findModuleOfUnit,
  type Misfit,
  type Rig,
  type Unit,
} from '@nazar/core/rig';
import { Refusal, say } from '@nazar/core/words';

/** A rig with what the cards of its units say against it, or why there is none. */
export type Joined =
  { readonly rig: Rig; readonly misfits: readonly Misfit[] } | { readonly reason: string };

/** The rig of these units in this order, or why there is none. */
export function join(units: readonly Unit[], habit: UnitHabit, catalogue: Catalogue): Joined {
  try {
    const rig = composeRig({ units, phase: 'pre-trip', circumstances: [], catalogue });
    return { rig, misfits: findMisfits(rig) };
  } catch (error) {
    if (error instanceof Refusal) return { reason: say(error.says, habit) };
    throw error;
  }
}

/** What stands against the rig that did not before. */
const firstNew = (misfits: readonly Misfit[], known: readonly string[], habit: UnitHabit) =>
  misfits.map(({ says }) => say(says, habit)).find((words) => !known.includes(words));

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
  habit: UnitHabit,
  catalogue: Catalogue,
  outWith: (unitId: string) => string | undefined,
): Candidate[] {
  const before = chosen.length > 0 ? join(chosen, habit, catalogue) : undefined;
  const known =
    before && 'misfits' in before ? before.misfits.map(({ says }) => say(says, habit)) : [];
  return units
    .filter(({ id }) => !chosen.some((unit) => unit.id === id))
    .flatMap((unit): Candidate[] => {
      const module = findModuleOfUnit(unit, catalogue);
      if (!module) return [];
      const group = module.build === 'attachment' ? 'mounted' : module.powered ? 'drives' : 'towed';
      const joined = join([...chosen, unit], habit, catalogue);
      // What stood against the rig before is not held against the unit that comes next.
      const reason =
        outWith(unit.id) ??
        ('reason' in joined ? joined.reason : firstNew(joined.misfits, known, habit));
      return [{ unit, group, ...(reason !== undefined && { reason }) }];
    });
}
