import fc from 'fast-check';
import { fold, requiredTags, type Inspection } from '../inspection';
import { requirementOf, TRANSITIONS, VEHICLE_CHANGES } from '../vehicle';
import { decidesStopping } from '../planning';
import {
  answerSound,
  begunOf,
  instanceOf,
  makeLog,
  makeRig,
  rigOf,
  startsAt,
  walkId,
} from '../testing';
import {
  airLevel,
  isRunning,
  nextStep,
  settingOf,
  valueOf,
  vehicleState,
  type NextStep,
  type VehicleState,
} from '.';

const rig = makeRig();

interface Seen {
  readonly inspection: Inspection;
  readonly state: VehicleState;
}

function seen(log: ReturnType<typeof makeLog>): Seen {
  const inspection = fold(walkId, log.events);
  if (!inspection.begun) throw new Error('not begun');
  return { inspection, state: vehicleState(inspection, settingOf(inspection.begun, rig)) };
}

function begun() {
  const log = makeLog();
  log.add('begun', begunOf(rig));
  return log;
}

/** Engine off, key away, brake set, chocks in: as the first check leaves it. */
function secured() {
  const log = begun();
  for (const change of ['shut-down', 'set-brake', 'chocks-in', 'key-off'] as const)
    log.add('changed', { change });
  return log;
}

const later = startsAt + 10 * 3_600_000;
const stepFor = (
  log: ReturnType<typeof makeLog>,
  ending: string,
  now = later,
  tags: ReadonlySet<string> = new Set(),
) => nextStep({ instance: instanceOf(rig, ending), rig, ...seen(log), tags, now });

it('sets chocks before anybody reaches under, and says so once', () => {
  const log = begun();
  const under = instanceOf(rig, 'truck.frame.rail/side-left').key;
  const asked: unknown[] = [];
  for (let step = stepFor(log, under); step?.kind === 'do'; step = stepFor(log, under)) {
    asked.push(step.change);
    log.add('changed', { change: step.change });
  }
  expect(asked).toEqual(['set-brake', 'chocks-in', 'shut-down', 'key-off']);
  expect(stepFor(log, under)).toBeUndefined();
});

it('does not ask first for what the check itself does, unless it was said to stand otherwise', () => {
  const log = begun();
  expect(stepFor(log, 'truck.approach.secured')).toBeUndefined();
  log.add('changed', { change: 'set-brake' });
  log.add('changed', { change: 'start' });
  expect(stepFor(log, 'truck.approach.secured')).toEqual({ kind: 'do', change: 'shut-down' });
});

it('asks for a cold engine before the cap, again after it has run', () => {
  const log = secured();
  log.add('changed', { change: 'hood-open' });
  const ask = { kind: 'wait', clock: 'cold', orWord: 'engine-cold' };
  expect(stepFor(log, 'coolant-level')).toMatchObject(ask);
  log.add('affirmed', { what: 'engine-cold', zone: 'x' });
  expect(stepFor(log, 'coolant-level')).toBeUndefined();
  log.add('changed', { change: 'start' });
  log.add('changed', { change: 'shut-down' }, undefined, startsAt + 60_000);
  log.add('changed', { change: 'key-off' }, undefined, startsAt + 61_000);
  expect(stepFor(log, 'coolant-level', startsAt + 120_000)).toMatchObject(ask);
  expect(stepFor(log, 'coolant-level', startsAt + 60_000 + 1_800_000)).toBeUndefined();
});

it('does not shut the engine off while the exhaust cleans itself, until its lamp is out', () => {
  const log = begun();
  log.add('changed', { change: 'set-brake' });
  log.add('changed', { change: 'start' }, undefined, startsAt);
  log.add('changed', { change: 'clean-exhaust' }, undefined, startsAt + 1_000);
  const step = () => stepFor(log, 'truck.approach.secured', startsAt + 60_000);
  expect(step()).toEqual({
    kind: 'wait',
    clock: 'clean',
    until: startsAt + 1_201_000,
    orWord: 'exhaust-clean',
  });
  log.add('affirmed', { what: 'exhaust-clean', zone: 'x' }, undefined, startsAt + 50_000);
  expect(step()).toEqual({ kind: 'do', change: 'shut-down' });
});

