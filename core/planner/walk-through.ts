import { Refusal } from '../words';
import { layoutOf, type PaceSettings, type RouteStyle } from '../planning';
import {
  AIR_FULL,
  bitOf,
  layWant,
  nextReach,
  statesAtEnd,
  transitionOf,
  type Clock,
  type LaidTransition,
  type LaidWant,
  type VehicleChange,
} from '../vehicle';
import type { Task } from './blocks';
import { TIES, type Happening, type Totals } from './happening';
import { airAt, valuesAt, type Outset } from './outset';
import { layWays } from './ways';

/** The same walk for every order of its blocks, made ready so that many orders can be tried. */
export interface Model {
  /**
   * Walks the blocks in an order: goes there, brings the vehicle into the state that each wants, waits where a clock has
   * not run down, does the work; at its end everything is put back. The totals are kept in the model until the next walk.
   * @param count how many of the order are walked; all of them where nothing is said
   * @param tell is called with everything that happens
   */
  readonly walk: (
    order: ArrayLike<number>,
    count?: number,
    tell?: (happening: Happening) => void,
  ) => number;
  readonly totals: () => Totals;
}

/** Places of the running numbers in the model. */
const TIME = 0;
const METRES = 1;
const WAITING = 2;
const AIR = 3;
const AIR_SINCE = 4;
const OIL_AT = 5;
const COLD_AT = 6;
const SETTLED_AT = 7;
const WARM_AT = 8;
const CLEAN_AT = 9;

/** What a clock of a block must have reached. */
const CLOCK_AT = { oil: OIL_AT, cold: COLD_AT, settle: SETTLED_AT, warm: WARM_AT } as const;
/** In this order they are waited for. */
const CLOCKS = ['oil', 'warm', 'cold', 'settle'] as const;

/** psi that an engine makes at a time of 100 psi in so many seconds. */
const BUILT = 100;
/** No chain of changes is longer; one that goes round in circles is a fault of the table. */
const MOST_CHANGES = 60;

