import { assess, droppedUnits, fold, permitEvent, type InspectionEvent } from '../inspection';
import { layoutOf, mayHelperAnswer, orderWalk } from '../planning';
import { policiesFor } from '../grading';
import {
  begunOf,
  driver,
  faultOf,
  instanceOf,
  makeLog,
  makeRig,
  mechanic,
  phone,
  rigOf,
  startsAt,
  trailer,
  walkId,
  walkSound,
} from '../testing';
import {
  arrivalAt,
  callLamps,
  callSeconds,
  darkSymptomOf,
  findForbidden,
  findReplanReasons,
  nextCall,
  restOfStop,
  settingOf,
  standingNow,
  vehicleState,
} from '.';

const rig = makeRig();
const policiesOf = () => policiesFor(['two-step'], []);
const assessed = (log: ReturnType<typeof makeLog>, of = rig) =>
  assess({ inspection: fold(walkId, log.events), rig: of, policiesOf, known: [], unread: [] });

function begun() {
  const log = makeLog();
  log.add('begun', begunOf(rig));
  return log;
}

describe('the course of a walk', () => {
  it('is the same in whatever order it is delivered', () => {
    const log = begun();
    log.add('changed', { change: 'start' });
    log.add('turned', { circumstances: ['wet'] });
    log.add('joined', { name: 'Petra Lunde', phone: true }, mechanic);
    log.add('present', { zone: 'a/rear', code: 'ABC234', how: 'camera' });
    const there = fold(walkId, log.events);
    expect(fold(walkId, [...log.events].reverse())).toEqual(there);
    expect(there.begun?.circumstances).toContain('wet');
  });

  it('has one helper at a time', () => {
    const log = begun();
    const second = log.add('joined', { name: 'Petra Lunde', phone: true }, mechanic);
    const refused = permitEvent(fold(walkId, log.events), second as InspectionEvent);
    expect(refused).toBe('helper-there');
    log.add('parted', {});
    expect(permitEvent(fold(walkId, log.events), second as InspectionEvent)).toBeUndefined();
    expect(fold(walkId, log.events).course.helpers[0].to).toBeDefined();
  });

  it('leaves a unit behind: it is asked no more, and neither blocks the rest nor counts as sound', () => {
    const log = walkSound(makeRig([rig.units[0].unit]));
    const events = log.events.map((event) =>
      event.type === 'begun' ? { ...event, payload: begunOf(rig) } : event,
    );
    const before = assess({
      inspection: fold(walkId, events),
      rig,
      policiesOf,
      known: [],
      unread: [],
    });
    expect(before.missing.length).toBeGreaterThan(0);
    expect(before.verdict.headline).not.toBe('rolls');
    log.add('dropped', { unitId: trailer.id, reason: 'It stays in the yard.' });
    const inspection = fold(walkId, [...events, log.events[log.events.length - 1]]);
    const after = assess({ inspection, rig, policiesOf, known: [], unread: [] });
    expect([...droppedUnits(rig, inspection.course)]).toEqual([trailer.id]);
    expect(after.missing).toEqual([]);
    expect(after.verdict.capabilities.map(({ capability }) => capability)).not.toContain('tow');
    expect(after.verdict.headline).toBe('rolls');
    expect(after.findings.some(({ unitId }) => unitId === trailer.id)).toBe(true);
  });

  it('never leaves the unit behind that drives', () => {
    const log = begun();
    log.add('dropped', { unitId: rig.units[0].unit.id, reason: 'By mistake.' });
    expect(droppedUnits(rig, fold(walkId, log.events).course).size).toBe(0);
  });

  it('is sound only with the tag where presence must be proven', () => {
    const units = [{ ...rig.units[0].unit, moduleId: 'school-bus', fitted: [] }];
    const bus = makeRig(units, 'post-trip');
    const log = makeLog();
    log.add('begun', { ...begunOf(bus), phase: 'post-trip' });
    const row = bus.instances.find(({ zoneKey }) => zoneKey.endsWith('/last-row'));
    if (!row) throw new Error('no last row');
    log.add('answered', { key: row.key, outcome: 'sound' });
    expect(assessed(log, bus).byKey.get(row.key)?.state).toBe('unanswered');
    log.add('present', { zone: row.zoneKey, code: 'ABC234', how: 'typed' });
    expect(assessed(log, bus).byKey.get(row.key)?.state).toBe('sound');
  });
});