it('closes the hood behind whoever leaves the engine bay, and asks for it no more than once', () => {
  const log = secured();
  log.add('changed', { change: 'hood-open' });
  expect(stepFor(log, 'truck.approach.lean')).toEqual({ kind: 'do', change: 'hood-closed' });
  expect(stepFor(log, 'oil-level')).not.toEqual({ kind: 'do', change: 'hood-closed' });
  log.add('changed', { change: 'hood-closed' });
  expect(stepFor(log, 'truck.approach.lean')).toBeUndefined();
  expect(stepFor(log, 'oil-level')).toEqual({ kind: 'do', change: 'hood-open' });
});

it('waits for a warm engine at the heater, or for a gauge that tells it', () => {
  const log = secured();
  log.add('affirmed', { what: 'three-points', zone: instanceOf(rig, 'defroster').zoneKey });
  log.add('changed', { change: 'start' }, undefined, startsAt);
  const step = (now: number) => stepFor(log, 'defroster', now);
  expect(step(startsAt + 60_000)).toEqual({
    kind: 'wait',
    clock: 'warm',
    until: startsAt + 300_000,
    orWord: 'engine-warm',
  });
  expect(step(startsAt + 300_000)).toBeUndefined();
  log.add('affirmed', { what: 'engine-warm', zone: 'x' }, undefined, startsAt + 61_000);
  expect(step(startsAt + 62_000)).toBeUndefined();
});

it('lets the oil run back for three minutes, and takes nobody’s word for less', () => {
  const log = secured();
  log.add('changed', { change: 'start' }, undefined, startsAt);
  log.add('changed', { change: 'shut-down' }, undefined, startsAt + 60_000);
  log.add('changed', { change: 'key-off' }, undefined, startsAt + 61_000);
  log.add('changed', { change: 'hood-open' }, undefined, startsAt + 62_000);
  const step = stepFor(log, 'oil-level', startsAt + 100_000);
  expect(step).toEqual({ kind: 'wait', clock: 'settle', until: startsAt + 240_000 });
  expect(stepFor(log, 'oil-level', startsAt + 240_000)).toBeUndefined();
});

it('asks for three points at each climb, not at each check', () => {
  const log = begun();
  const seat = instanceOf(rig, 'truck.engine.start');
  const gate = { kind: 'affirm', what: 'three-points' };
  expect(stepFor(log, seat.key)).toMatchObject(gate);
  log.add('affirmed', { what: 'three-points', zone: seat.zoneKey });
  expect(stepFor(log, seat.key)).not.toEqual({ ...gate, zone: seat.zoneKey });
  // Down again, and up.
  const outside = rig.instances.find(({ zoneKey }) => zoneKey.endsWith('/rear'));
  log.add('answered', { key: outside?.key ?? '', outcome: 'sound' });
  expect(stepFor(log, seat.key)).toMatchObject(gate);
});

it('asks no second time for the same climb because the clock of the phone was set back', () => {
  const log = begun();
  const outside = rig.instances.find(({ zoneKey }) => zoneKey.endsWith('/rear'));
  log.add('answered', { key: outside?.key ?? '', outcome: 'sound' }, undefined, later);
  const { key, zoneKey } = instanceOf(rig, 'truck.engine.start');
  log.add('affirmed', { what: 'three-points', zone: zoneKey }, undefined, startsAt);
  expect(stepFor(log, key)).not.toMatchObject({ what: 'three-points' });
});

it('never lets go of the brake without chocks, nor starts with it let go', () => {
  const log = secured();
  log.add('changed', { change: 'chocks-out' });
  const slack = instanceOf(rig, 'truck.brake.slack/steer-left');
  expect(stepFor(log, slack.key)).toMatchObject({ change: 'chocks-in' });
  const off = begun();
  off.add('affirmed', { what: 'three-points', zone: `${rig.units[0].unit.id}/seat` });
  off.add('changed', { change: 'release-brake' });
  const idling = instanceOf(rig, 'truck.electrical.charge');
  expect(stepFor(off, idling.key)).toEqual({ kind: 'do', change: 'set-brake' });
});