/** Makes a task ready: distances between all its places, and what each block wants, as numbers. */
export function modelOf(
  task: Task,
  routeStyle: RouteStyle,
  pace: PaceSettings,
  outset: Outset,
): Model {
  const { blocks, rig } = task;
  const layout = layoutOf(rig);
  const ways = layWays(task, routeStyle.direction, pace, outset.now?.zone);
  const { SEAT, WHEEL, HERE, BAY, places, count: wide, legs, layLeg, controlsFor } = ways;
  const wants: readonly LaidWant[] = blocks.map(({ want }) => want);
  const atEnd = layWant(layout, { states: statesAtEnd(outset.phase), rolls: false }, undefined);
  const endWant: LaidWant = { ...atEnd, pairs: [...endOfUnits(), ...atEnd.pairs] };
  const work = Float64Array.from(blocks, ({ seconds }) => seconds);
  const names = [...new Set(blocks.map(({ zone }) => zone.key))];
  const zones = Int32Array.from(blocks, ({ zone, act }) => (act ? -1 : names.indexOf(zone.key)));
  const zoneNow = names.indexOf(outset.now?.zone ?? '');
  const acts = blocks.map(({ act }) => act !== undefined);
  const leaves = Float64Array.from(blocks, ({ requirement }) => requirement.leavesAir ?? Infinity);
  const does = blocks.map(({ requirement, zone }) =>
    requirement.does.flatMap((change) => {
      const rule = transitionOf(change);
      const slot = rule && layout.slotOf(rule.of, zone.unit.id);
      return rule && slot !== undefined ? [{ change, slot, rule }] : [];
    }),
  );
  const waits = blocks.map(({ requirement }) =>
    CLOCKS.filter((clock) => requirement.clocks.includes(clock)),
  );
  const warmUp = outset.freezing ? pace.oilWarmUpInFrost : pace.oilWarmUp;
  const airRate = BUILT / pace.airBuildUp;
  const begun = valuesAt(layout, outset);
  const airBegun = airAt(outset);
  const RUNNING = bitOf('engine', 'idling') | bitOf('engine', 'working');
  const values = new Uint8Array(begun.length);

  // Numbers that change with every step; an array of them is not made anew each time.
  const now = new Float64Array(10);
  let tell: ((happening: Happening) => void) | undefined;
  let place = HERE;
  let stand = zoneNow;
  let climbs = 0;
  let starts = 0;
  let reversals = 0;

  function endOfUnits(): number[] {
    const states = statesAtEnd(outset.phase);
    return layout.slots.flatMap(({ dimension, unit }, at) => {
      const wanted = states[dimension];
      return unit === undefined || !wanted
        ? []
        : [at, wanted.reduce((mask, value) => mask | bitOf(dimension, value), 0)];
    });
  }

  const isRunning = () => (values[layout.engine] & RUNNING) !== 0;
  const air = () =>
    isRunning() ? Math.min(AIR_FULL, now[AIR] + (now[TIME] - now[AIR_SINCE]) * airRate) : now[AIR];
  const settleAir = () => {
    now[AIR] = air();
    now[AIR_SINCE] = now[TIME];
  };

  const reset = () => {
    now.fill(0);
    climbs = starts = reversals = 0;
    place = HERE;
    stand = zoneNow;
    values.set(begun);
    const { now: from } = outset;
    const running = isRunning();
    now[AIR] = airBegun;
    now[OIL_AT] = from?.oilIn ?? Infinity;
    now[COLD_AT] = from?.coldIn ?? (running ? Infinity : outset.warm ? pace.coolDown : 0);
    now[SETTLED_AT] = from?.settledIn ?? (running ? Infinity : outset.warm ? pace.oilSettles : 0);
    now[WARM_AT] = from?.warmIn ?? (outset.warm ? 0 : running ? pace.engineWarmUp : Infinity);
    now[CLEAN_AT] = from?.cleanIn ?? 0;
  };
  const go = (to: number) => {
    const at = place * wide + to;
    if (legs.seconds[at] !== legs.seconds[at]) layLeg(place, to);
    if (tell && (legs.seconds[at] > 0 || legs.metres[at] > 0))
      tell({
        kind: 'go',
        at: now[TIME],
        seconds: legs.seconds[at],
        metres: legs.metres[at],
        climbs: legs.climbs[at],
        from: places[place],
        to: places[to],
      });
    now[METRES] += legs.metres[at];
    climbs += legs.climbs[at];
    reversals += legs.reversals[at];
    now[TIME] += legs.seconds[at];
    place = to;
  };
  const wait = (until: number, clock: Clock) => {
    if (until <= now[TIME]) return;
    tell?.({ kind: 'wait', at: now[TIME], seconds: until - now[TIME], clock });
    now[WAITING] += until - now[TIME];
    now[TIME] = until;
  };
  /** What a change does to the clocks, once the value has changed. */
  const setClocks = (change: VehicleChange) => {
    if (change === 'start') {
      now[AIR_SINCE] = now[TIME];
      // What has cooled down entirely warms up from the beginning.
      if (now[WARM_AT] === Infinity || now[COLD_AT] <= now[TIME])
        now[WARM_AT] = now[TIME] + pace.engineWarmUp;
      now[COLD_AT] = now[SETTLED_AT] = Infinity;
    } else if (change === 'shut-down') {
      now[OIL_AT] = Infinity;
      now[COLD_AT] = now[TIME] + pace.coolDown;
      now[SETTLED_AT] = now[TIME] + pace.oilSettles;
      if (now[WARM_AT] > now[TIME]) now[WARM_AT] = Infinity;
    } else if (change === 'power-take-off') now[OIL_AT] = now[TIME] + warmUp;
    else if (change === 'power-take-off-off') now[OIL_AT] = Infinity;
  };
  const set = (slot: number, bit: number, also: readonly number[]) => {
    values[slot] = bit;
    for (let at = 0; at < also.length; at += 2) values[also[at]] = also[at + 1];
  };
  const placeOf = ({ rule, unit }: LaidTransition, block: number): number => {
    switch (rule.where) {
      case 'seat':
        return SEAT;
      case 'wheel':
        return WHEEL;
      case 'bay':
        return BAY;
      case 'controls':
      case 'here':
        return controlsFor(unit ?? '', block);
    }
  };
  const apply = (transition: LaidTransition, block: number) => {
    const { change, rule, slot, to, also, unit } = transition;
    go(placeOf(transition, block));
    // An exhaust that is being cleaned is not cut short.
    if (change === 'shut-down') wait(now[CLEAN_AT], 'clean');
    const seconds = pace[rule.takes as keyof PaceSettings];
    tell?.({ kind: 'change', at: now[TIME], seconds, change, ...(unit !== undefined && { unit }) });
    now[TIME] += seconds;
    if (slot === layout.engine) settleAir();
    set(slot, to, also);
    if (change === 'start') starts += 1;
    setClocks(change);
  };
  const bringAbout = (want: LaidWant, block: number) => {
    for (let count = 0; ; count += 1) {
      if (count > MOST_CHANGES)
        throw new Refusal({
          code: 'no-chain-of-changes',
          stop: blocks[block]?.key ?? 'the end',
        });
      const reach = nextReach(layout, values, want, air());
      if (!reach) return;
      if (reach.kind === 'change') apply(reach, block);
      else wait(now[TIME] + (reach.atLeast - air()) / airRate + 1e-6, 'air');
    }
  };

  return {
    walk(order, count = order.length, listener) {
      tell = listener;
      reset();
      // An early start of a clock that nobody waits for any more is not made.
      let last = count;
      while (last > 0 && acts[order[last - 1]]) last -= 1;
      for (let index = 0; index < last; index += 1) {
        const block = order[index];
        bringAbout(wants[block], block);
        // What only brings the vehicle into a state has no place of its own.
        if (acts[block]) continue;
        go(block);
        if (zones[block] !== stand) {
          now[TIME] += pace.arriving;
          stand = zones[block];
        }
        for (const clock of waits[block]) wait(now[CLOCK_AT[clock]], clock);
        tell?.({
          kind: 'check',
          at: now[TIME],
          seconds: work[block],
          block,
          does: does[block].map(({ change }) => change),
        });
        now[TIME] += work[block];
        for (const { change, slot, rule } of does[block]) {
          const bit = bitOf(rule.of, rule.to);
          if (values[slot] === bit) continue;
          if (slot === layout.engine) settleAir();
          set(slot, bit, []);
          if (change === 'start') starts += 1;
          if (rule.also)
            for (const [of, value] of Object.entries(rule.also)) {
              const at = layout.slotOf(of as keyof typeof rule.also);
              if (at !== undefined) values[at] = bitOf(of as keyof typeof rule.also, value);
            }
          setClocks(change);
        }
        if (leaves[block] < Infinity) {
          settleAir();
          now[AIR] = Math.min(now[AIR], leaves[block]);
        }
      }
      bringAbout(endWant, SEAT);
      return (
        now[TIME] +
        starts * TIES.starts +
        climbs * TIES.climbs +
        now[METRES] * TIES.metres +
        reversals * TIES.reversals
      );
    },
    totals: () => ({
      seconds: now[TIME],
      metres: now[METRES],
      climbs,
      starts,
      reversals,
      waiting: now[WAITING],
    }),
  };
}

/** Walks one order on the model and says what it comes to. */
export function walkThrough(
  task: Task,
  order: readonly number[],
  routeStyle: RouteStyle,
  pace: PaceSettings,
  outset: Outset,
  tell?: (happening: Happening) => void,
): Totals {
  const model = modelOf(task, routeStyle, pace, outset);
  model.walk(order, order.length, tell);
  return model.totals();
}
