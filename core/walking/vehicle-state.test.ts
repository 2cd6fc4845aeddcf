import { fold } from '../inspection';
import { layoutOf } from '../planning';
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
  leftStanding,
  otherwise,
  settingOf,
  valueOf,
  vehicleState,
  type Setting,
} from '.';

const minute = 60_000;
const cold: Setting = { freezing: false, airUp: false, layout: layoutOf(rigOf('crane truck')) };

function stateOf(setting: Setting, fill: (log: ReturnType<typeof makeLog>) => void) {
  const log = makeLog();
  log.add('begun', begunOf(makeRig()));
  fill(log);
  return vehicleState(fold(walkId, log.events), setting);
}

it('knows nothing that nobody has said', () => {
  const state = stateOf(cold, () => undefined);
  expect(state).toMatchObject({ airAt: Infinity, oilAt: Infinity });
  for (const unknown of ['engine', 'key', 'brake', 'chocks', 'powerTakeOff'] as const)
    expect(valueOf(state, unknown)).toBeUndefined();
  for (const clock of ['coldAt', 'settledAt'] as const) expect(state[clock]).toBeUndefined();
});

it('starts the clocks with what starts them', () => {
  const at = startsAt + 5 * minute;
  const running = stateOf(cold, (log) => log.add('changed', { change: 'start' }, undefined, at));
  expect(running).toMatchObject({ airAt: at + 90_000, coldAt: Infinity });
  expect(isRunning(running)).toBe(true);
  const off = stateOf(cold, (log) => {
    log.add('changed', { change: 'start' }, undefined, at);
    log.add('changed', { change: 'shut-down' }, undefined, at + 4 * minute);
  });
  expect(off).toMatchObject({
    // The tanks are full, and stay so while nothing takes from them.
    airAt: 0,
    settledAt: at + 7 * minute,
    coldAt: at + 34 * minute,
  });
});

it('warms the engine in five minutes, keeps it warm while it is off, and begins again once it is cold', () => {
  const warmAt = (...steps: (readonly ['start' | 'shut-down', minutes: number])[]) =>
    stateOf(cold, (log) => {
      for (const [change, minutes] of steps)
        log.add('changed', { change }, undefined, startsAt + minutes * minute);
    }).warmAt;
  expect(warmAt()).toBe(Infinity);
  expect(warmAt(['start', 1])).toBe(startsAt + 6 * minute);
  expect(warmAt(['start', 1], ['shut-down', 3])).toBe(Infinity);
  expect(warmAt(['start', 1], ['shut-down', 3], ['start', 4])).toBe(startsAt + 9 * minute);
  expect(warmAt(['start', 1], ['shut-down', 7], ['start', 9])).toBe(startsAt + 6 * minute);
  expect(warmAt(['start', 1], ['shut-down', 7], ['start', 60])).toBe(startsAt + 65 * minute);
  const read = stateOf(cold, (log) => {
    log.add('changed', { change: 'start' }, undefined, startsAt);
    log.add('affirmed', { what: 'engine-warm', zone: 'x' }, undefined, startsAt + minute);
  });
  expect(read.warmAt).toBe(startsAt + minute);
});

it('cleans the exhaust for twenty minutes from the first time it was said, until the lamp is out or the engine off', () => {
  const begun = (fill: (log: ReturnType<typeof makeLog>) => void = () => undefined) =>
    stateOf(cold, (log) => {
      log.add('changed', { change: 'start' }, undefined, startsAt);
      log.add('changed', { change: 'clean-exhaust' }, undefined, startsAt + minute);
      log.add('changed', { change: 'clean-exhaust' }, undefined, startsAt + 2 * minute);
      fill(log);
    }).cleanAt;
  expect(begun()).toBe(startsAt + 21 * minute);
  expect(
    begun((log) =>
      log.add('affirmed', { what: 'exhaust-clean', zone: 'x' }, undefined, startsAt + 9 * minute),
    ),
  ).toBeUndefined();
  expect(
    begun((log) => log.add('changed', { change: 'shut-down' }, undefined, startsAt + 9 * minute)),
  ).toBeUndefined();
});

it('has no air of an engine that did not run long enough, and no warm oil without the power take-off', () => {
  const state = stateOf(cold, (log) => {
    log.add('changed', { change: 'start' }, undefined, startsAt);
    log.add('changed', { change: 'power-take-off' }, undefined, startsAt + 10_000);
    log.add('changed', { change: 'shut-down' }, undefined, startsAt + 60_000);
  });
  expect(state).toMatchObject({ airAt: Infinity, oilAt: Infinity });
  expect(valueOf(state, 'powerTakeOff')).toBe('out');
  expect(airLevel(state, startsAt + 600_000)).toBeCloseTo(100 * (60 / 90), 6);
});

it('warms the oil three times as long in frost', () => {
  const oilAt = (freezing: boolean) =>
    stateOf({ ...cold, freezing }, (log) =>
      log.add('changed', { change: 'power-take-off' }, undefined, startsAt),
    ).oilAt - startsAt;
  expect([oilAt(false), oilAt(true)]).toEqual([5 * minute, 15 * minute]);
});

it('takes the word of a driver who read the gauge, never later than the clock', () => {
  const state = stateOf(cold, (log) => {
    log.add('changed', { change: 'start' }, undefined, startsAt);
    log.add('affirmed', { what: 'air-up', zone: 'x' }, undefined, startsAt + 20_000);
  });
  expect(state.airAt).toBe(0);
  expect(airLevel(state, startsAt + 20_000)).toBe(100);
});