it('makes air before it lets the brake go: an engine that runs, then a wait', () => {
  const log = secured();
  // The cab is made ready and the lamps are watched before the first start, and that is the guided one.
  for (const [ending, because] of [
    ['truck.cab.seat', 'cab-ready'],
    ['truck.cab.belt', 'cab-ready'],
    ['truck.cab.pedals', 'cab-ready'],
    ['truck.cab.gauges', 'lamp-test'],
    ['truck.mirror.set', 'cab-ready'],
    ['truck.engine.start', 'start'],
  ]) {
    const { key } = instanceOf(rig, ending);
    expect(stepFor(log, instanceOf(rig, 'truck.brake.slack/steer-left').key)).toMatchObject({
      kind: 'first',
      key,
      because,
    });
    log.add('answered', { key, outcome: 'not-looked', reason: 'Somebody else did' });
  }
  const slack = instanceOf(rig, 'truck.brake.slack/steer-left').key;
  expect(stepFor(log, slack, startsAt)).toEqual({ kind: 'do', change: 'start' });
  log.add('changed', { change: 'start' }, undefined, startsAt);
  log.add('changed', { change: 'shut-down' }, undefined, startsAt + 20_000);
  log.add('changed', { change: 'key-off' }, undefined, startsAt + 21_000);
  // Twenty seconds made 22 psi; a brake is not let go on that.
  expect(stepFor(log, slack, startsAt + 30_000)).toEqual({ kind: 'do', change: 'start' });
});

describe('before a use', () => {
  const bus = rigOf('school bus', 'before-use');
  const asks = (ending: string, phase: 'before-use' | 'pre-trip') => {
    const log = makeLog();
    log.add('begun', { ...begunOf(bus), phase });
    const inspection = fold(walkId, log.events);
    if (!inspection.begun) throw new Error('not begun');
    const state = vehicleState(inspection, settingOf(inspection.begun, bus));
    return nextStep({
      instance: instanceOf(bus, ending),
      rig: bus,
      inspection,
      state,
      tags: new Set(),
      now: later,
    });
  };

  it('nobody is carried before place and lift were looked over', () => {
    expect(asks('passenger-lift.carry', 'before-use')).toMatchObject({
      kind: 'first',
      because: 'use',
    });
  });

  it('what is only looked at waits for nothing of the use', () => {
    for (const ending of ['passenger-lift.labels', 'passenger-lift.clear-zone'])
      expect(asks(ending, 'before-use')).not.toMatchObject({ because: 'use' });
  });

  it('the order of a use is no matter of another walk', () => {
    expect(asks('passenger-lift.carry', 'pre-trip')).not.toMatchObject({ because: 'use' });
  });
});

describe('before anything rolls', () => {
  const crane = rigOf('crane truck');
  const [{ unit }] = crane.units;
  const roll = instanceOf(crane, 'truck.brake.service');
  const look = (log: ReturnType<typeof makeLog>) => {
    const inspection = fold(walkId, log.events);
    if (!inspection.begun) throw new Error('not begun');
    const state = vehicleState(inspection, settingOf(inspection.begun, crane));
    return nextStep({
      instance: roll,
      rig: crane,
      inspection,
      state,
      tags: new Set(),
      now: later,
    });
  };
  const ready = () => {
    const log = makeLog();
    log.add('begun', begunOf(crane));
    log.add('affirmed', { what: 'three-points', zone: roll.zoneKey });
    for (const change of ['set-brake', 'chocks-out', 'start'] as const)
      log.add('changed', { change });
    for (const instance of crane.instances)
      if (decidesStopping(instance.check)) answerSound(log, instance);
    // The tests have spent the air; it is made again.
    log.add('affirmed', { what: 'air-up', zone: roll.zoneKey });
    return log;
  };

  it('what decides that it can stop has its answer, wherever the driver has gone', () => {
    const log = makeLog();
    log.add('begun', begunOf(crane));
    const asked: string[] = [];
    for (let step = look(log); step?.kind === 'first'; step = look(log)) {
      expect(step.because).toBe('stopping');
      asked.push(instanceOf(crane, step.key).check.id);
      log.add('answered', { key: step.key, outcome: 'not-looked', reason: 'Not now' });
    }
    expect(asked).toEqual(['truck.cab.belt', 'truck.cab.pedals', 'truck.air.warning']);
  });

  it('everything that could be out is asked for once, where nobody has said it', () => {
    const log = ready();
    const ask = { kind: 'affirm', what: 'all-stowed', zone: roll.zoneKey };
    expect(look(log)).toEqual(ask);
    log.add('affirmed', { what: 'all-stowed', zone: roll.zoneKey });
    expect(look(log)).toEqual({ kind: 'do', change: 'release-brake' });
  });

  it('what was said to be out comes in, whatever anybody vouches for', () => {
    const log = ready();
    log.add('changed', { change: 'outriggers', unitId: unit.id, found: true });
    log.add('affirmed', { what: 'all-stowed', zone: roll.zoneKey });
    // They come in by their own power: engaged for it, and out again before it rolls.
    const done: unknown[] = [];
    for (let step = look(log); step?.kind === 'do'; step = look(log)) {
      done.push(step.change);
      log.add('changed', {
        change: step.change,
        ...(step.unitId !== undefined && { unitId: step.unitId }),
      });
    }
    expect(done).toEqual([
      'power-take-off',
      'outriggers-in',
      'power-take-off-off',
      'release-brake',
    ]);
  });
});

