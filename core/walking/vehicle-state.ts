import type { Inspection } from '../inspection';
import { USUAL_PACE, type PaceSettings } from '../planning';
import {
  AIR_CHARGED,
  AIR_FULL,
  dimension,
  statesAtEnd,
  maskOf,
  slotName,
  transitionOf,
  type Affirmation,
  type DimensionId,
  type Layout,
  type VehicleChange,
} from '../vehicle';

/**
 * How the vehicle stands, as far as it was told. What nobody has said is missing: then it is asked, not guessed.
 * Times are milliseconds since 1970; Infinity for a clock that nobody has started.
 */
export interface VehicleState {
  /** Values of the table by the name of their slot. */
  readonly values: Readonly<Record<string, string>>;
  /** psi in the tanks at `since`; from then on it rises while the engine runs. */
  readonly air: { readonly psi: number; readonly since: number };
  /** When there will be air enough for a test. */
  readonly airAt: number;
  /** When the hydraulic oil will be warm. */
  readonly oilAt: number;
  /** When the engine will count as cold again; undefined where it was not running on this walk. */
  readonly coldAt?: number;
  /** When the engine oil will have run back; undefined where it was not running on this walk. */
  readonly settledAt?: number;
  /** When the engine will be warm. */
  readonly warmAt: number;
  /** When the exhaust will have been cleaned; undefined where nobody has begun it. */
  readonly cleanAt?: number;
}

/** What the state of a walk depends on. */
export interface Setting {
  readonly freezing: boolean;
  /** It has no air brakes, or it was driven just now. */
  readonly airUp: boolean;
  /** It was driven just now; milliseconds since 1970 of the walk's beginning. */
  readonly warmAt?: number;
  readonly layout: Layout;
  /** What a check leaves in the tanks, psi, by its key. */
  readonly spends?: ReadonlyMap<string, number>;
  readonly pace?: PaceSettings;
}

/** What stands so without a word: a hood is shut until somebody opens it, and the start asks for neutral itself. */
const UNSAID: Readonly<Record<string, string>> = { bay: 'closed', gear: 'neutral' };

/** Value of a dimension of the vehicle, or of one unit; undefined where nobody has said it. */
export function valueOf(
  { values }: Pick<VehicleState, 'values'>,
  id: DimensionId,
  unit?: string,
): string | undefined {
  return values[slotName({ dimension: id, ...(unit !== undefined && { unit }) })];
}

/** Undefined where nobody has said it. */
export function isRunning(state: Pick<VehicleState, 'values'>): boolean | undefined {
  const engine = valueOf(state, 'engine');
  return engine === undefined ? undefined : engine !== 'off';
}

/** psi a second that an engine makes. */
const rateOf = (pace: PaceSettings) => AIR_CHARGED / pace.airBuildUp;

/** psi in the tanks at a moment, milliseconds since 1970. */
export function airLevel(state: VehicleState, now: number, pace = USUAL_PACE): number {
  const { psi, since } = state.air;
  return isRunning(state)
    ? Math.min(AIR_FULL, psi + (Math.max(0, now - since) / 1000) * rateOf(pace))
    : psi;
}

/** When there will be so much air, milliseconds since 1970; Infinity where nothing makes it. */
export function airReached(state: VehicleState, atLeast: number, pace = USUAL_PACE): number {
  const { psi, since } = state.air;
  if (psi >= atLeast) return 0;
  return isRunning(state) ? since + ((atLeast - psi) / rateOf(pace)) * 1000 : Infinity;
}

