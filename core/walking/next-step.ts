import type { Inspection } from '../inspection';
import {
  requirementOf,
  type Affirmation,
  type Clock,
  type Requirement,
  type VehicleChange,
} from '../planning';
import type { CheckInstance, Rig, RigZone } from '../rig';
import type { VehicleState } from './vehicle-state';

/** What must be done, waited for or vouched for before a check can be called sound. */
export type NextStep =
  | { readonly kind: 'do'; readonly change: VehicleChange }
  | {
      readonly kind: 'wait';
      readonly clock: Clock;
      /** Milliseconds since 1970; Infinity while nothing has started it. */
      readonly until: number;
      /** A gauge or a hand may tell it sooner. */
      readonly orWord?: Affirmation;
    }
  | { readonly kind: 'affirm'; readonly what: Affirmation; readonly zone: string }
  /** The tag of this stop must be read first. */
  | { readonly kind: 'tag'; readonly zone: string };

export interface StepRequest {
  readonly instance: CheckInstance;
  readonly rig: Rig;
  readonly inspection: Inspection;
  readonly state: VehicleState;
  /** Stops whose tag must be read. */
  readonly tags: ReadonlySet<string>;
  /** Milliseconds since 1970. */
  readonly now: number;
}

/**
 * The next thing before this check, in the order in which it is safe: a hood closed behind one, chocks before anything is let go or reached under,
 * three points before a climb, a cold engine before a cap. Undefined when the check may be made.
 */
export function nextStep(request: StepRequest): NextStep | undefined {
  const { instance, rig, inspection, tags, now } = request;
  const state = withDoing(instance, request.state);
  const want = requirementOf(instance.check);
  const zone = rig.zones.find(({ key }) => key === instance.zoneKey);
  return (
    leftOpen(zone, state) ??
    gate(zone, inspection, rig) ??
    (instance.check.guide === 'engine-start' ? started(state) : undefined) ??
    stance(want, zone, state, now) ??
    clocks(want, state, now) ??
    (instance.check.needs.includes('area-clear') && !wasSaid(inspection, 'area-clear', instance)
      ? { kind: 'affirm', what: 'area-clear', zone: instance.zoneKey }
      : tags.has(instance.zoneKey) && !inspection.course.present.has(instance.zoneKey)
        ? { kind: 'tag', zone: instance.zoneKey }
        : undefined)
  );
}

/** What a check itself does is no condition of it, where nobody has said that it stands otherwise. */
function withDoing({ check }: CheckInstance, state: VehicleState): VehicleState {
  if (!check.does) return state;
  const does = new Set(check.does);
  return {
    ...state,
    engine: state.engine ?? (does.has('shut-down') ? 'off' : undefined),
    brake: state.brake ?? (does.has('set-brake') ? 'set' : undefined),
    chocks: state.chocks ?? (does.has('chocks-in') ? true : undefined),
  };
}

/** Whoever leaves the engine bay closes it, before climbing anywhere. */
function leftOpen(zone: RigZone | undefined, { hood }: VehicleState): NextStep | undefined {
  return hood && zone && zone.round !== 'engine-bay'
    ? { kind: 'do', change: 'hood-closed' }
    : undefined;
}

/** Up where one climbs: said at each climb, not at each check. */
function gate(
  zone: RigZone | undefined,
  { course, answers }: Inspection,
  rig: Rig,
): NextStep | undefined {
  if (!zone || !UP.has(zone.round)) return undefined;
  const up = course.affirmed.filter(({ what }) => what === 'three-points').at(-1);
  const stillUp =
    up?.zone.split('/')[0] === zone.unit.id &&
    // Nothing was answered on the ground since.
    rig.instances.every(({ key, zoneKey }) => {
      const answer = answers.get(key);
      return !answer || (answer.order ?? 0) <= (up.order ?? 0) || UP.has(roundOf(rig, zoneKey));
    });
  return stillUp ? undefined : { kind: 'affirm', what: 'three-points', zone: zone.key };
}

const UP = new Set<RigZone['round']>(['cab', 'aboard', 'brakes']);