it('counts a vehicle that was driven just now as warm', () => {
  const log = makeLog();
  const begun = { ...begunOf(makeRig()), phase: 'post-trip' as const };
  log.add('begun', begun);
  const inspection = fold(walkId, log.events);
  if (!inspection.begun) throw new Error('not begun');
  const state = vehicleState(inspection, settingOf(inspection.begun, makeRig()));
  expect(state.coldAt).toBe(inspection.begun.at + 30 * minute);
  expect(state.airAt).toBe(0);
});

it('does not let a changed clock run the oil faster', () => {
  const hour = 60 * minute;
  const state = stateOf(cold, (log) => {
    log.add('changed', { change: 'power-take-off' }, undefined, startsAt);
    // Set forward by an hour one minute later.
    log.add('clock-moved', { seconds: 3600 }, undefined, startsAt + hour + minute);
  });
  expect(state.oilAt).toBe(startsAt + hour + 5 * minute);
  const back = stateOf(cold, (log) => {
    log.add('changed', { change: 'power-take-off' }, undefined, startsAt);
    log.add('clock-moved', { seconds: -3600 }, undefined, startsAt - hour + minute);
  });
  expect(back.oilAt).toBe(startsAt - hour + 5 * minute);
});

it('says what must be put back before anybody drives, of which unit, and what before it is parked', () => {
  const crane = rigOf('crane truck');
  const [{ unit }] = crane.units;
  const layout = layoutOf(crane);
  const state = stateOf({ ...cold, layout }, (log) => {
    log.add('changed', { change: 'chocks-in' });
    log.add('changed', { change: 'hood-open' });
    log.add('changed', { change: 'start' });
    log.add('changed', { change: 'power-take-off' });
    log.add('changed', { change: 'outriggers', unitId: unit.id });
  });
  const names = (phase: string) =>
    leftStanding(state, layout, phase).map(({ change, unitId }) => [change, unitId]);
  expect(names('pre-trip')).toEqual([
    ['outriggers-in', unit.id],
    ['power-take-off-off', undefined],
    ['chocks-out', undefined],
    ['hood-closed', undefined],
  ]);
  expect(names('post-trip').map(([change]) => change)).toEqual([
    'outriggers-in',
    'power-take-off-off',
    'shut-down',
    'key-off',
    'hood-closed',
  ]);
  // Nobody bends down for chocks while the brake is released.
  const released = stateOf({ ...cold, layout }, (log) => {
    log.add('changed', { change: 'chocks-in' });
    log.add('changed', { change: 'release-brake' });
  });
  expect(leftStanding(released, layout, 'pre-trip').map(({ change }) => change)).toEqual([
    'set-brake',
    'chocks-out',
  ]);
  expect(
    leftStanding(
      stateOf(cold, () => undefined),
      layout,
      'pre-trip',
    ),
  ).toEqual([]);
});

it('counts the air: what a test takes is gone until the engine has made it again', () => {
  const rig = makeRig();
  const log = makeLog();
  log.add('begun', begunOf(rig));
  log.add('changed', { change: 'start' }, undefined, startsAt);
  log.add('changed', { change: 'shut-down' }, undefined, startsAt + 5 * minute);
  const level = () => {
    const inspection = fold(walkId, log.events);
    if (!inspection.begun) throw new Error('not begun');
    return airLevel(
      vehicleState(inspection, settingOf(inspection.begun, rig)),
      startsAt + 60 * minute,
    );
  };
  expect(level()).toBe(120);
  answerSound(log, instanceOf(rig, 'truck.air.warning'));
  expect(level()).toBe(58);
  answerSound(log, instanceOf(rig, 'truck.air.automatic'));
  expect(level()).toBe(30);
  log.add('changed', { change: 'start' }, undefined, startsAt + 30 * minute);
  expect(level()).toBe(120);
});

it('makes no air faster because the clock of the phone was set forward', () => {
  const hour = 60 * minute;
  const state = stateOf(cold, (log) => {
    log.add('changed', { change: 'start' }, undefined, startsAt);
    log.add('clock-moved', { seconds: 3600 }, undefined, startsAt + hour + 9_000);
  });
  // Nine seconds have passed, whatever the clock says.
  expect(airLevel(state, startsAt + hour + 9_000)).toBeCloseTo(10, 6);
});

it('offers every way in which a thing may stand but the present one', () => {
  const crane = rigOf('crane truck');
  const layout = layoutOf(crane);
  const state = stateOf({ ...cold, layout }, (log) => log.add('changed', { change: 'set-brake' }));
  const offered = otherwise(state, layout).map(({ change }) => change);
  expect(offered).toContain('release-brake');
  expect(offered).not.toContain('set-brake');
  // Nobody has said how the legs stand.
  expect(offered).toEqual(expect.arrayContaining(['outriggers', 'outriggers-in']));
});

it('takes what a driver found for what is, and nobody’s word for what was said to be out', () => {
  const crane = rigOf('crane truck');
  const [{ unit }] = crane.units;
  const layout = layoutOf(crane);
  const state = stateOf({ ...cold, layout }, (log) => {
    log.add('changed', { change: 'outriggers', unitId: unit.id, found: true });
    log.add('affirmed', { what: 'all-stowed', zone: 'x' });
  });
  expect(valueOf(state, 'outriggers', unit.id)).toBe('set');
  expect(valueOf(state, 'boom', unit.id)).toBe('cradled');
  expect(valueOf(state, 'powerTakeOff')).toBe('out');
});
