import fc from 'fast-check';
import { fold, requiredTags, type Inspection } from '../inspection';
import { requirementOf, type VehicleChange } from '../planning';
import { begunOf, instanceOf, makeLog, makeRig, startsAt, walkId } from '../testing';
import { nextStep, settingOf, vehicleState, type NextStep, type VehicleState } from '.';

const rig = makeRig();

interface Seen {
  readonly inspection: Inspection;
  readonly state: VehicleState;
}

function seen(log: ReturnType<typeof makeLog>): Seen {
  const inspection = fold(walkId, log.events);
  if (!inspection.begun) throw new Error('not begun');
  return { inspection, state: vehicleState(inspection.course, settingOf(inspection.begun, rig)) };
}

function begun() {
  const log = makeLog();
  log.add('begun', begunOf(rig));
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
  log.add('changed', { change: 'set-brake' });
  log.add('changed', { change: 'shut-down' });
  const under = rig.instances.find(
    ({ check }) => check.needs.includes('chocked') && check.id.startsWith('truck.'),
  );
  expect(stepFor(log, under?.key ?? '')).toEqual({ kind: 'do', change: 'chocks-in' });
  log.add('changed', { change: 'chocks-in' });
  expect(stepFor(log, under?.key ?? '')).not.toEqual({ kind: 'do', change: 'chocks-in' });
});

it('does not ask first for what the check itself does, unless it was said to stand otherwise', () => {
  const log = begun();
  expect(stepFor(log, 'truck.approach.secured')).toBeUndefined();
  log.add('changed', { change: 'start' });
  expect(stepFor(log, 'truck.approach.secured')).toEqual({ kind: 'do', change: 'shut-down' });
});

it('asks for a cold engine before the cap, again after it has run', () => {
  const log = begun();
  for (const change of ['shut-down', 'hood-open'] as const) log.add('changed', { change });
  const ask = { kind: 'wait', clock: 'cold', orWord: 'engine-cold' };
  expect(stepFor(log, 'coolant-level')).toMatchObject(ask);
  log.add('affirmed', { what: 'engine-cold', zone: 'x' });
  expect(stepFor(log, 'coolant-level')).toBeUndefined();
  log.add('changed', { change: 'start' });
  log.add('changed', { change: 'shut-down' }, undefined, startsAt + 60_000);
  expect(stepFor(log, 'coolant-level', startsAt + 120_000)).toMatchObject(ask);
  expect(stepFor(log, 'coolant-level', startsAt + 61_000 + 1_800_000)).toBeUndefined();
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
  const log = begun();
  for (const change of ['shut-down', 'set-brake', 'chocks-in', 'hood-open'] as const)
    log.add('changed', { change });
  expect(stepFor(log, 'truck.approach.lean')).toEqual({ kind: 'do', change: 'hood-closed' });
  expect(stepFor(log, 'oil-level')).not.toEqual({ kind: 'do', change: 'hood-closed' });
  log.add('changed', { change: 'hood-closed' });
  expect(stepFor(log, 'truck.approach.lean')).toBeUndefined();
  expect(stepFor(log, 'oil-level')).toEqual({ kind: 'do', change: 'hood-open' });
});

it('waits for a warm engine at the heater, or for a gauge that tells it', () => {
  const log = begun();
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
  const log = begun();
  log.add('changed', { change: 'hood-open' });
  log.add('changed', { change: 'start' }, undefined, startsAt);
  log.add('changed', { change: 'shut-down' }, undefined, startsAt + 60_000);
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
  const log = begun();
  log.add('affirmed', { what: 'three-points', zone: `${rig.units[0].unit.id}/seat` });
  log.add('changed', { change: 'start' });
  log.add('affirmed', { what: 'air-up', zone: 'x' });
  const released = rig.instances.find(({ check }) => {
    const want = requirementOf(check);
    return want.brake === 'released' && want.chocks === undefined;
  });
  if (released) expect(stepFor(log, released.key)).toMatchObject({ change: 'chocks-in' });
  const off = begun();
  off.add('affirmed', { what: 'three-points', zone: `${rig.units[0].unit.id}/seat` });
  off.add('changed', { change: 'release-brake' });
  const idling = instanceOf(rig, 'truck.electrical.charge');
  expect(stepFor(off, idling.key)).toEqual({ kind: 'do', change: 'set-brake' });
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

it('done step by step always ends with what the check wants, and safely on the way', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...rig.instances),
      fc.array(
        fc.constantFrom<VehicleChange>(
          'start',
          'shut-down',
          'set-brake',
          'release-brake',
          'chocks-in',
          'chocks-out',
          'lamps-on',
          'key-on',
          'power-take-off',
        ),
        { maxLength: 6 },
      ),
      (instance, before) => {
        const log = begun();
        for (const change of before) log.add('changed', { change });
        let step: NextStep | undefined;
        for (let count = 0; ; count += 1) {
          const now = seen(log);
          step = nextStep({ instance, rig, ...now, tags: new Set(), now: startsAt });
          if (!step) break;
          expect(count).toBeLessThan(14);
          if (step.kind === 'do') {
            const rolling = requirementOf(instance.check).chocks === 'out';
            if (step.change === 'start') expect(now.state.brake).not.toBe('released');
            if (step.change === 'release-brake' && !rolling) expect(now.state.chocks).toBe(true);
            if (step.change === 'chocks-out') expect(now.state.brake).not.toBe('released');
            log.add('changed', { change: step.change });
          } else if (step.kind === 'affirm')
            log.add('affirmed', { what: step.what, zone: step.zone });
          else if (step.kind === 'wait' && step.orWord)
            log.add('affirmed', { what: step.orWord, zone: instance.zoneKey }, undefined, startsAt);
          else return;
        }
        const { state } = seen(log);
        const want = requirementOf(instance.check);
        if (want.engine === 'on') expect(state.engine).toBe('on');
        // What the check itself does is no condition of it.
        const does = instance.check.does ?? [];
        if (want.engine && want.engine !== 'on' && !does.includes('shut-down'))
          expect(state.engine).toBe('off');
        if (want.brake) expect(state.brake).toBe(want.brake);
        if (want.chocks === 'in') expect(state.chocks).toBe(true);
        if (want.chocks === 'out') expect(state.chocks).toBe(false);
        if (want.lamps) expect(state.lamps).toBe(true);
        if (want.air) expect(state.airAt).toBeLessThanOrEqual(startsAt);
      },
    ),
    { numRuns: 300 },
  );
});