describe('what a fault forbids', () => {
  it('is to try brakes by rolling when they leak', () => {
    const log = begun();
    expect(findForbidden(assessed(log)).size).toBe(0);
    const leak = instanceOf(rig, 'truck.brake.hose/steer-left');
    const symptom = leak.check.symptoms.find(({ harm }) => harm === 'stop');
    log.add('faulted', faultOf(leak, symptom?.id ?? ''));
    const forbidden = [...findForbidden(assessed(log)).values()];
    expect(forbidden.map(({ instance }) => instance.check.id)).toEqual([
      'truck.brake.parking',
      'truck.brake.trailer',
      'truck.brake.service',
    ]);
    for (const { because } of forbidden) expect(because.instance).toBe(leak);
  });

  /** A fault that stops at one check of a rig, and the checks that it leaves on no list but its own. */
  const barredBy = (name: string, ending: string, symptomId: string) => {
    const of = rigOf(name);
    const log = makeLog();
    log.add('begun', begunOf(of));
    log.add('faulted', faultOf(instanceOf(of, ending), symptomId));
    return [...findForbidden(assessed(log, of)).values()].map(({ instance }) => instance.check.id);
  };

  it('is to move what a missing pin holds, whichever system it is filed under', () => {
    const plow = barredBy('plow truck', 'plow.pins', 'pin-out');
    expect(plow).toEqual(expect.arrayContaining(['plow.float', 'plow.cycle']));
    expect(plow.filter((id) => !id.startsWith('plow.'))).toEqual([]);
    const crane = barredBy('crane truck', 'loader-crane.hydraulics.hoses', 'hose-blister');
    expect(crane).toEqual(
      expect.arrayContaining(['loader-crane.cycle', 'loader-crane.emergency-stops']),
    );
    expect(crane.filter((id) => /brake|plow|start/.test(id))).toEqual([]);
    const lift = barredBy('tractor, semi-trailer, liftgate', 'rail-lift.chains', 'chain-damaged');
    expect(lift).toEqual([
      // Nor is a platform on a broken chain opened to be looked at.
      'rail-lift.pump.box',
      'rail-lift.platform.surface',
      'rail-lift.cart-stops',
      'rail-lift.switches',
      'rail-lift.slide-height',
      'rail-lift.cycle',
    ]);
  });

  it('is nothing where a decal is gone: it carries, moves and guards nothing', () => {
    expect(barredBy('tractor, semi-trailer, liftgate', 'rail-lift.decals', 'rating-gone')).toEqual(
      [],
    );
  });

  it('is to run an engine that must not run', () => {
    const barred = barredBy('truck', 'truck.engine.belts', 'belt-frayed');
    expect(barred).toEqual(
      expect.arrayContaining(['truck.engine.start', 'truck.electrical.charge']),
    );
  });

  it('takes of a test that is left out for it only what the test would have proved', () => {
    const of = rigOf('plow truck');
    const log = makeLog();
    log.add('begun', begunOf(of));
    const cycle = instanceOf(of, 'plow.cycle');
    log.add('answered', { key: cycle.key, outcome: 'not-looked', reason: 'It is dark' });
    const blocks = () =>
      assessed(log, of).findings.find(({ about }) => about === cycle.key)?.blocks ?? [];
    // Not looked at, for any other reason, weighs as the worst that it could show.
    expect(blocks()).toEqual(expect.arrayContaining(['plow']));
    const before = blocks();
    log.add('faulted', faultOf(instanceOf(of, 'plow.pins'), 'pin-out'));
    expect(blocks()).toEqual(['plow']);
    expect(before.length).toBeGreaterThanOrEqual(1);
  });
});

describe('what turns a plan', () => {
  const stops = orderWalk(rig);
  const turns = (log: ReturnType<typeof makeLog>, taken: readonly string[] = []) => {
    const inspection = fold(walkId, log.events);
    if (!inspection.begun) throw new Error('not begun');
    const state = vehicleState(inspection, settingOf(inspection.begun, rig));
    return findReplanReasons({
      inspection,
      rig,
      state,
      forbidden: findForbidden(assessed(log)),
      ahead: stops,
      taken: new Set(taken),
    });
  };

  it('is an engine that was started before what wants it off', () => {
    const log = begun();
    expect(turns(log)).toEqual([]);
    const { id } = log.add('changed', { change: 'start' });
    expect(turns(log)).toEqual([{ id, code: 'engine-early' }]);
    expect(turns(log, [id])).toEqual([]);
  });

  it('is a fault that bars a test, and a part that nobody could look at, told apart', () => {
    const hose = instanceOf(rig, 'truck.brake.hose/steer-left');
    const unseen = begun();
    unseen.add('answered', { key: hose.key, outcome: 'not-looked', reason: 'Snow' });
    expect(turns(unseen)).toMatchObject([
      { code: 'forbidden', title: 'Brake hose, left steer', count: 3, unseen: true },
    ]);
    const failed = begun();
    const symptom = hose.check.symptoms.find(({ harm }) => harm === 'stop');
    failed.add('faulted', faultOf(hose, symptom?.id ?? ''));
    const [turn] = turns(failed);
    expect(turn).toMatchObject({ code: 'forbidden', title: 'Brake hose, left steer', count: 3 });
    expect(turn).not.toHaveProperty('unseen');
  });

  it('is no key that was taken out of an engine that never ran', () => {
    const log = begun();
    log.add('changed', { change: 'shut-down' });
    const inspection = fold(walkId, log.events);
    if (!inspection.begun) throw new Error('not begun');
    const running = stops
      .map((stop) => ({
        ...stop,
        instances: stop.instances.filter(({ check }) => check.needs.includes('engine-idling')),
      }))
      .filter(({ instances }) => instances.length > 0);
    const request = {
      inspection,
      rig,
      state: vehicleState(inspection, settingOf(inspection.begun, rig)),
      forbidden: new Map(),
      ahead: running,
      taken: new Set<string>(),
    };
    expect(findReplanReasons(request)).toEqual([]);
  });

  it('is a helper who comes and goes, rain, and a unit that stays', () => {
    const log = begun();
    log.add('joined', { name: 'Petra Lunde', phone: false });
    log.add('parted', {});
    log.add('turned', { circumstances: ['wet'] });
    log.add('dropped', { unitId: trailer.id, reason: 'It stays.' });
    expect(turns(log).map(({ code }) => code)).toEqual([
      'helper-came',
      'helper-left',
      'turned',
      'dropped',
    ]);
  });

  it('gives the planner the clocks as seconds from now', () => {
    const log = begun();
    log.add('changed', { change: 'start' }, undefined, startsAt);
    const state = vehicleState(fold(walkId, log.events), {
      freezing: false,
      airUp: false,
      layout: layoutOf(rig),
    });
    expect(standingNow(state, 'a/rear', startsAt + 30_000)).toMatchObject({
      zone: 'a/rear',
      states: { engine: 'idling', key: 'on' },
      air: expect.closeTo(100 / 3, 6) as number,
      oilIn: Infinity,
      coldIn: Infinity,
    });
  });
});

