import fc from 'fast-check';
import type { Phase } from '../catalogue';
import { policiesFor } from '../grading';
import { assess, fold } from '../inspection';
import { inWords, judgePlan, parked, type JudgedAct, type JudgedWalk } from '../judge';
import { layoutOf, USUAL_PACE } from '../planning';
import type { CheckInstance, Rig } from '../rig';
import { begunOf, faultOf, makeLog, rigNames, rigOf, startsAt, walkId } from '../testing';
import { endOf, slotName, transitionOf, type VehicleChange } from '../vehicle';
import {
  airReached,
  findForbidden,
  isRunning,
  leftStanding,
  nextStep,
  settingOf,
  vehicleState,
} from '.';

interface Walked {
  readonly acts: JudgedAct[];
  readonly failed: NonNullable<JudgedWalk['failed']>[number][];
  /** What the phone forbids, and nobody makes. */
  readonly leftOut: Set<string>;
}

/**
 * A driver who goes wherever the dice say, does what the phone asks before each check and leaves out what it forbids. Whatever the
 * order and whatever is found, the judge of plans must find none of the fourteen rules broken: they hold in the walk itself, not only
 * in the plan.
 * @param everyFault of so many checks that could stop, one does
 */
function walkAnyhow(
  rig: Rig,
  phase: Phase,
  order: readonly number[],
  everyFault = Infinity,
): Walked {
  const log = makeLog();
  log.add('begun', { ...begunOf(rig), phase });
  let now = startsAt + 1000;
  const acts: JudgedAct[] = [];
  const failed: Walked['failed'] = [];
  const leftOut: Walked['leftOut'] = new Set();
  let couldStop = order[0] ?? 0;
  let atSeat = false;
  const layout = layoutOf(rig);
  const look = () => {
    const inspection = fold(walkId, log.events);
    if (!inspection.begun) throw new Error('not begun');
    return { inspection, state: vehicleState(inspection, settingOf(inspection.begun, rig)) };
  };
  const time = (seconds: number) => {
    const at = (now - startsAt) / 1000;
    now += seconds * 1000;
    return { at, seconds };
  };
  const goTo = (seat: boolean) => {
    if (seat !== atSeat) acts.push({ act: 'go', to: seat ? 'seat' : 'ground', ...time(5) });
    atSeat = seat;
  };
  const change = (what: VehicleChange, unitId?: string) => {
    const where = transitionOf(what)?.where;
    const zone = rig.zones.find(({ round, unit }) => round === 'equipment' && unit.id === unitId);
    // Controls in the cab are worked from the seat.
    const inCab = zone !== undefined && /plow|wing|blade/.test(zone.id);
    goTo(where === 'seat' || (where === 'controls' && inCab));
    acts.push({
      act: 'change',
      change: what,
      ...(unitId !== undefined && { unit: unitId }),
      ...time(5),
    });
    log.add('changed', { change: what, ...(unitId !== undefined && { unitId }) }, undefined, now);
  };
  /** A movement outside of a check: the driver gives it the power that it needs, as its own transition says. */
  const move = (what: VehicleChange, unitId: string | undefined) => {
    const asks = transitionOf(what)?.before ?? [];
    const power = asks.some(({ of }) => of === 'power');
    if (power || asks.some((each) => each.of === 'engine' && each.in?.includes('idling'))) {
      change('set-brake');
      if (!isRunning(look().state)) change('start');
      if (power && look().state.values.powerTakeOff === 'out') change('power-take-off');
      // Upper works have an engine of their own; a check may have had it stopped since.
      const own = layout.slots.find(
        (slot) => slot.dimension === 'ownEngine' && slot.unit === unitId,
      );
      if (power && own && look().state.values[slotName(own)] === 'off')
        change('own-engine-start', own.unit);
    }
    change(what, unitId);
  };
  /** Asked whether everything is in, this driver looks first, and raises what lies on the ground. */
  const raise = () => {
    for (const slot of layout.slots)
      if (slot.dimension === 'blade' && look().state.values[slotName(slot)] === undefined)
        move('blade-up', slot.unit);
  };
  const assessed = () =>
    assess({
      inspection: fold(walkId, log.events),
      rig,
      policiesOf: () => policiesFor(['two-step'], []),
      known: [],
      unread: [],
    });
  /** Every so often a check finds what stops; what it is, is told by the dice too. */
  const answer = (instance: CheckInstance) => {
    const stopping = instance.check.symptoms.filter(({ harm }) => harm === 'stop');
    const symptom = stopping[couldStop % stopping.length];
    if (!symptom || (couldStop += 1) % everyFault !== 0) {
      log.add('answered', { key: instance.key, outcome: 'sound' }, undefined, now);
      return;
    }
    log.add('faulted', faultOf(instance, symptom.id), undefined, now);
    if (assessed().byKey.get(instance.key)?.state === 'major')
      failed.push({ key: instance.key, words: symptom.words, at: (now - startsAt) / 1000 });
  };
  const make = (instance: CheckInstance, depth: number): void => {
    for (let count = 0; count < 60; count += 1) {
      const { inspection, state } = look();
      if (inspection.answers.has(instance.key)) return;
      if (failed.length > 0 && findForbidden(assessed()).has(instance.key)) {
        const payload = { key: instance.key, outcome: 'not-looked', reason: 'Forbidden' } as const;
        log.add('answered', payload, undefined, now);
        leftOut.add(instance.key);
        return;
      }
      const step = nextStep({ instance, rig, inspection, state, tags: new Set(), now });
      if (!step) break;
      switch (step.kind) {
        case 'do':
          change(step.change, step.unitId);
          break;
        case 'first': {
          const first = rig.instances.find(({ key }) => key === step.key);
          if (!first || depth > 30) throw new Error(`${step.key} never comes first`);
          make(first, depth + 1);
          break;
        }
        case 'affirm':
          if (step.what === 'all-stowed') raise();
          log.add('affirmed', { what: step.what, zone: step.zone }, undefined, now);
          break;
        case 'wait': {
          const until =
            step.clock === 'air' ? Math.max(airReached(state, 120), step.until) : step.until;
          if (until === Infinity) throw new Error(`${step.clock} never ends`);
          const seconds = Math.max(1, (until - now) / 1000);
          acts.push({ act: 'wait', ...time(seconds) });
          if (step.orWord && step.clock !== 'air')
            log.add('affirmed', { what: step.orWord, zone: instance.zoneKey }, undefined, now);
          break;
        }
        case 'tag':
          throw new Error('no tag is asked here');
      }
      if (count === 59) throw new Error(`${instance.key} is never reached`);
    }
    const zone = rig.zones.find(({ key }) => key === instance.zoneKey);
    goTo(zone?.round === 'cab' || zone?.round === 'brakes');
    acts.push({ act: 'check', key: instance.key, ...time(instance.check.seconds) });
    answer(instance);
    for (const does of instance.check.does ?? []) {
      const of = transitionOf(does);
      const own = of && layout.slotOf(of.of, instance.unit.id) !== undefined;
      log.add(
        'changed',
        {
          change: does,
          ...(own && layout.slots.some(({ unit }) => unit) && { unitId: instance.unit.id }),
        },
        undefined,
        now,
      );
    }
  };
  const left = [...rig.instances];
  for (const pick of order) {
    if (left.length === 0) break;
    const [instance] = left.splice(pick % left.length, 1);
    make(instance, 0);
  }
  if (endOf(phase) === 'ready to leave') raise();
  // The end: what the sign screen asks to be put back, one after the other.
  for (let count = 0; count < 30; count += 1) {
    const [first] = leftStanding(look().state, layout, phase);
    if (!first) break;
    move(first.change, first.unitId);
  }
  return { acts, failed, leftOut };
}