/** The state that follows from everything that was done so far. Pure; the same log gives the same state on every phone. */
export function vehicleState(
  { course, answers }: Pick<Inspection, 'course'> & Partial<Pick<Inspection, 'answers'>>,
  setting: Setting,
): VehicleState {
  const { airUp, warmAt, spends, pace = USUAL_PACE } = setting;
  let state: VehicleState = {
    values: UNSAID,
    air: { psi: airUp ? AIR_FULL : 0, since: 0 },
    airAt: 0,
    oilAt: Infinity,
    warmAt: warmAt === undefined ? Infinity : 0,
    ...(warmAt !== undefined && {
      coldAt: warmAt + pace.coolDown * 1000,
      settledAt: warmAt + pace.oilSettles * 1000,
    }),
  };
  const spent = [...(spends ?? [])].flatMap(([key, psi]) => {
    const answer = answers?.get(key);
    return answer && answer.outcome !== 'not-looked'
      ? [{ at: answer.at, order: answer.order ?? 0, psi }]
      : [];
  });
  const steps = [
    ...course.changes.map((each) => ({ ...each, order: each.order ?? 0 })),
    ...course.affirmed.map(({ what, at, order = 0 }) => ({ at, order, what })),
    ...spent,
  ].sort((one, other) => one.order - other.order);
  for (const step of steps)
    if ('change' in step) state = applyChange(state, step.change, step.unitId, step.at, setting);
    else if ('what' in step) state = applyWord(state, step.what, step.at, setting);
    else state = spend(state, step.psi, step.at, pace);
  const shifted = shiftClocks(state, course);
  return { ...shifted, airAt: airReached(shifted, AIR_CHARGED, pace) };
}

function spend(state: VehicleState, psi: number, at: number, pace: PaceSettings): VehicleState {
  return { ...state, air: { psi: Math.min(psi, airLevel(state, at, pace)), since: at } };
}

function applyChange(
  state: VehicleState,
  change: VehicleChange,
  unit: string | undefined,
  at: number,
  setting: Setting,
): VehicleState {
  const { pace = USUAL_PACE, layout } = setting;
  const rule = transitionOf(change);
  // What is in the tanks is what the engine made until now.
  const air = { psi: airLevel(state, at, pace), since: at };
  const ran = isRunning(state);
  const values = { ...state.values };
  const put = (id: DimensionId, value: string) => {
    for (const slot of layout.slots) {
      if (slot.dimension !== id) continue;
      if (unit === undefined || slot.unit === undefined || slot.unit === unit)
        values[slotName(slot)] = value;
    }
    // A rig that was put together otherwise since: what was said of the vehicle still holds.
    if (dimension(id).of === 'vehicle') values[id] = value;
  };
  if (rule) {
    put(rule.of, rule.to);
    for (const [id, value] of Object.entries(rule.also ?? {})) put(id as DimensionId, value);
  }
  return clocksAfter({ ...state, values, air }, state, change, at, ran, setting);
}

/** What a change does to the clocks. */
function clocksAfter(
  next: VehicleState,
  before: VehicleState,
  change: VehicleChange,
  at: number,
  ran: boolean | undefined,
  { freezing, pace = USUAL_PACE }: Setting,
): VehicleState {
  switch (change) {
    case 'start':
      return {
        ...next,
        coldAt: Infinity,
        settledAt: Infinity,
        // What has cooled down entirely warms up from the beginning; who says it runs again changes nothing.
        warmAt:
          before.warmAt === Infinity || (before.coldAt ?? Infinity) <= at
            ? at + pace.engineWarmUp * 1000
            : before.warmAt,
      };
    case 'shut-down':
      return {
        ...next,
        oilAt: Infinity,
        warmAt: before.warmAt <= at ? before.warmAt : Infinity,
        cleanAt: undefined,
        ...(ran && { coldAt: at + pace.coolDown * 1000, settledAt: at + pace.oilSettles * 1000 }),
      };
    case 'power-take-off': {
      const warm = freezing ? pace.oilWarmUpInFrost : pace.oilWarmUp;
      return { ...next, oilAt: Math.min(before.oilAt, at + warm * 1000) };
    }
    case 'power-take-off-off':
      return { ...next, oilAt: Infinity };
    case 'clean-exhaust':
      return { ...next, cleanAt: before.cleanAt ?? at + pace.exhaustCleaning * 1000 };
    default:
      return next;
  }
}

