import type { Task } from './blocks';
import { legBetween, type Spot } from './ground';
import { TIES, type Happening, type Totals } from './happening';
import type { Outset } from './outset';
import { wantOf, WANT } from './want';
import type { Clock, PaceSettings, School, VehicleChange } from '../planning';

/** The same walk for every order of its blocks, made ready so that many orders can be tried. */
export interface Model {
  /**
   * Walks the blocks in an order: goes there, brings the vehicle into the state that each wants, waits where a clock has
   * not run down, does the work. The totals are kept in the model until the next walk.
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
const AIR_AT = 3;
const OIL_AT = 4;
const COLD_AT = 5;
const SETTLED_AT = 6;
const WARM_AT = 7;
const CLEAN_AT = 8;

/** Makes a task ready: distances between all its places, and what each block wants, as numbers. */
export function modelOf(task: Task, school: School, pace: PaceSettings, outset: Outset): Model {
  const { ground, blocks } = task;
  // At hand: an import is looked up each time where modules are not bundled.
  const bits = WANT;
  const size = blocks.length;
  const SEAT = size;
  const WHEEL = size + 1;
  const HERE = size + 2;
  const here = task.rig.zones.find(({ key: zone }) => zone === outset.now?.zone);
  const places: Spot[] = [
    ...blocks.map(({ spot }) => spot),
    ground.seat,
    ground.wheel,
    here ? ground.spotOf(here) : ground.corner,
  ];
  const wide = places.length;
  const legSeconds = new Float64Array(wide * wide).fill(NaN);
  const legMetres = new Float64Array(wide * wide);
  const legClimbs = new Uint8Array(wide * wide);
  const legReversals = new Uint8Array(wide * wide);
  // Worked out when somebody first goes that way: of many places only few lie next to each other.
  const layLeg = (from: number, to: number) => {
    const leg = legBetween(places[from], places[to], ground, school.direction, pace);
    const at = from * wide + to;
    legSeconds[at] = leg.seconds;
    legMetres[at] = leg.metres;
    legClimbs[at] = leg.climbs;
    legReversals[at] = leg.reversals;
  };
  const wants = Int32Array.from(blocks, ({ requirement }) => wantOf(requirement));
  const work = Float64Array.from(blocks, ({ seconds }) => seconds);
  const names = [...new Set(blocks.map(({ zone }) => zone.key))];
  const zones = Int32Array.from(blocks, ({ zone }) => names.indexOf(zone.key));
  const zoneNow = names.indexOf(outset.now?.zone ?? '');
  const inCab = Uint8Array.from(places, ({ level }) => (level === 'cab' ? 1 : 0));
  const chocksIn = Uint8Array.from(blocks, ({ instances }) =>
    instances.some(({ check }) => check.does?.includes('chocks-in')) ? 1 : 0,
  );
  const inBay = Uint8Array.from(places, ({ level }) => (level === 'bay' ? 1 : 0));
  const warmUp = outset.freezing ? pace.oilWarmUpInFrost : pace.oilWarmUp;

  // Numbers that change with every step; an array of them is not made anew each time.
  const now = new Float64Array(9);
  let tell: ((happening: Happening) => void) | undefined;
  let place = HERE;
  let stand = zoneNow;
  let climbs = 0;
  let starts = 0;
  let reversals = 0;
  let running = false;
  let key = false;
  let lamps = false;
  let released = false;
  let chocks = false;
  let powerTakeOff = false;
  let propped = false;
  let platform = false;
  let outriggers = false;
  let hood = false;

  const reset = () => {
    now.fill(0);
    climbs = starts = reversals = 0;
    place = HERE;
    stand = zoneNow;
    const { now: from } = outset;
    running = outset.running;
    key = from?.key ?? outset.running;
    lamps = from?.lamps ?? false;
    released = from?.released ?? false;
    chocks = from?.chocks ?? false;
    powerTakeOff = from?.powerTakeOff ?? false;
    propped = from?.propped ?? false;
    platform = from?.platform ?? false;
    outriggers = from?.outriggers ?? false;
    hood = from?.hood ?? false;
    now[AIR_AT] = from?.airIn ?? (outset.airUp ? 0 : outset.running ? pace.airBuildUp : Infinity);
    now[OIL_AT] = from?.oilIn ?? Infinity;
    now[COLD_AT] = from?.coldIn ?? (outset.running ? Infinity : outset.warm ? pace.coolDown : 0);
    now[SETTLED_AT] =
      from?.settledIn ?? (outset.running ? Infinity : outset.warm ? pace.oilSettles : 0);
    now[WARM_AT] =
      from?.warmIn ?? (outset.warm ? 0 : outset.running ? pace.engineWarmUp : Infinity);
    now[CLEAN_AT] = from?.cleanIn ?? 0;
  };
  const go = (to: number) => {
    const at = place * wide + to;
    if (legSeconds[at] !== legSeconds[at]) layLeg(place, to);
    if (tell && (legSeconds[at] > 0 || legMetres[at] > 0))
      tell({
        kind: 'go',
        at: now[TIME],
        seconds: legSeconds[at],
        metres: legMetres[at],
        climbs: legClimbs[at],
        from: places[place],
        to: places[to],
      });
    now[METRES] += legMetres[at];
    climbs += legClimbs[at];
    reversals += legReversals[at];
    now[TIME] += legSeconds[at];
    place = to;
  };
  const change = (name: VehicleChange, seconds: number) => {
    tell?.({ kind: 'change', at: now[TIME], seconds, change: name });
    now[TIME] += seconds;
  };
  const wait = (until: number, clock: Clock) => {
    if (until <= now[TIME]) return;
    tell?.({ kind: 'wait', at: now[TIME], seconds: until - now[TIME], clock });
    now[WAITING] += until - now[TIME];
    now[TIME] = until;
  };
  const setBrake = () => {
    change('set-brake', pace.switching);
    released = false;
  };
  const start = () => {
    if (released) setBrake();
    change('start', pace.start);
    running = key = true;
    starts += 1;
    // What has cooled down entirely warms up from the beginning.
    if (now[WARM_AT] === Infinity || now[COLD_AT] <= now[TIME])
      now[WARM_AT] = now[TIME] + pace.engineWarmUp;
    now[COLD_AT] = now[SETTLED_AT] = Infinity;
    if (now[AIR_AT] === Infinity) now[AIR_AT] = now[TIME] + pace.airBuildUp;
  };
  const shutDown = () => {
    wait(now[CLEAN_AT], 'clean');
    change('shut-down', pace.shutDown);
    running = powerTakeOff = false;
    now[OIL_AT] = Infinity;
    now[COLD_AT] = now[TIME] + pace.coolDown;
    now[SETTLED_AT] = now[TIME] + pace.oilSettles;
    if (now[WARM_AT] > now[TIME]) now[WARM_AT] = Infinity;
  };
  /** Whether the seat must be visited before this can be done. */
  const needsSeat = (want: number): boolean =>
    ((want & bits.engineOn) !== 0 && !running) ||
    ((want & bits.engineOff) !== 0 && running) ||
    ((want & bits.key) !== 0 && !key) ||
    ((want & bits.lamps) !== 0 && !lamps) ||
    ((want & bits.released) !== 0 && !released) ||
    ((want & bits.set) !== 0 && released) ||
    ((want & bits.powerTakeOff) !== 0 && !powerTakeOff) ||
    ((want & bits.air) !== 0 && now[AIR_AT] === Infinity);
  /** Everything that the seat can do towards it. */
  const atSeat = (want: number) => {
    if ((want & bits.air) !== 0 && now[AIR_AT] === Infinity && !running) start();
    if ((want & bits.engineOn) !== 0 && !running) start();
    if ((want & bits.engineOff) !== 0 && running) {
      // Air is pumped only while the engine runs, so it is waited for before it is shut down.
      if ((want & bits.air) !== 0) wait(now[AIR_AT], 'air');
      shutDown();
    }
    if ((want & bits.key) !== 0 && !key) {
      change('key-on', pace.switching);
      key = true;
    }
    if ((want & bits.lamps) !== 0 && !lamps) {
      change('lamps-on', pace.switching);
      lamps = true;
    }
    if ((want & bits.powerTakeOff) !== 0 && !powerTakeOff) {
      change('power-take-off', pace.powerTakeOff);
      powerTakeOff = true;
      now[OIL_AT] = now[TIME] + warmUp;
    }
    if ((want & bits.set) !== 0 && released) setBrake();
    if ((want & bits.released) !== 0 && !released) {
      change('release-brake', pace.switching);
      released = true;
    }
  };
  /** Before leaving the seat: what the next stops outside will want, as far as nothing contradicts it. */
  const lookAhead = (order: ArrayLike<number>, from: number, count: number) => {
    let engine = 0;
    let brake = 0;
    for (let index = from; index < count; index += 1) {
      const block = order[index];
      if (inCab[block]) return;
      const want = wants[block];
      const off = (want & bits.engineOff) !== 0;
      const on = (want & bits.engineOn) !== 0;
      if (off && (engine === 1 || (running && engine !== 2))) return;
      if (on && engine === 2) return;
      const letGo = (want & bits.released) !== 0;
      const set = (want & bits.set) !== 0;
      // A brake is released only with chocks in, which are not at the seat.
      if (letGo && (!chocks || brake === 1)) return;
      // Nobody starts an engine, or sets the brake, under a stop that wants it released.
      const starts = !running && (want & (bits.engineOn | bits.powerTakeOff | bits.air)) !== 0;
      if ((set || (starts && needsSeat(want))) && brake === 2) return;
      if (letGo) brake = 2;
      else if (set) brake = 1;
      if (off) engine = 2;
      else if (on) engine = 1;
      if (needsSeat(want)) atSeat(want);
    }
  };
  const moveChocks = (inPlace: boolean) => {
    go(WHEEL);
    change(inPlace ? 'chocks-in' : 'chocks-out', pace.chocks);
    chocks = inPlace;
  };
  const bringAbout = (order: ArrayLike<number>, index: number, count: number) => {
    const block = order[index];
    const want = wants[block];
    if (hood && !inBay[block]) {
      change('hood-closed', pace.hood / 2);
      hood = false;
    }
    // Chocks come before the brake is let go, and before anybody reaches under.
    if ((want & bits.chocksIn) !== 0 && !chocks) moveChocks(true);
    if ((want & bits.chocksOut) !== 0 && chocks) {
      if (released) {
        go(SEAT);
        setBrake();
      }
      moveChocks(false);
    }
    if (needsSeat(want)) {
      go(SEAT);
      atSeat(want);
      if (!inCab[block]) lookAhead(order, index, count);
    } else if (inCab[place] && !inCab[block]) {
      lookAhead(order, index, count);
    }
    go(block);
    if (zones[block] !== stand) {
      now[TIME] += pace.arriving;
      stand = zones[block];
    }
    if (inBay[block] && !hood) {
      change('hood-open', pace.hood / 2);
      hood = true;
    }
    if ((want & bits.propped) !== 0 && !propped) {
      change('prop', pace.prop);
      propped = true;
    }
    if ((want & bits.platform) !== 0 && !platform) {
      change('platform-down', pace.platform);
      platform = true;
    }
    if ((want & bits.outriggers) !== 0 && !outriggers) {
      change('outriggers', pace.outriggers);
      outriggers = true;
    }
    if ((want & bits.air) !== 0) wait(now[AIR_AT], 'air');
    if ((want & bits.oilWarm) !== 0) wait(now[OIL_AT], 'oil');
    if ((want & bits.engineWarm) !== 0) wait(now[WARM_AT], 'warm');
    if ((want & bits.cold) !== 0) wait(now[COLD_AT], 'cold');
    if ((want & bits.settled) !== 0) wait(now[SETTLED_AT], 'settle');
  };

  return {
    walk(order, count = order.length, listener) {
      tell = listener;
      reset();
      for (let index = 0; index < count; index += 1) {
        bringAbout(order, index, count);
        const block = order[index];
        if (tell) tell({ kind: 'check', at: now[TIME], seconds: work[block], block });
        now[TIME] += work[block];
        if (chocksIn[block]) chocks = true;
      }
      if (hood) change('hood-closed', pace.hood / 2);
      hood = false;
      if (released) {
        go(SEAT);
        setBrake();
      }
      if (chocks) moveChocks(false);
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
  school: School,
  pace: PaceSettings,
  outset: Outset,
  tell?: (happening: Happening) => void,
): Totals {
  const model = modelOf(task, school, pace, outset);
  model.walk(order, order.length, tell);
  return model.totals();
}
