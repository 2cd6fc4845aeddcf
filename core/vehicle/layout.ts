import { DIMENSION_IDS, DIMENSIONS, dimension, type DimensionId, type States } from './dimensions';
import { AIR_TO_ROLL, meaningOf } from './needs';
import type { Asking, Requirement } from './requirement';
import {
  transitionOf,
  TRANSITIONS,
  type Condition,
  type Transition,
  type VehicleChange,
} from './transitions';

/** A unit as far as its state goes: what it has that can be in, out, up or running. */
export interface LaidUnit {
  readonly id: string;
  readonly dimensions: ReadonlySet<DimensionId>;
}

/** One thing that stands somehow: a dimension of the vehicle, or of one unit. */
export interface Slot {
  readonly dimension: DimensionId;
  readonly unit?: string;
}

/** What a slot is called where states are handed on: the dimension, and the unit where it is a unit's. */
export function slotName({ dimension: id, unit }: Slot): string {
  return unit === undefined ? id : `${id} ${unit}`;
}

/** A transition of one slot, its conditions found among the slots of this very rig. */
export interface LaidTransition {
  readonly kind: 'change';
  readonly change: VehicleChange;
  readonly slot: number;
  /** The bit of the value that it brings about. */
  readonly to: number;
  readonly unit?: string;
  readonly rule: Transition;
  /** Slot and allowed bits, one after the other. */
  readonly before: readonly number[];
  readonly also: readonly number[];
}

/** The table laid out for one rig: slots, and how each gets from one value to another. */
export interface Layout {
  readonly slots: readonly Slot[];
  readonly airBrakes: boolean;
  readonly slotOf: (dimension: DimensionId, unit?: string) => number | undefined;
  /** The first transition on the way from a value (a bit; 0 where it is unknown) to one of the allowed bits. */
  readonly stepTo: (slot: number, value: number, mask: number) => LaidTransition | undefined;
  readonly engine: number;
}

const OF_UNIT = new Set(DIMENSION_IDS.filter((id) => dimension(id).of === 'unit'));
/** Words that speak of everything a rig may have; they say nothing of what this unit has. */
const OF_ALL = new Set(['rolls', 'rolls-to-hook-up', 'secured', 'key-in-pocket']);

/** What of the table a unit has: what its checks want of it, or do to it. */
export function dimensionsOf(checks: readonly Asking[]): ReadonlySet<DimensionId> {
  const has = new Set<DimensionId>();
  for (const { needs, does = [] } of checks) {
    for (const need of needs) {
      if (OF_ALL.has(need)) continue;
      for (const id of Object.keys(meaningOf(need)?.states ?? {}) as DimensionId[])
        if (OF_UNIT.has(id)) has.add(id);
    }
    for (const change of does) {
      const of = transitionOf(change)?.of;
      if (of && OF_UNIT.has(of)) has.add(of);
    }
  }
  return has;
}

/** Whether anything of the rig works on the power take-off of the vehicle that drives it. */
function usesPowerTakeOff(checks: readonly Asking[]): boolean {
  return checks.some(({ needs }) =>
    needs.some((need) => !OF_ALL.has(need) && meaningOf(need)?.states?.powerTakeOff !== undefined),
  );
}

export interface LaidRig {
  readonly airBrakes: boolean;
  readonly units: readonly { readonly id: string; readonly checks: readonly Asking[] }[];
}

export function layOut(rig: LaidRig): Layout {
  const powerTakeOff = rig.units.some(
    ({ checks }) =>
      usesPowerTakeOff(checks) ||
      ['body', 'boom', 'outriggers'].some((id) => dimensionsOf(checks).has(id as DimensionId)),
  );
  const units: readonly LaidUnit[] = rig.units.map(({ id, checks }) => ({
    id,
    dimensions: dimensionsOf(checks),
  }));
  const slots: Slot[] = DIMENSION_IDS.flatMap((id): Slot[] =>
    DIMENSIONS[id].of === 'vehicle'
      ? id === 'powerTakeOff' && !powerTakeOff
        ? []
        : [{ dimension: id }]
      : units
          .filter(({ dimensions }) => dimensions.has(id))
          .map((unit) => ({ dimension: id, unit: unit.id })),
  );
  const places = new Map(slots.map(({ dimension: id, unit = '' }, at) => [`${id} ${unit}`, at]));
  const slotOf: Layout['slotOf'] = (id, unit) =>
    places.get(`${id} ${DIMENSIONS[id].of === 'unit' ? (unit ?? '') : ''}`);
  const transitions = slots.map((slot, at) => layTransitions(slot, at, slotOf));
  const steps = new Map<number, LaidTransition | undefined>();
  return {
    slots,
    airBrakes: rig.airBrakes,
    slotOf,
    engine: slotOf('engine') ?? 0,
    // A value is one of at most three bits; orders are tried by the thousand.
    stepTo: (slot, value, mask) => {
      const name = (slot << 8) | (value << 4) | mask;
      let step = steps.get(name);
      if (step === undefined && !steps.has(name)) {
        step = shortest(transitions[slot], value, mask);
        steps.set(name, step);
      }
      return step;
    },
  };
}

