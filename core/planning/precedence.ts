import { USE_STEPS, type Check, type Phase } from '../catalogue';
import type { CheckInstance, Rig } from '../rig';

/** Needs that say how something lies when nobody works with it: whoever looks at it so, looks whether it is stowed. */
const STOWED: ReadonlySet<string> = new Set([
  'platform-stowed',
  'outriggers-in',
  'boom-cradled',
  'body-down',
  'machinery-still',
  'own-engine-off',
]);

/** What is tried by hand, or by a motor of its own, undoes nothing that was stowed. */
const STILL: ReadonlySet<string> = new Set(['hand', 'electric', 'other-machine']);

/** Whoever may still be aboard is looked for before anything else. */
export const comesFirst = ({ precedes }: Check) => precedes?.includes('everything') ?? false;
/** The warning lamps, and the cab that is made ready: before the first start. */
export const precedesStart = ({ precedes }: Check) => precedes?.includes('engine-start') ?? false;
/** Decides whether it can stop and be held. */
export const decidesStopping = ({ precedes }: Check) => precedes?.includes('rolling') ?? false;
export const looksStowed = ({ needs, moves }: Check) =>
  !moves && needs.some((need) => STOWED.has(need));
/** The parts that it is looked at before anything moves them, be it by hand: latches before the cab is tilted. */
export const stillParts = ({ precedes, partOf = [] }: Check): readonly string[] =>
  precedes?.includes('movement') ? partOf : [];
/** The movement of a cycle, which undoes what was stowed. */
export const cycles = ({ moves }: Check) =>
  moves && !STILL.has(moves.by) ? moves.part : undefined;
/** A machine that drives off by itself. */
export const travels = ({ moves }: Check) => moves?.part === 'travel';
export const rolls = ({ needs }: Check) => needs.includes('rolls');

const placeInUse = ({ use }: Check) => (use ? USE_STEPS.indexOf(use.step) : -1);

/**
 * Before a use: whether one check comes before the other of the same machine. Place and machine as they stand are looked at in any
 * order; what moves, sets up, carries or puts away has its place.
 */
export const isEarlierInUse = (one: Check, other: Check): boolean =>
  one.use !== undefined &&
  one.use.of === other.use?.of &&
  placeInUse(other) > USE_STEPS.indexOf('look') &&
  placeInUse(one) < placeInUse(other);

/** Why a check must wait for another one. */
export type WaitsBecause = 'aboard' | 'stopping' | 'stowed' | 'driven' | 'use';

/**
 * What must have been answered before a check may be made, wherever the driver goes meanwhile.
 * @param open whether a check has no answer yet
 * @param phase of the walk, where it is known
 */
export function findEarlier(
  instance: CheckInstance,
  { instances }: Pick<Rig, 'instances'>,
  open: (instance: CheckInstance) => boolean,
  phase: Phase | undefined,
): { readonly instance: CheckInstance; readonly because: WaitsBecause } | undefined {
  const { check, unit, key } = instance;
  const part = cycles(check);
  for (const other of instances) {
    if (other.key === key || !open(other)) continue;
    const because = whyEarlier(other, instance, part, phase);
    const own = other.unit.id === unit.id;
    if (because && (own || because === 'stopping' || because === 'aboard'))
      return { instance: other, because };
  }
  return undefined;
}

function whyEarlier(
  { check: other }: CheckInstance,
  { check }: CheckInstance,
  part: string | undefined,
  phase: Phase | undefined,
): WaitsBecause | undefined {
  if (comesFirst(other) && !comesFirst(check)) return 'aboard';
  if (rolls(check) && decidesStopping(other) && !rolls(other)) return 'stopping';
  if (part !== undefined && looksStowed(other) && other.partOf?.includes(part)) return 'stowed';
  if (check.moves && stillParts(other).includes(check.moves.part)) return 'stowed';
  if (travels(check) && !travels(other)) return 'driven';
  if (phase === 'before-use' && isEarlierInUse(other, check)) return 'use';
  return undefined;
}