function applyWord(
  state: VehicleState,
  what: Affirmation,
  at: number,
  { layout, pace = USUAL_PACE }: Setting,
): VehicleState {
  switch (what) {
    case 'engine-cold':
      return { ...state, coldAt: Math.min(state.coldAt ?? at, at) };
    case 'air-up':
      return {
        ...state,
        air: { psi: Math.max(AIR_CHARGED, airLevel(state, at, pace)), since: at },
      };
    case 'oil-warm':
      return { ...state, oilAt: Math.min(state.oilAt, at) };
    case 'oil-settled':
      return { ...state, settledAt: state.settledAt ?? at };
    case 'engine-warm':
      return { ...state, warmAt: Math.min(state.warmAt, at) };
    case 'exhaust-clean':
      return { ...state, cleanAt: undefined };
    case 'all-stowed': {
      const values = { ...state.values };
      for (const slot of layout.slots) {
        const { rolling } = dimension(slot.dimension);
        // What was said to be out is brought in, not talked in.
        if (rolling !== undefined && slot.dimension !== 'chocks')
          values[slotName(slot)] ??= rolling;
      }
      return { ...state, values };
    }
    case 'three-points':
    case 'area-clear':
    case 'pedal-held':
    case 'as-asked':
      return state;
  }
}

/**
 * A clock of the phone that was set forward has not made the oil run faster: what was running then ends that much later
 * by the new clock, and what was set back, that much earlier.
 */
function shiftClocks(state: VehicleState, { clockMoves }: Inspection['course']): VehicleState {
  let { oilAt, coldAt, settledAt, warmAt, cleanAt } = state;
  let { psi, since } = state.air;
  for (const { at, seconds } of clockMoves) {
    // `at` is by the new clock.
    const before = at - seconds * 1000;
    const shift = (due: number) => (due > before && due < Infinity ? due + seconds * 1000 : due);
    if (since > 0 && since <= before) since += seconds * 1000;
    oilAt = shift(oilAt);
    coldAt = coldAt === undefined ? undefined : shift(coldAt);
    settledAt = settledAt === undefined ? undefined : shift(settledAt);
    warmAt = shift(warmAt);
    cleanAt = cleanAt === undefined ? undefined : shift(cleanAt);
  }
  return { ...state, air: { psi, since }, oilAt, coldAt, settledAt, warmAt, cleanAt };
}

/** Something that stands otherwise than a walk may end, and what puts it right. */
export interface LeftOut {
  readonly change: VehicleChange;
  readonly dimension: DimensionId;
  readonly unitId?: string;
}

/**
 * What is still as this walk may not end, in the order in which it is put back: the brake before all else, since nobody bends down for
 * chocks at a wheel that can turn. What nobody has said is not among it.
 */
export function leftStanding(
  state: Pick<VehicleState, 'values'>,
  layout: Layout,
  phase: string,
): LeftOut[] {
  const wanted = statesAtEnd(phase);
  const left = layout.slots.flatMap((slot, at) => {
    const allowed = wanted[slot.dimension];
    const value = state.values[slotName(slot)];
    if (!allowed || value === undefined || allowed.includes(value)) return [];
    const step = layout.stepTo(
      at,
      maskOf(slot.dimension, [value]),
      maskOf(slot.dimension, allowed),
    );
    return step
      ? [
          {
            change: step.change,
            dimension: slot.dimension,
            ...(slot.unit !== undefined && { unitId: slot.unit }),
          },
        ]
      : [];
  });
  const isBrake = ({ dimension: id }: LeftOut) => id === 'brake';
  return [...left.filter(isBrake), ...left.filter((each) => !isBrake(each))];
}

/**
 * Whether something of this rig that must be in before it leaves was never spoken of on the walk: then the driver is asked before the
 * signature, in one question. Chocks are a step of their own.
 */
export function isUnsaid({ values }: Pick<VehicleState, 'values'>, layout: Layout): boolean {
  return layout.slots.some(
    (slot) =>
      slot.dimension !== 'chocks' &&
      dimension(slot.dimension).rolling !== undefined &&
      values[slotName(slot)] === undefined,
  );
}
