import type { InspectionEvent } from '@nazar/core/inspection';
import { mayHelperAnswer } from '@nazar/core/planning';
import type { Held, Refused } from './refusals';

/** What only the driver of a walk enters. */
const DRIVERS = new Set<InspectionEvent['type']>([
  'changed',
  'affirmed',
  'turned',
  'dropped',
  'asked',
  'clock-moved',
]);

/** What a helper may enter where the check allows it. */
const ANSWERS = new Set<InspectionEvent['type']>(['answered', 'measured', 'faulted', 'counted']);

/** Whether this person may enter this on a walk that is under way; undefined when they may. */
export function refuseOnCourse(
  held: Pick<Held, 'person' | 'inspection' | 'units' | 'standing'>,
  event: InspectionEvent,
): Refused | undefined {
  const { person, inspection } = held;
  const own = inspection.begun?.actorId === person.id;
  const { helper } = inspection.course;
  const helps = helper?.phone === true && helper.actorId === person.id;
  if (DRIVERS.has(event.type) && !own) return { code: 'other-walk' };
  if (event.type === 'joined')
    return event.payload.phone === own ? { code: 'other-walk' } : undefined;
  if ((event.type === 'parted' || event.type === 'present') && !own && !helps)
    return { code: 'other-walk' };
  if (event.type === 'dropped') return refuseDropped(held, event.payload.unitId);
  if (!ANSWERS.has(event.type) || own || !('key' in event.payload)) return undefined;
  if (!helps) return { code: 'other-walk' };
  const { key } = event.payload;
  const instance = held.standing().rig.instances.find((each) => each.key === key);
  return instance && mayHelperAnswer(instance) ? undefined : { code: 'not-for-helpers' };
}

function refuseDropped(
  { standing, units }: Pick<Held, 'standing' | 'units'>,
  unitId: string,
): Refused | undefined {
  if (!units.some(({ id }) => id === unitId)) return { code: 'check-of-other-unit' };
  return standing().rig.units[0].unit.id === unitId ? { code: 'unit-drives' } : undefined;
}
