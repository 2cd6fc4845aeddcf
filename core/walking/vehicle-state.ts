import type { Course } from '../inspection';
import { USUAL_PACE, type Affirmation, type PaceSettings, type VehicleChange } from '../planning';

/**
 * How the vehicle stands, as far as it was told. `undefined` where nobody has said it: then it is asked, not guessed.
 * Times are milliseconds since 1970; Infinity for a clock that nobody has started.
 */
export interface VehicleState {
  readonly engine?: 'on' | 'off';
  readonly key?: boolean;
  readonly lamps?: boolean;
  readonly brake?: 'set' | 'released';
  readonly chocks?: boolean;
  readonly powerTakeOff: boolean;
  readonly hood: boolean;
  readonly propped: boolean;
  readonly platform: boolean;
  readonly outriggers: boolean;
  /** When there will be air enough. */
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

/** What the clocks of a walk depend on. */
export interface Setting {
  readonly freezing: boolean;
  /** It has no air brakes, or it was driven just now. */
  readonly airUp: boolean;
  /** It was driven just now; milliseconds since 1970 of the walk's beginning. */
  readonly warmAt?: number;
  readonly pace?: PaceSettings;
}

/** The state that follows from everything that was done so far. Pure; the same log gives the same state on every phone. */
export function vehicleState(course: Course, setting: Setting): VehicleState {
  const { freezing, airUp, warmAt, pace = USUAL_PACE } = setting;
  let state: VehicleState = {
    powerTakeOff: false,
    hood: false,
    propped: false,
    platform: false,
    outriggers: false,
    airAt: airUp ? 0 : Infinity,
    oilAt: Infinity,
    warmAt: warmAt === undefined ? Infinity : 0,
    ...(warmAt !== undefined && {
      coldAt: warmAt + pace.coolDown * 1000,
      settledAt: warmAt + pace.oilSettles * 1000,
    }),
  };
  const steps = [
    ...course.changes.map(({ change, at, order = 0 }) => ({ at, order, change, what: undefined })),
    ...course.affirmed.map(({ what, at, order = 0 }) => ({ at, order, change: undefined, what })),
  ].sort((one, other) => one.order - other.order);
  for (const { at, change, what } of steps)
    state = change
      ? applyChange(state, change, at, freezing, pace)
      : applyWord(state, what as Affirmation, at);
  return shiftClocks(state, course);
}

function applyChange(
  state: VehicleState,
  change: VehicleChange,
  at: number,
  freezing: boolean,
  pace: PaceSettings,
): VehicleState {
  switch (change) {
    case 'start':
      return {
        ...state,
        engine: 'on',
        key: true,
        coldAt: Infinity,
        settledAt: Infinity,
        // What has cooled down entirely warms up from the beginning; who says it runs again changes nothing.
        warmAt:
          state.warmAt === Infinity || (state.coldAt ?? Infinity) <= at
            ? at + pace.engineWarmUp * 1000
            : state.warmAt,
        airAt: Math.min(state.airAt, at + pace.airBuildUp * 1000),
      };
    case 'shut-down':
      return {
        ...state,
        engine: 'off',
        powerTakeOff: false,
        oilAt: Infinity,
        // Without air by now, none comes any more.
        airAt: state.airAt <= at ? state.airAt : Infinity,
        warmAt: state.warmAt <= at ? state.warmAt : Infinity,
        cleanAt: undefined,
        ...(state.engine === 'on' && {
          coldAt: at + pace.coolDown * 1000,
          settledAt: at + pace.oilSettles * 1000,
        }),
      };
    case 'key-on':
      return { ...state, key: true };
    case 'key-off':
      return { ...state, key: false };
    case 'lamps-on':
      return { ...state, lamps: true };
    case 'lamps-off':
      return { ...state, lamps: false };
    case 'set-brake':
      return { ...state, brake: 'set' };
    case 'release-brake':
      return { ...state, brake: 'released' };
    case 'chocks-in':
      return { ...state, chocks: true };
    case 'chocks-out':
      return { ...state, chocks: false };
    case 'power-take-off': {
      const warm = freezing ? pace.oilWarmUpInFrost : pace.oilWarmUp;
      return { ...state, powerTakeOff: true, oilAt: Math.min(state.oilAt, at + warm * 1000) };
    }
    case 'power-take-off-off':
      return { ...state, powerTakeOff: false, oilAt: Infinity };
    case 'hood-open':
      return { ...state, hood: true };
    case 'hood-closed':
      return { ...state, hood: false };
    case 'prop':
      return { ...state, propped: true };
    case 'prop-away':
      return { ...state, propped: false };
    case 'platform-down':
      return { ...state, platform: true };
    case 'platform-up':
      return { ...state, platform: false };
    case 'outriggers':
      return { ...state, outriggers: true };
    case 'outriggers-in':
      return { ...state, outriggers: false };
    case 'clean-exhaust':
      return { ...state, cleanAt: state.cleanAt ?? at + pace.exhaustCleaning * 1000 };
  }
}

function applyWord(state: VehicleState, what: Affirmation, at: number): VehicleState {
  switch (what) {
    case 'engine-cold':
      return { ...state, coldAt: Math.min(state.coldAt ?? at, at) };
    case 'air-up':
      return { ...state, airAt: Math.min(state.airAt, at) };
    case 'oil-warm':
      return { ...state, oilAt: Math.min(state.oilAt, at) };
    case 'oil-settled':
      return { ...state, settledAt: state.settledAt ?? at };
    case 'engine-warm':
      return { ...state, warmAt: Math.min(state.warmAt, at) };
    case 'exhaust-clean':
      return { ...state, cleanAt: undefined };
    case 'three-points':
    case 'area-clear':
      return state;
  }
}

/**
 * A clock of the phone that was set forward has not made the oil run faster: what was running then ends that much later
 * by the new clock, and what was set back, that much earlier.
 */
function shiftClocks(state: VehicleState, { clockMoves }: Course): VehicleState {
  let { airAt, oilAt, coldAt, settledAt, warmAt, cleanAt } = state;
  for (const { at, seconds } of clockMoves) {
    // `at` is by the new clock.
    const before = at - seconds * 1000;
    const shift = (due: number) => (due > before && due < Infinity ? due + seconds * 1000 : due);
    airAt = shift(airAt);
    oilAt = shift(oilAt);
    coldAt = coldAt === undefined ? undefined : shift(coldAt);
    settledAt = settledAt === undefined ? undefined : shift(settledAt);
    warmAt = shift(warmAt);
    cleanAt = cleanAt === undefined ? undefined : shift(cleanAt);
  }
  return { ...state, airAt, oilAt, coldAt, settledAt, warmAt, cleanAt };
}

/** What is still as no vehicle may be driven: changes that put it back. */
export function leftStanding(state: VehicleState): VehicleChange[] {
  return [
    ...(state.hood ? (['hood-closed'] as const) : []),
    ...(state.propped ? (['prop-away'] as const) : []),
    ...(state.platform ? (['platform-up'] as const) : []),
    ...(state.outriggers ? (['outriggers-in'] as const) : []),
    ...(state.powerTakeOff ? (['power-take-off-off'] as const) : []),
    ...(state.brake === 'released' ? (['set-brake'] as const) : []),
    ...(state.chocks ? (['chocks-out'] as const) : []),
  ];
}
