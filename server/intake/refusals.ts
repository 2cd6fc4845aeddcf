import {
  kindOf,
  permitEvent,
  permitPerson,
  type InspectionEvent,
  type ServerCheck,
} from '@nazar/core/inspection';
import { isFoundAgainSigned } from '../store/defect-steps';
import { CHECKS } from './checks';
import type { Answer, Held } from './held';

/**
 * Whether this person may add this event to this log; undefined when they may. What is asked stands with the type of the event in
 * core/inspection/events; how the server answers it, in `checks`.
 */
export function findRefusal(held: Held, event: InspectionEvent): Answer | Promise<Answer> {
  const { person, inspection } = held;
  if (event.actorId !== person.id) return { code: 'other-person' };
  const refusal = permitEvent(inspection, event);
  if (refusal === 'not-sealed' && 'defectId' in event.payload) {
    const { defectId } = event.payload;
    // A defect that a signed walk has found again is no matter of the unsigned one any more.
    if (defectId !== undefined)
      return isFoundAgainSigned(held.trx, defectId).then((found) =>
        found ? findRefusalBeyond(held, event) : { code: refusal },
      );
  }
  if (refusal) return { code: refusal };
  return findRefusalBeyond(held, event);
}

/** What the log itself permits, held against people, units and the database. */
function findRefusalBeyond(held: Held, event: InspectionEvent): Answer | Promise<Answer> {
  const { person, units, inspection } = held;
  if (units.some((unit) => unit.depotId !== person.depotId)) return { code: 'unit-not-yours' };
  const refusal = permitPerson(inspection, event.type, person);
  if (refusal) return { code: refusal };
  return oneAfterTheOther(kindOf(event.type).serverChecks, held, event);
}

function oneAfterTheOther(
  checks: readonly ServerCheck[],
  held: Held,
  event: InspectionEvent,
): Answer | Promise<Answer> {
  for (const [index, check] of checks.entries()) {
    const answer = CHECKS[check](held, event as never);
    if (answer instanceof Promise)
      return answer.then(
        (found) => found ?? oneAfterTheOther(checks.slice(index + 1), held, event),
      );
    if (answer) return answer;
  }
  return undefined;
}
