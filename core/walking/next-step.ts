import { barsMovement } from '../grading';
import type { Inspection } from '../inspection';
import { NEEDS } from '../catalogue';
import { findEarlier, layoutOf, precedesStart, wantAt, type WaitsBecause } from '../planning';
import type { CheckInstance, Rig, RigZone } from '../rig';
import {
  bitOf,
  dimension,
  layWant,
  nextReach,
  requirementOf,
  slotName,
  transitionOf,
  type Affirmation,
  type Clock,
  type LaidWant,
  type Layout,
  type Requirement,
  type VehicleChange,
} from '../vehicle';
import { airLevel, airReached, isRunning, type VehicleState } from './vehicle-state';

/** What must be done, waited for or vouched for before a check can be called sound. */
export type NextStep =
  | {
      readonly kind: 'do';
      readonly change: VehicleChange;
      /** The unit that it is done to, where it is one of the rig's. */
      readonly unitId?: string;
      /** Nobody has said how it stands: it is looked at, and done where it is not so. */
      readonly look?: true;
    }
  | {
      readonly kind: 'wait';
      readonly clock: Clock;
      /** Milliseconds since 1970; Infinity while nothing has started it. */
      readonly until: number;
      /** A gauge or a hand may tell it sooner. */
      readonly orWord?: Affirmation;
    }
  /** Another check comes first, wherever the driver has gone. */
  | {
      readonly kind: 'first';
      readonly key: string;
      readonly title: string;
      readonly because: WaitsBecause | 'lamp-test' | 'cab-ready' | 'start' | 'open-defect';
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
  /** Checks with a defect that stops, open since an earlier walk and not looked at on this one. */
  readonly openStops?: ReadonlySet<string>;
  /** Milliseconds since 1970. */
  readonly now: number;
}

/**
 * The next thing before this check, in the order in which it is safe: made from the table of how a vehicle stands (core/vehicle), so
 * that a hood is closed behind one, chocks are in before anything is let go or reached under, what is out comes in before anything
 * rolls. Three points before a climb, a cold engine before a cap, a look round before anything moves. Undefined when the check may
 * be made.
 */
export function nextStep(request: StepRequest): NextStep | undefined {
  const { instance, rig, inspection, tags, now, state } = request;
  const requirement = requirementOf(instance.check);
  const zone = rig.zones.find(({ key }) => key === instance.zoneKey);
  const layout = layoutOf(rig);
  const want = wantAt(rig, zone, requirement, instance.unit.id);
  const values = valuesNow(layout, state, instance);
  return (
    earlier(request) ??
    leftOpen(layout, values, want, state, now) ??
    gate(zone, inspection, rig) ??
    (requirement.starts ? firstStart(request, started(layout, values, state, now)) : undefined) ??
    stowed(requirement, layout, values, instance) ??
    firstStart(request, reach(layout, values, want, state, now)) ??
    clocks(requirement, state, now) ??
    vouched(request) ??
    (tags.has(instance.zoneKey) && !inspection.course.present.has(instance.zoneKey)
      ? { kind: 'tag', zone: instance.zoneKey }
      : undefined)
  );
}

/** What must have an answer before this check, whichever way the driver came here. */
function earlier(request: StepRequest): NextStep | undefined {
  const { instance, rig, inspection, openStops } = request;
  const { answers, course } = inspection;
  // What somebody has found broken is looked at again before anything moves that it holds.
  const broken =
    openStops &&
    rig.instances.find(
      (each) => openStops.has(each.key) && !answers.has(each.key) && barsMovement(each, instance),
    );
  if (broken) return toFirst(broken, 'open-defect');
  const found = findEarlier(
    instance,
    rig,
    ({ key, unit }) => !answers.has(key) && !course.dropped.has(unit.id),
    inspection.begun?.phase,
  );
  return found && toFirst(found.instance, found.because);
}

function toFirst(
  { key, check, place }: CheckInstance,
  because: Extract<NextStep, { kind: 'first' }>['because'],
): NextStep {
  return {
    kind: 'first',
    key,
    title: place ? `${check.title} (${place.title})` : check.title,
    because,
  };
}

/**
 * The first start of a walk is the guided one; cab and warning lamps come before it. An engine that was started already asks for
 * none of them.
 */
function firstStart(
  { instance, rig, inspection: { answers, course } }: StepRequest,
  step: NextStep | undefined,
): NextStep | undefined {
  if (step?.kind !== 'do' || step.change !== 'start') return step;
  if (course.changes.some(({ change }) => change === 'start')) return step;
  const open = rig.instances.filter(
    ({ key, unit }) => !answers.has(key) && !course.dropped.has(unit.id),
  );
  const before = open.find(({ check, key }) => precedesStart(check) && key !== instance.key);
  if (before)
    return toFirst(before, before.check.needs.includes('key-on') ? 'lamp-test' : 'cab-ready');
  const guided = open.find(({ check, key }) => check.guide && key !== instance.key);
  return guided ? toFirst(guided, 'start') : step;
}

