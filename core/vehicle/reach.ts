import { bitOf, type LaidTransition, type LaidWant, type Layout } from './layout';
import { dimension } from './dimensions';

/** What comes next on the way to a wanted state. */
export type Reach =
  | LaidTransition
  /** The engine runs, and there must be this much air first, psi. */
  | { readonly kind: 'air'; readonly atLeast: number };

const RUNNING = bitOf('engine', 'idling') | bitOf('engine', 'working');
const IDLING = bitOf('engine', 'idling');
/** Deeper than any chain of the table. */
const DEEPEST = 12;

/**
 * The first thing to be done so that the vehicle comes to stand as it is wanted: conditions before what they are conditions of, air
 * before the engine that makes it is shut down. Undefined when it stands so.
 * @param values one bit for each slot; 0 where it is not known
 * @param air psi in the tanks now
 */
export function nextReach(
  layout: Layout,
  values: ArrayLike<number>,
  want: LaidWant,
  air: number,
): Reach | undefined {
  const { pairs } = want;
  const lacksAir = want.air > air;
  for (let at = 0; at < pairs.length; at += 2) {
    const slot = pairs[at];
    if (lacksAir && want.engineOff && slot === layout.engine)
      return towardsAir(layout, values, want.air, air);
    if ((values[slot] & pairs[at + 1]) !== 0) continue;
    const transition = layout.stepTo(slot, values[slot], pairs[at + 1]);
    if (transition) return before(layout, values, transition, air, DEEPEST);
  }
  return lacksAir ? towardsAir(layout, values, want.air, air) : undefined;
}

function towardsAir(
  layout: Layout,
  values: ArrayLike<number>,
  atLeast: number,
  air: number,
): Reach | undefined {
  if ((values[layout.engine] & RUNNING) !== 0) return { kind: 'air', atLeast };
  const start = layout.stepTo(layout.engine, values[layout.engine], IDLING);
  return start && before(layout, values, start, air, DEEPEST);
}

function before(
  layout: Layout,
  values: ArrayLike<number>,
  transition: LaidTransition,
  air: number,
  left: number,
): Reach | undefined {
  const { before: conditions, slot, rule } = transition;
  // Nobody starts an engine to find that a boom lies in its rest: what is not known and should be at rest is looked at. But nobody
  // gets down to look before the brake is set.
  const settles = values[slot] === 0 && isRest(layout, transition);
  const brake = layout.slotOf('brake');
  if (left > 0) {
    for (let at = 0; at < conditions.length; at += 2) {
      if ((values[conditions[at]] & conditions[at + 1]) !== 0) continue;
      if (settles && conditions[at] !== brake) continue;
      const step = layout.stepTo(conditions[at], values[conditions[at]], conditions[at + 1]);
      if (step) return before(layout, values, step, air, left - 1);
    }
    if (!settles && layout.airBrakes && rule.airAtLeast !== undefined && rule.airAtLeast > air)
      return towardsAir(layout, values, rule.airAtLeast, air);
  }
  return transition;
}

function isRest(layout: Layout, { slot, to }: LaidTransition): boolean {
  const { dimension: id } = layout.slots[slot];
  const { values, parked, rolling } = dimension(id);
  const value = values[Math.log2(to)];
  // A blade is on the ground where it was parked and up where it was driven: neither can be taken for granted.
  return value === parked && (rolling === undefined || rolling === parked);
}