const rounds = new WeakMap<Rig, ReadonlyMap<string, RigZone['round']>>();

function roundOf(rig: Rig, zoneKey: string): RigZone['round'] {
  let byKey = rounds.get(rig);
  if (!byKey) {
    byKey = new Map(rig.zones.map(({ key, round }) => [key, round]));
    rounds.set(rig, byKey);
  }
  return byKey.get(zoneKey) ?? 'outside';
}

function stance(
  want: Requirement,
  zone: RigZone | undefined,
  state: VehicleState,
  now: number,
): NextStep | undefined {
  const change = (one: VehicleChange): NextStep => ({ kind: 'do', change: one });
  if (want.brake === 'set' && state.brake !== 'set') return change('set-brake');
  if (want.chocks === 'in' && !state.chocks) return change('chocks-in');
  if (want.engine === 'on' && state.engine !== 'on') return startFrom(state);
  // Air is pumped only while the engine runs, so it is waited for before it is shut down.
  if (want.air && state.airAt > now)
    return state.engine === 'on' ? waitForAir(state) : startFrom(state);
  if ((want.engine === 'off' || want.engine === 'cold') && state.engine !== 'off')
    return state.cleanAt !== undefined && state.cleanAt > now
      ? { kind: 'wait', clock: 'clean', until: state.cleanAt, orWord: 'exhaust-clean' }
      : change('shut-down');
  if (want.chocks === 'out' && state.chocks !== false)
    return change(state.brake === 'released' ? 'set-brake' : 'chocks-out');
  if (want.key && !state.key) return change('key-on');
  if (want.lamps && !state.lamps) return change('lamps-on');
  // A released brake has chocks under it, except where it is tried by rolling.
  if (want.brake === 'released' && want.chocks !== 'out' && !state.chocks)
    return change('chocks-in');
  if (want.brake === 'released' && state.brake !== 'released') return change('release-brake');
  if (want.powerTakeOff && !state.powerTakeOff) return change('power-take-off');
  if (zone?.round === 'engine-bay' && !state.hood) return change('hood-open');
  if (want.propped && !state.propped) return change('prop');
  if (want.platform && !state.platform) return change('platform-down');
  if (want.outriggers && !state.outriggers) return change('outriggers');
  return undefined;
}

/** The check is the start itself: it is made step by step, and answered by it. */
function started(state: VehicleState): NextStep | undefined {
  return state.engine === 'on' ? undefined : startFrom(state);
}

function waitForAir({ airAt }: VehicleState): NextStep {
  return { kind: 'wait', clock: 'air', until: airAt, orWord: 'air-up' };
}

/** No engine is started with the brake released. */
function startFrom({ brake }: VehicleState): NextStep {
  return { kind: 'do', change: brake === 'released' ? 'set-brake' : 'start' };
}

function clocks(want: Requirement, state: VehicleState, now: number): NextStep | undefined {
  if (want.oilWarm && state.oilAt > now)
    return { kind: 'wait', clock: 'oil', until: state.oilAt, orWord: 'oil-warm' };
  if (want.engineWarm && state.warmAt > now)
    return { kind: 'wait', clock: 'warm', until: state.warmAt, orWord: 'engine-warm' };
  // Where the engine ran on this walk the clock knows it; where nobody told, the driver must.
  if (want.settled && state.settledAt === undefined)
    return { kind: 'wait', clock: 'settle', until: now, orWord: 'oil-settled' };
  if (want.settled && state.settledAt !== undefined && state.settledAt > now)
    return { kind: 'wait', clock: 'settle', until: state.settledAt };
  if (want.engine === 'cold') {
    if (state.coldAt === undefined || state.coldAt > now)
      return {
        kind: 'wait',
        clock: 'cold',
        until: state.coldAt ?? now,
        orWord: 'engine-cold',
      };
  }
  return undefined;
}

function wasSaid({ course }: Inspection, what: Affirmation, instance: CheckInstance): boolean {
  return course.affirmed.some((each) => each.what === what && each.zone === instance.zoneKey);
}