/** One bit for each slot; 0 where nobody has said it. What a check does itself is no condition of it there. */
function valuesNow(
  layout: Layout,
  state: VehicleState,
  { check, unit }: CheckInstance,
): Uint8Array {
  const does = (check.does ?? []).flatMap((change) => transitionOf(change) ?? []);
  return Uint8Array.from(layout.slots, (slot) => {
    const value = state.values[slotName(slot)];
    if (value !== undefined) return bitOf(slot.dimension, value);
    const own = slot.unit === undefined || slot.unit === unit.id;
    const done = own ? does.findLast(({ of }) => of === slot.dimension) : undefined;
    return done ? bitOf(slot.dimension, done.to) : 0;
  });
}

function reach(
  layout: Layout,
  values: Uint8Array,
  want: LaidWant,
  state: VehicleState,
  now: number,
): NextStep | undefined {
  const next = nextReach(layout, values, want, airLevel(state, now));
  if (!next) return undefined;
  if (next.kind === 'air')
    return { kind: 'wait', clock: 'air', until: airReached(state, next.atLeast), orWord: 'air-up' };
  const { change, unit, slot } = next;
  // An exhaust that is being cleaned is not cut short.
  if (change === 'shut-down' && state.cleanAt !== undefined && state.cleanAt > now)
    return { kind: 'wait', clock: 'clean', until: state.cleanAt, orWord: 'exhaust-clean' };
  return {
    kind: 'do',
    change,
    ...(unit !== undefined && { unitId: unit }),
    ...(unit !== undefined && values[slot] === 0 && { look: true as const }),
  };
}

/** Whoever leaves the engine bay closes it, before climbing anywhere. */
function leftOpen(
  layout: Layout,
  values: Uint8Array,
  want: LaidWant,
  state: VehicleState,
  now: number,
): NextStep | undefined {
  const bay = layout.slotOf('bay');
  if (bay === undefined || values[bay] === bitOf('bay', 'closed')) return undefined;
  const at = want.pairs.findIndex((slot, index) => index % 2 === 0 && slot === bay);
  if (at < 0 || (values[bay] & want.pairs[at + 1]) !== 0) return undefined;
  return reach(
    layout,
    values,
    { ...want, pairs: want.pairs.slice(at, at + 2), air: 0 },
    state,
    now,
  );
}

/** Before the first roll everything of this rig that could be out is in: where nobody has said so, it is asked, all at once. */
function stowed(
  { rolls }: Requirement,
  layout: Layout,
  values: Uint8Array,
  { zoneKey }: CheckInstance,
): NextStep | undefined {
  if (!rolls) return undefined;
  const unsaid = layout.slots.some(
    (slot, at) =>
      values[at] === 0 &&
      slot.dimension !== 'chocks' &&
      dimension(slot.dimension).rolling !== undefined,
  );
  return unsaid ? { kind: 'affirm', what: 'all-stowed', zone: zoneKey } : undefined;
}

/** What no clock and no switch can tell: nobody in the way, the pedal held, a need that this version does not know. */
function vouched({ instance, inspection }: StepRequest): NextStep | undefined {
  const { needs } = instance.check;
  const asked: readonly (readonly [Affirmation, boolean])[] = [
    ['as-asked', needs.some((need) => !KNOWN.has(need))],
    ['pedal-held', needs.includes('pedal-held-by-helper') || needs.includes('pedal-held-by-stick')],
    ['area-clear', needs.includes('area-clear')],
  ];
  const open = asked.find(([what, holds]) => holds && !wasSaid(inspection, what, instance));
  return open && { kind: 'affirm', what: open[0], zone: instance.zoneKey };
}

const KNOWN: ReadonlySet<string> = new Set(NEEDS);

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

/** The check is the start itself: it is made step by step, and answered by it. */
function started(
  layout: Layout,
  values: Uint8Array,
  state: VehicleState,
  now: number,
): NextStep | undefined {
  if (isRunning(state)) return undefined;
  const want = layWant(layout, { states: { engine: ['idling'] }, rolls: false }, undefined);
  return reach(layout, values, want, state, now);
}

function clocks(
  { clocks: wanted }: Requirement,
  state: VehicleState,
  now: number,
): NextStep | undefined {
  if (wanted.includes('oil') && state.oilAt > now)
    return { kind: 'wait', clock: 'oil', until: state.oilAt, orWord: 'oil-warm' };
  if (wanted.includes('warm') && state.warmAt > now)
    return { kind: 'wait', clock: 'warm', until: state.warmAt, orWord: 'engine-warm' };
  // Where the engine ran on this walk the clock knows it; where nobody told, the driver must.
  if (wanted.includes('settle') && state.settledAt === undefined)
    return { kind: 'wait', clock: 'settle', until: now, orWord: 'oil-settled' };
  if (wanted.includes('settle') && state.settledAt !== undefined && state.settledAt > now)
    return { kind: 'wait', clock: 'settle', until: state.settledAt };
  if (wanted.includes('cold')) {
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
