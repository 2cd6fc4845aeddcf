import { Refusal } from '../words';
import { bothOf, dimension, type DimensionId, type States } from './dimensions';
import { meaningOf, type Clock } from './needs';
import type { VehicleChange } from './transitions';

/** What of a check bears on the state of the vehicle. */
export interface Asking {
  readonly id: string;
  readonly needs: readonly string[];
  readonly does?: readonly VehicleChange[];
  readonly air?: { readonly atLeast?: number; readonly leaves?: number };
  readonly guide?: string;
}

/** What a check wants of the vehicle, and what it leaves behind. */
export interface Requirement {
  readonly states: States;
  /** Least pressure when it begins, psi; undefined where it is no matter. */
  readonly air?: number;
  /** What is left in the tanks after it, psi. */
  readonly leavesAir?: number;
  readonly clocks: readonly Exclude<Clock, 'air' | 'clean'>[];
  /** The vehicle rolls in it, or pulls against a brake. */
  readonly rolls: boolean;
  readonly does: readonly VehicleChange[];
  /** The guided start of the engine. */
  readonly starts: boolean;
  /** Hands or head are in reach of what could start, move or roll. */
  readonly reaches: boolean;
}

const known = new WeakMap<Asking, Requirement>();

/**
 * @throws {RangeError} naming the check and the two needs that contradict each other
 */
export function requirementOf(check: Asking): Requirement {
  let requirement = known.get(check);
  if (!requirement) {
    requirement = readRequirement(check);
    known.set(check, requirement);
  }
  return requirement;
}

function readRequirement({ id, needs, does = [], air, guide }: Asking): Requirement {
  let states: States = {};
  let least = air?.atLeast;
  const clocks: Exclude<Clock, 'air' | 'clean'>[] = [];
  const saidBy = new Map<DimensionId, string>();
  for (const need of needs) {
    const meaning = meaningOf(need);
    if (!meaning) continue;
    if (meaning.air !== undefined && air?.atLeast === undefined)
      least = Math.max(least ?? 0, meaning.air);
    if (meaning.clock) clocks.push(meaning.clock);
    const both = bothOf(states, meaning.states ?? {});
    if ('torn' in both)
      throw new Refusal({
        code: 'needs-contradict',
        check: id,
        one: saidBy.get(both.torn) ?? '',
        other: need,
      });
    for (const dimension of Object.keys(meaning.states ?? {}) as DimensionId[])
      if (!saidBy.has(dimension)) saidBy.set(dimension, need);
    states = both.states;
  }
  // Nothing rolls on a brake that is not named; everything else is done with the brake set.
  if (!states.brake) states = { ...states, brake: ['set'] };
  return {
    states,
    ...(least !== undefined && { air: least }),
    ...(air?.leaves !== undefined && { leavesAir: air.leaves }),
    clocks,
    rolls: needs.includes('rolls') || needs.includes('rolls-to-hook-up'),
    does,
    starts: guide === 'engine-start',
    reaches: needs.includes('secured'),
  };
}

/** The same requirements give the same text. */
export function nameOf(requirement: Requirement): string {
  const { states, air, leavesAir, clocks, does, starts } = requirement;
  return [
    ...(Object.keys(states) as DimensionId[]).map((id) => `${id}:${states[id]?.join('|') ?? ''}`),
    air === undefined ? '' : `air:${air}`,
    leavesAir === undefined ? '' : `leaves:${leavesAir}`,
    ...clocks,
    ...does.map((change) => `does:${change}`),
    starts ? 'starts' : '',
  ]
    .filter((part) => part !== '')
    .sort()
    .join(' ');
}

/** Engine running, whichever way it was said. */
export function wantsRunning({ states: { engine } }: Requirement): boolean {
  return engine !== undefined && !engine.includes('off');
}

export function wantsOff({ states: { engine } }: Requirement): boolean {
  return engine !== undefined && engine.length === 1 && engine[0] === 'off';
}

/** Movements that have to be made before a check can be: what it wants raised, opened or set out. */
export function movementsFor({ states }: Requirement): readonly string[] {
  return (Object.keys(states) as DimensionId[]).flatMap((id) => {
    const { parked, movedBy = [] } = dimension(id);
    return states[id]?.includes(parked) ? [] : movedBy;
  });
}