it('asks whoever holds the pedal, and what this version does not know of, before the check', () => {
  const log = secured();
  const stop = instanceOf(rig, 'truck.lamp.stop/rear-lamps-left');
  for (const change of ['key-on', 'lamps-on'] as const) log.add('changed', { change });
  expect(stepFor(log, stop.key)).toMatchObject({ kind: 'affirm', what: 'pedal-held' });
  const lean = instanceOf(rig, 'truck.approach.lean');
  // Content of a later version, on a phone that has not been reloaded.
  const later = { ...lean, check: { ...lean.check, needs: ['wheels-cold' as never] } };
  const { inspection, state } = seen(secured());
  expect(
    nextStep({ instance: later, rig, inspection, state, tags: new Set(), now: startsAt }),
  ).toMatchObject({ kind: 'affirm', what: 'as-asked' });
});

it('wants the tag read where presence must be proven', () => {
  const log = begun();
  log.add('changed', { change: 'set-brake' });
  const { key, zoneKey } = instanceOf(rig, 'truck.electrical.charge');
  log.add('changed', { change: 'start' });
  log.add('affirmed', { what: 'three-points', zone: zoneKey });
  expect(stepFor(log, key)).toBeUndefined();
  expect(stepFor(log, key, later, new Set([zoneKey]))).toEqual({ kind: 'tag', zone: zoneKey });
  log.add('present', { zone: zoneKey, code: 'ABC234', how: 'typed' });
  expect(stepFor(log, key, later, new Set([zoneKey]))).toBeUndefined();
});

it('knows the last row of a school bus as one of those, after the trip only', () => {
  const bus = makeRig([{ ...rig.units[0].unit, moduleId: 'school-bus', fitted: [] }], 'post-trip');
  const [row, ...others] = requiredTags(bus, 'post-trip');
  expect(row).toMatch(/\/last-row$/);
  expect(others).toEqual([]);
  expect(requiredTags(bus, 'pre-trip').size).toBe(0);
});

const plain = VEHICLE_CHANGES.filter((change) =>
  ['engine', 'brake', 'chocks', 'lamps', 'key', 'bay', 'gear'].includes(
    change === 'clean-exhaust' ? '' : TRANSITIONS[change].of,
  ),
);

