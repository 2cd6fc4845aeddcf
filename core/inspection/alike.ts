import type { Combination } from '../catalogue';
import type { Together } from '../grading';
import type { Rig } from '../rig';
import type { KnownDefect } from './assess';
import type { Inspection } from './fold';

/** What stands at a check: found by this walk, or open since an earlier one. */
interface Standing {
  readonly unitId: string;
  readonly checkId: string;
  readonly symptomId: string | undefined;
}

/** How often a symptom stands on one unit, and which faults are worse together. */
export interface Company {
  /** How many of this symptom stand on the unit; at least 1. */
  readonly alike: (unitId: string, checkId: string, symptomId: string) => number;
  /** How many places the check has on the unit. */
  readonly places: (unitId: string, checkId: string) => number;
  /** Combinations that are complete on the unit and that this fault is part of. */
  readonly together: (unitId: string, checkId: string, symptomId: string) => readonly Together[];
}

/** Counts what stands on each unit; what was put right on the spot does not count. */
export function countCompany(
  inspection: Inspection,
  rig: Rig,
  known: readonly KnownDefect[],
): Company {
  const counts = new Map<string, number>();
  const places = new Map<string, number>();
  const standing: Standing[] = [];
  const add = (name: string, map: Map<string, number>) => map.set(name, (map.get(name) ?? 0) + 1);
  const stands = (unitId: string, checkId: string, symptomId: string | undefined) => {
    standing.push({ unitId, checkId, symptomId });
    if (symptomId !== undefined) add(`${unitId}/${checkId}/${symptomId}`, counts);
  };
  const checkOfKey = new Map<string, string>();
  for (const { key, unit, check } of rig.instances) {
    add(`${unit.id}/${check.id}`, places);
    checkOfKey.set(key, check.id);
    const answer = inspection.answers.get(key);
    if (answer?.outcome !== 'fault' || answer.fault.fixed !== undefined) continue;
    stands(unit.id, check.id, answer.fault.symptomId);
  }
  for (const defect of known) {
    const answer = inspection.answers.get(defect.key);
    const checkId = checkOfKey.get(defect.key);
    // Found again at the same place it is counted already.
    if (checkId === undefined || answer?.outcome === 'fault') continue;
    stands(defect.unitId, checkId, defect.symptomId);
  }
  const complete = new Map<string, Combination[]>();
  for (const { unit, module } of rig.units)
    complete.set(
      unit.id,
      module.combinations.filter((combination) =>
        combination.parts.every((part) =>
          standing.some((each) => each.unitId === unit.id && isPart(part, each)),
        ),
      ),
    );
  return {
    alike: (unitId, checkId, symptomId) => counts.get(`${unitId}/${checkId}/${symptomId}`) ?? 1,
    places: (unitId, checkId) => places.get(`${unitId}/${checkId}`) ?? 1,
    together: (unitId, checkId, symptomId) =>
      (complete.get(unitId) ?? []).filter((combination) =>
        combination.parts.some((part) => isPart(part, { unitId, checkId, symptomId })),
      ),
  };
}

function isPart(part: Combination['parts'][number], { checkId, symptomId }: Standing): boolean {
  if (part.check !== checkId) return false;
  return !part.symptoms || symptomId === undefined || part.symptoms.includes(symptomId);
}