const judged = (rig: Rig, phase: Phase, { acts, failed, leftOut }: Walked): string[] =>
  judgePlan({
    rig,
    phase,
    acts,
    failed,
    leftOut,
    beginning: parked(rig, phase),
    buildUpSeconds: USUAL_PACE.airBuildUp,
  }).map(inWords);

it('keeps the fourteen rules wherever the driver goes', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...rigNames),
      fc.constantFrom<Phase>('pre-trip', 'post-trip', 'weekly', 'before-use'),
      fc.array(fc.nat({ max: 999 }), { minLength: 25, maxLength: 60 }),
      (name, phase, order) => {
        const rig = rigOf(name, phase);
        if (rig.instances.length === 0) return;
        expect(judged(rig, phase, walkAnyhow(rig, phase, order))).toEqual([]);
      },
    ),
    { numRuns: 150 },
  );
});

it('moves nothing that a fault holds, wherever the driver goes and whatever is found', () => {
  let found = 0;
  fc.assert(
    fc.property(
      fc.constantFrom(...rigNames),
      fc.constantFrom<Phase>('pre-trip', 'weekly', 'before-use'),
      fc.array(fc.nat({ max: 999 }), { minLength: 25, maxLength: 60 }),
      fc.integer({ min: 4, max: 12 }),
      (name, phase, order, everyFault) => {
        const rig = rigOf(name, phase);
        if (rig.instances.length === 0) return;
        const walked = walkAnyhow(rig, phase, order, everyFault);
        found += walked.failed.length;
        expect(judged(rig, phase, walked)).toEqual([]);
      },
    ),
    { numRuns: 80 },
  );
  // The dice have put faults there at all.
  expect(found).toBeGreaterThan(80);
});