it('done step by step always ends with what the check wants, and safely on the way', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...rig.instances),
      fc.array(fc.constantFrom(...plain), { maxLength: 6 }),
      (instance, before) => {
        const log = begun();
        for (const change of before) log.add('changed', { change });
        let step: NextStep | undefined;
        for (let count = 0; ; count += 1) {
          const now = seen(log);
          step = nextStep({ instance, rig, ...now, tags: new Set(), now: startsAt });
          if (!step) break;
          expect(count).toBeLessThan(20);
          if (step.kind === 'do') {
            const { rolls } = requirementOf(instance.check);
            const brake = valueOf(now.state, 'brake');
            const chocks = valueOf(now.state, 'chocks');
            if (step.change === 'start') expect(brake).not.toBe('released');
            if (step.change === 'release-brake' && !rolls) expect(chocks).toBe('in');
            if (step.change === 'release-brake')
              expect(airLevel(now.state, startsAt)).toBeGreaterThanOrEqual(60);
            if (step.change.startsWith('chocks')) expect(brake).not.toBe('released');
            log.add('changed', { change: step.change });
          } else if (step.kind === 'affirm')
            log.add('affirmed', { what: step.what, zone: step.zone });
          else if (step.kind === 'wait' && step.orWord)
            log.add('affirmed', { what: step.orWord, zone: instance.zoneKey }, undefined, startsAt);
          else return;
        }
        const { state } = seen(log);
        const { states, air = 0 } = requirementOf(instance.check);
        const does = (instance.check.does ?? []).map(
          (change) => change !== 'clean-exhaust' && TRANSITIONS[change].of,
        );
        for (const dimension of ['engine', 'key', 'brake', 'chocks', 'lamps'] as const)
          // What the check itself does is no condition of it.
          if (states[dimension] && !does.includes(dimension))
            expect(states[dimension]).toContain(valueOf(state, dimension));
        if (states.engine && !states.engine.includes('off')) expect(isRunning(state)).toBe(true);
        expect(airLevel(state, startsAt)).toBeGreaterThanOrEqual(Math.min(air, 100));
      },
    ),
    { numRuns: 300 },
  );
});

it('raises a body before it is propped, where nobody has said how it stands', () => {
  const plow = rigOf('plow truck', 'weekly');
  const instance = instanceOf(plow, 'dump.hinge.grease');
  const log = makeLog();
  log.add('begun', { ...begunOf(plow), phase: 'weekly' });
  const done: string[] = [];
  for (let count = 0; count < 30; count += 1) {
    const inspection = fold(walkId, log.events);
    if (!inspection.begun) throw new Error('not begun');
    const state = vehicleState(inspection, settingOf(inspection.begun, plow));
    const step = nextStep({
      instance,
      rig: plow,
      inspection,
      state,
      tags: new Set(),
      now: startsAt,
    });
    if (step?.kind !== 'do') break;
    done.push(step.change);
    log.add('changed', {
      change: step.change,
      ...(step.unitId !== undefined && { unitId: step.unitId }),
    });
  }
  expect(done).toContain('prop');
  expect(done.indexOf('body-up')).toBeGreaterThan(-1);
  expect(done.indexOf('body-up')).toBeLessThan(done.indexOf('prop'));
});

it('has the brake set before anybody gets down to look whether machinery stands still', () => {
  const ladder = rigOf('ladder truck');
  const instance = instanceOf(ladder, 'pumper.glass.wiper-blades');
  const log = makeLog();
  log.add('begun', begunOf(ladder));
  log.add('changed', { change: 'set-brake' });
  log.add('changed', { change: 'release-brake' });
  log.add('affirmed', { what: 'three-points', zone: instance.zoneKey });
  const inspection = fold(walkId, log.events);
  if (!inspection.begun) throw new Error('not begun');
  const state = vehicleState(inspection, settingOf(inspection.begun, ladder));
  expect(
    nextStep({ instance, rig: ladder, inspection, state, tags: new Set(), now: startsAt }),
  ).toMatchObject({ kind: 'do', change: 'set-brake' });
});

it('has what is known to be broken looked at again before it moves anything that it holds', () => {
  const hose = instanceOf(rig, 'truck.brake.hose/steer-left');
  const service = instanceOf(rig, 'truck.brake.service');
  const stepWith = (log: ReturnType<typeof makeLog>, openStops: ReadonlySet<string>) =>
    nextStep({ instance: service, rig, ...seen(log), tags: new Set(), openStops, now: later });
  const open = new Set([hose.key]);
  const first = { kind: 'first', key: hose.key, because: 'open-defect' };
  expect(stepWith(begun(), open)).toMatchObject(first);
  expect(stepWith(begun(), new Set())).not.toMatchObject(first);
  // What moves nothing does not wait for it.
  const nuts = instanceOf(rig, 'truck.glass.windscreen');
  const look = { instance: nuts, rig, ...seen(begun()), tags: new Set<string>(), now: later };
  expect(nextStep({ ...look, openStops: open })).toEqual(nextStep(look));
  // Looked at again, it asks no more.
  const seenAgain = begun();
  seenAgain.add('answered', { key: hose.key, outcome: 'sound' });
  expect(stepWith(seenAgain, open)).not.toMatchObject(first);
});