describe('the rest of a stop', () => {
  const stop = orderWalk(rig)[0];
  const log = begun();
  const inspection = fold(walkId, log.events);
  const request = { stop, inspection, watched: new Set<string>(), cameAt: startsAt };
  const open = stop.instances;

  it('may be said after its least time, and not a second sooner', () => {
    const floor = restOfStop({ ...request, open, now: startsAt }).wait;
    expect(floor).toBeGreaterThan(5);
    expect(restOfStop({ ...request, open, now: startsAt + (floor - 1) * 1000 }).wait).toBe(1);
    expect(restOfStop({ ...request, open, now: startsAt + floor * 1000 }).wait).toBe(0);
  });

  it('leaves out what is measured or counted, and parts with a history', () => {
    const all = orderWalk(rig).flatMap(({ instances }) => instances);
    const [first] = open;
    const { instances } = restOfStop({
      ...request,
      open: all,
      watched: new Set([first.key]),
      now: startsAt,
    });
    expect(instances.length).toBeGreaterThan(10);
    for (const { key, check, contents } of instances) {
      expect(check.reading?.required ?? false).toBe(false);
      expect(contents).toBeUndefined();
      expect(key).not.toBe(first.key);
    }
  });

  it('does not come sooner because the clock was set forward', () => {
    const moved = begun();
    moved.add('clock-moved', { seconds: 3600 }, undefined, startsAt + 3_601_000);
    const { wait } = restOfStop({
      ...request,
      inspection: fold(walkId, moved.events),
      open,
      now: startsAt + 3_602_000,
    });
    expect(wait).toBeGreaterThan(0);
  });

  it('counts from when the driver came, not from where the helper stands', () => {
    const walked = begun();
    const [one, other] = orderWalk(rig);
    walked.add('answered', { key: other.instances[0].key, outcome: 'sound' }, mechanic);
    expect(arrivalAt(fold(walkId, walked.events), one)).toBe(walked.events[0].at);
    walked.add('answered', { key: other.instances[0].key, outcome: 'sound' }, driver);
    expect(arrivalAt(fold(walkId, walked.events), one)).toBe(walked.events[2].at);
  });
});

describe('the lamp walk', () => {
  const stops = orderWalk(rig);

  it('calls each lamp that nobody has seen, and leaves what needs two to the helper', () => {
    const log = begun();
    const inspection = fold(walkId, log.events);
    const alone = callLamps(stops, inspection, false);
    const both = callLamps(stops, inspection, true);
    expect(alone.length).toBeGreaterThan(10);
    for (const { instance } of alone) expect(instance.check.helper).not.toBe('needed');
    for (const { instance } of both) expect(darkSymptomOf(instance)).toBeDefined();
    // Nothing is called to a second phone that may not answer it.
    expect(both.length).toBeGreaterThan(0);
    for (const { instance } of both) expect(mayHelperAnswer(instance)).toBe(true);
  });

  it('comes round again to what was passed over, and ends when all are answered', () => {
    const log = makeLog(phone);
    log.add('begun', begunOf(rig));
    const calls = callLamps(stops, fold(walkId, log.events), true);
    const [first, second] = calls;
    expect(nextCall(calls, fold(walkId, log.events), first.key)?.key).toBe(second.key);
    for (const { key } of calls.slice(1)) log.add('answered', { key, outcome: 'sound' });
    expect(nextCall(calls, fold(walkId, log.events), second.key)?.key).toBe(first.key);
    log.add('answered', { key: first.key, outcome: 'sound' });
    expect(nextCall(calls, fold(walkId, log.events), first.key)).toBeUndefined();
  });

  it('gives the way to a second phone its time', () => {
    expect(callSeconds(true)).toBeGreaterThan(callSeconds(false));
  });

  it('knows which lamp is meant', () => {
    expect(instanceOf(rig, 'truck.lamp.plate').check.needs).toContain('lamps-on');
  });
});
