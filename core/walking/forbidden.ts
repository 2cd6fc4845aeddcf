import type { System } from '../catalogue';
import type { Assessment, InstanceAssessment } from '../inspection';
import { rolls } from '../planning';
import type { CheckInstance } from '../rig';

/** A check that is not made because of what was found. */
export interface Forbidden {
  readonly instance: CheckInstance;
  readonly because: InstanceAssessment;
}

/** Nothing is rolled on brakes, steering, wheels or couplings that may let go. */
const ROLLING: ReadonlySet<System> = new Set(['brakes', 'steering', 'wheels', 'coupling']);
/** No pump works into a line that leaks, and nothing is lifted on parts that may break. */
const WORKING: ReadonlySet<System> = new Set([
  'hydraulics',
  'power-take-off',
  'boom',
  'outriggers',
  'lift',
]);
/** No engine is run again. */
const RUNNING: ReadonlySet<System> = new Set(['fuel', 'engine']);

/**
 * Checks that must not be made any more since a fault that stops was found on this walk: with an air leak nobody tries the
 * brakes by rolling, with a burst hose nobody plays the cycle of the plow. They are left out with the reason.
 */
export function findForbidden(assessment: Assessment): ReadonlyMap<string, Forbidden> {
  const forbidden = new Map<string, Forbidden>();
  const stops = [...assessment.byKey.values()].filter(
    ({ state, answer }) => state === 'major' && answer?.outcome !== 'not-looked',
  );
  if (stops.length === 0) return forbidden;
  for (const instance of assessment.missing) {
    const because = stops.find((fault) => forbids(fault, instance));
    if (because) forbidden.set(instance.key, { instance, because });
  }
  return forbidden;
}

function forbids(fault: InstanceAssessment, { check, unit }: CheckInstance): boolean {
  const system = systemOf(fault);
  if (!system || fault.instance.check.id === check.id) return false;
  if (ROLLING.has(system) && rolls(check)) return true;
  if (fault.instance.unit.id !== unit.id) return false;
  const works = check.needs.includes('power-take-off') || check.needs.includes('oil-warm');
  if (WORKING.has(system) && works) return true;
  return RUNNING.has(system) && check.needs.includes('engine-idling');
}

function systemOf({ instance, answer, judgement }: InstanceAssessment): System | undefined {
  const id =
    answer?.outcome === 'fault'
      ? answer.fault.symptomId
      : judgement && 'symptom' in judgement
        ? judgement.symptom
        : undefined;
  return instance.check.symptoms.find((each) => each.id === id)?.system;
}
