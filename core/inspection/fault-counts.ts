import type { Check, Combination } from '../catalogue';
import type { CountsAt, KnownDefect, Together } from '../grading';
import type { CheckInstance, Rig } from '../rig';
import { faultsOf, isMended, type Answer } from './answers';
import type { Inspection } from './inspection';

/** What stands at a check: found by this walk, or open since an earlier one. */
interface Standing {
  readonly unitId: string;
  readonly checkId: string;
  readonly symptomId: string | undefined;
}

/** How often a symptom stands on one unit, and which faults are worse together. */
export interface FaultCounts {
  /** How many of each symptom stand at this check on the unit. */
  readonly counts: (unitId: string, checkId: string) => ReadonlyMap<string, number>;
  /** How many places the check has on the unit. */
  readonly places: (unitId: string, checkId: string) => number;
  /** Combinations that are complete on the unit and that this fault is part of. */
  readonly together: (unitId: string, checkId: string, symptomId: string) => readonly Together[];
}

interface Places {
  readonly checkOfKey: ReadonlyMap<string, string>;
  /** By unit and check. */
  readonly numbers: ReadonlyMap<string, number>;
}

/** A rig does not change while it is walked round, and each touch asks again. */
const placesOfRig = new WeakMap<Rig, Places>();

function placesOf(rig: Rig): Places {
  const known = placesOfRig.get(rig);
  if (known) return known;
  const numbers = new Map<string, number>();
  for (const { unit, check } of rig.instances) {
    const group = groupOf(unit.id, check.id);
    numbers.set(group, (numbers.get(group) ?? 0) + 1);
  }
  const checkOfKey = new Map(rig.instances.map(({ key, check }) => [key, check.id]));
  const made = { checkOfKey, numbers };
  placesOfRig.set(rig, made);
  return made;
}

const groupOf = (unitId: string, checkId: string) => `${unitId}/${checkId}`;
const NONE: ReadonlyMap<string, number> = new Map();

/**
 * Counts what stands on each unit; what was put right on the spot does not count, and what nobody has looked at counts as all that it
 * could be: two lamps unseen weigh as two lamps out.
 * @param measuredOut the symptom that a reading stands for, by check instance key, where it is out of a limit
 */
export function countFaults(
  inspection: Inspection,
  rig: Rig,
  known: readonly KnownDefect[],
  measuredOut: ReadonlyMap<string, string> = new Map(),
): FaultCounts {
  const counts = new Map<string, Map<string, number>>();
  const { checkOfKey, numbers } = placesOf(rig);
  const standing: Standing[] = [];
  const count = (unitId: string, checkId: string, symptomIds: Iterable<string>) => {
    const group = groupOf(unitId, checkId);
    const of = counts.get(group) ?? new Map<string, number>();
    for (const id of symptomIds) of.set(id, (of.get(id) ?? 0) + 1);
    counts.set(group, of);
  };
  const stands = (unitId: string, checkId: string, symptomId: string | undefined) => {
    standing.push({ unitId, checkId, symptomId });
    if (symptomId !== undefined) count(unitId, checkId, [symptomId]);
  };
  for (const { key, unit, check } of rig.instances) {
    const answer = inspection.answers.get(key);
    if (answer?.outcome === 'not-looked') {
      standing.push({ unitId: unit.id, checkId: check.id, symptomId: undefined });
      count(
        unit.id,
        check.id,
        check.symptoms.map(({ id }) => id),
      );
      continue;
    }
    const measured = measuredOut.get(key);
    if (answer?.outcome !== 'fault' && measured === undefined) continue;
    for (const symptomId of symptomsAt(check, answer, measured))
      stands(unit.id, check.id, symptomId);
  }
  for (const defect of known) {
    const answer = inspection.answers.get(defect.key);
    const checkId = checkOfKey.get(defect.key);
    // Found again at the same place it is counted already.
    if (checkId === undefined || answer?.outcome === 'fault' || answer?.outcome === 'not-looked')
      continue;
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
    counts: (unitId, checkId) => counts.get(groupOf(unitId, checkId)) ?? NONE,
    places: (unitId, checkId) => numbers.get(groupOf(unitId, checkId)) ?? 1,
    together: (unitId, checkId, symptomId) =>
      (complete.get(unitId) ?? []).filter((combination) =>
        combination.parts.some((part) => isPart(part, { unitId, checkId, symptomId })),
      ),
  };
}

/** What stands at one check by what was said and measured there, each once. */
function symptomsAt(
  check: Check,
  answer: Answer | undefined,
  measured: string | undefined,
): ReadonlySet<string> {
  const said = faultsOf(answer)
    // A fix that does not fit the symptom has mended nothing.
    .filter((fault) => !isMended(check, fault))
    .map(({ symptomId }) => symptomId);
  return new Set([...said, ...(measured === undefined ? [] : [measured])]);
}

function isPart(part: Combination['parts'][number], { checkId, symptomId }: Standing): boolean {
  if (part.check !== checkId) return false;
  return !part.symptoms || symptomId === undefined || part.symptoms.includes(symptomId);
}

/** With what else each symptom of a check stands on its unit. */
export function countsAt({ unit, check }: CheckInstance, counted: FaultCounts): CountsAt {
  const counts = counted.counts(unit.id, check.id);
  return {
    alike: ({ id }) => counts.get(id) ?? 1,
    places: counted.places(unit.id, check.id),
    together: ({ id }) => counted.together(unit.id, check.id, id),
  };
}
