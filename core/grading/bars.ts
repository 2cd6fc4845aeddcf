import type { Check } from '../catalogue';
import type { CheckInstance } from '../rig';
import { movementsFor, requirementOf, wantsRunning } from '../vehicle';

/** How a check stands, as far as it bars movements or may be barred. */
export interface Looked {
  readonly instance: CheckInstance;
  readonly state: 'unanswered' | 'sound' | 'note' | 'minor' | 'major' | 'not-looked' | 'again';
  /** A fault that does not stop was named without the number that the check asks for: it is still asked. */
  readonly asksReading?: true;
}

/** Movements that belong to the rig as a whole: what fails on one unit bars them for all. */
const OF_RIG: ReadonlySet<string> = new Set(['rolling', 'engine']);

/** What must not move once a check has found a fault that stops: what it is part of, and what failed to move as it should. */
const heldByFault = ({ partOf = [], moves }: Check): ReadonlySet<string> =>
  new Set([...partOf, ...(moves && moves.by !== 'hand' ? [moves.part] : [])]);

/** What must not move while nobody could see its part. An engine that was not looked over may be run; it lifts nobody. */
const heldUnseen = ({ partOf = [] }: Check): ReadonlySet<string> =>
  new Set(partOf.filter((part) => part !== 'engine'));

/**
 * Whether a fault that stops, found at one check, bars another from being made: with a pin half out nobody raises what it holds, with
 * an air leak nobody tries the brakes by rolling. Which movement a part carries, moves or guards is said by content (`partOf`), not by
 * the system that it is filed under.
 */
export function barsMovement(fault: CheckInstance, other: CheckInstance): boolean {
  return bars(heldByFault(fault.check), fault, other);
}

function bars(
  parts: ReadonlySet<string>,
  from: CheckInstance,
  { check, unit, key }: CheckInstance,
): boolean {
  if (from.key === key || parts.size === 0) return false;
  const { ofRig, ofUnit } = movementsIn(check);
  return (
    ofRig.some((part) => parts.has(part)) ||
    (from.unit.id === unit.id && ofUnit.some((part) => parts.has(part)))
  );
}

interface MovementsIn {
  /** The rig as a whole rolls or its engine runs. */
  readonly ofRig: readonly string[];
  /** What moves on its own unit. */
  readonly ofUnit: readonly string[];
}

/** Asked again with every touch, of every check. */
const known = new WeakMap<Check, MovementsIn>();

/** The movements that a check makes or needs: with one of them barred it is not made. */
function movementsIn(check: Check): MovementsIn {
  const kept = known.get(check);
  if (kept) return kept;
  const requirement = requirementOf(check);
  const { moves } = check;
  const own = moves && moves.by !== 'hand' && !OF_RIG.has(moves.part) ? [moves.part] : [];
  const made = {
    ofRig: [
      // No engine is run again that must not run.
      ...(wantsRunning(requirement) || requirement.starts ? ['engine'] : []),
      ...(requirement.rolls ? ['rolling'] : []),
    ],
    // Nor is anything raised or opened to be looked at.
    ofUnit: [...movementsFor(requirement), ...own],
  };
  known.set(check, made);
  return made;
}

/** What bars movements, found by the movement: the first of each in the order in which they were given. */
function indexOf<T extends Looked>(
  from: readonly T[],
  partsOf: (check: Check) => ReadonlySet<string>,
): (instance: CheckInstance) => T | undefined {
  const places = new Map<string, number[]>();
  from.forEach(({ instance }, index) => {
    for (const part of partsOf(instance.check))
      for (const name of [part, `${instance.unit.id}/${part}`]) {
        const before = places.get(name) ?? [];
        // Nothing bars itself; two are kept of each, so that the other is found.
        if (before.length < 2) places.set(name, [...before, index]);
      }
  });
  return ({ check, unit, key }) => {
    const { ofRig, ofUnit } = movementsIn(check);
    const names = [...ofRig, ...ofUnit.map((part) => `${unit.id}/${part}`)];
    const first = names
      .flatMap((name) => places.get(name) ?? [])
      .filter((index) => from[index].instance.key !== key)
      .reduce((a, b) => Math.min(a, b), Infinity);
    return from[first];
  };
}

/**
 * Why each check that has no answer, or that was left out, must not be made: a fault that stops, or a part that carries, moves or
 * guards and could not be looked at. Not looked is not sound: nobody raises what hangs on a pin that nobody has seen.
 * @param couldStop whether the worst that a check could have shown would stop it
 */
export function findBarred<T extends Looked>(
  states: readonly T[],
  couldStop: (instance: CheckInstance) => boolean,
): ReadonlyMap<string, T> {
  // What only lacks its number is not known to be broken; it is still asked.
  const faults = states.filter(({ state, asksReading }) => state === 'major' && !asksReading);
  const barred = new Map<string, T>();
  const open = states.filter(({ state }) => ['unanswered', 'again', 'not-looked'].includes(state));
  const faultBarring = indexOf(faults, heldByFault);
  for (const { instance } of open) {
    const because = faultBarring(instance);
    if (because) barred.set(instance.key, because);
  }
  const unseen = states.filter(
    ({ instance, state }) =>
      // What was left out because of a fault has its reason already.
      state === 'not-looked' && !barred.has(instance.key) && couldStop(instance),
  );
  const unseenBarring = indexOf(unseen, heldUnseen);
  for (const { instance } of open) {
    if (barred.has(instance.key)) continue;
    const because = unseenBarring(instance);
    if (because) barred.set(instance.key, because);
  }
  return barred;
}