export const bitOf = (id: DimensionId, value: string): number =>
  1 << dimension(id).values.indexOf(value);

export const maskOf = (id: DimensionId, values: readonly string[]): number =>
  values.reduce((mask, value) => mask | bitOf(id, value), 0);

function layTransitions(
  { dimension: id, unit }: Slot,
  slot: number,
  slotOf: Layout['slotOf'],
): LaidTransition[] {
  const pairsOf = ({ of, in: values, onlyWith }: Condition): number[] => {
    if (onlyWith && slotOf(onlyWith, unit) === undefined) return [];
    if (of === 'power') {
      const own = slotOf('ownEngine', unit);
      if (own !== undefined) return [own, bitOf('ownEngine', 'running')];
      return [
        ...pairsOf({ of: 'engine', in: ['idling', 'working'] }),
        ...pairsOf({ of: 'powerTakeOff', in: ['in'] }),
      ];
    }
    const at = slotOf(of, unit);
    return at === undefined || !values ? [] : [at, maskOf(of, values)];
  };
  return (Object.entries(TRANSITIONS) as [VehicleChange, Transition][])
    .filter(([, { of }]) => of === id)
    .map(([change, rule]) => ({
      kind: 'change' as const,
      change,
      slot,
      to: bitOf(id, rule.to),
      unit,
      rule,
      before: rule.before.flatMap(pairsOf),
      also: Object.entries(rule.also ?? {}).flatMap(([other, value]) => {
        const at = slotOf(other as DimensionId, unit);
        return at === undefined ? [] : [at, bitOf(other as DimensionId, value)];
      }),
    }));
}

const parkedBit = (id: DimensionId): number => bitOf(id, dimension(id).parked);

/** Breadth first; there are never more than three values. */
function shortest(
  transitions: readonly LaidTransition[],
  value: number,
  mask: number,
): LaidTransition | undefined {
  const parked = transitions.length === 0 ? 0 : parkedBit(transitions[0].rule.of);
  // Said by nobody: what is wanted is done, or looked at, where it rests so; else it is brought there from how it rests.
  if (value === 0 && (parked & mask) !== 0) return transitions.find(({ to }) => (to & mask) !== 0);
  const start = value === 0 ? parked : value;
  let front: { readonly at: number; readonly first?: LaidTransition }[] = [{ at: start }];
  const seen = new Set([start]);
  while (front.length > 0) {
    const next: typeof front = [];
    for (const { at, first } of front)
      for (const each of transitions) {
        const from = maskOf(each.rule.of, each.rule.from);
        if ((from & at) === 0 || seen.has(each.to)) continue;
        const begun = first ?? each;
        if ((each.to & mask) !== 0) return begun;
        seen.add(each.to);
        next.push({ at: each.to, first: begun });
      }
    front = next;
  }
  return undefined;
}

/** A requirement among the slots of a rig: slot and allowed bits, in the order in which they are brought about. */
export interface LaidWant {
  readonly pairs: readonly number[];
  readonly air: number;
  /** It is to be off, so that air must be there before. */
  readonly engineOff: boolean;
}

/**
 * @param unit the unit of the check
 * @param more asked beside the requirement: of the place where it is made, of the end of a walk
 */
export function layWant(
  layout: Layout,
  { states, air = 0, rolls }: Pick<Requirement, 'states' | 'air' | 'rolls'>,
  unit: string | undefined,
  more: States = {},
): LaidWant {
  const asked: States = { ...more, ...states };
  const pairs: number[] = [];
  let last: number[] = [];
  layout.slots.forEach((slot, at) => {
    const own = slot.unit === undefined || slot.unit === unit;
    const values = own ? asked[slot.dimension] : rolls ? restOf(slot.dimension) : undefined;
    if (!values || dimension(slot.dimension).fixed) return;
    const mask = maskOf(slot.dimension, values);
    // An open bay is closed before anything else, and opened after everything.
    if (slot.dimension !== 'bay') pairs.push(at, mask);
    else if ((mask & bitOf('bay', 'closed')) !== 0) pairs.unshift(at, mask);
    else last = [at, mask];
  });
  return {
    pairs: [...pairs, ...last],
    // A brake is not let go on less, nor before an engine that makes it is shut down.
    air: layout.airBrakes
      ? Math.max(air, asked.brake && !asked.brake.includes('set') ? AIR_TO_ROLL : 0)
      : 0,
    engineOff: asked.engine?.length === 1 && asked.engine[0] === 'off',
  };
}

const restOf = (id: DimensionId): readonly string[] | undefined => {
  const { rolling } = dimension(id);
  return rolling === undefined ? undefined : [rolling];
};
