import { fold } from '../inspection';
import { begunOf, makeLog, makeRig, startsAt, walkId } from '../testing';
import { leftStanding, settingOf, vehicleState, type Setting } from '.';

const minute = 60_000;
const cold: Setting = { freezing: false, airUp: false };

function stateOf(setting: Setting, fill: (log: ReturnType<typeof makeLog>) => void) {
  const log = makeLog();
  log.add('begun', begunOf(makeRig()));
  fill(log);
  return vehicleState(fold(walkId, log.events).course, setting);
}

it('knows nothing that nobody has said', () => {
  const state = stateOf(cold, () => undefined);
  expect(state).toMatchObject({ airAt: Infinity, oilAt: Infinity });
  for (const unknown of ['engine', 'key', 'brake', 'chocks', 'coldAt', 'settledAt'] as const)
    expect(state[unknown]).toBeUndefined();
});

it('starts the clocks with what starts them', () => {
  const at = startsAt + 5 * minute;
  const running = stateOf(cold, (log) => log.add('changed', { change: 'start' }, undefined, at));
  expect(running).toMatchObject({ engine: 'on', airAt: at + 90_000, coldAt: Infinity });
  const off = stateOf(cold, (log) => {
    log.add('changed', { change: 'start' }, undefined, at);
    log.add('changed', { change: 'shut-down' }, undefined, at + 4 * minute);
  });
  expect(off).toMatchObject({
    engine: 'off',
    airAt: at + 90_000,
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
  expect(state).toMatchObject({ airAt: Infinity, oilAt: Infinity, powerTakeOff: false });
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
    log.add('affirmed', { what: 'air-up', zone: 'x' }, undefined, startsAt + 300_000);
  });
  expect(state.airAt).toBe(startsAt + 20_000);
});

it('counts a vehicle that was driven just now as warm', () => {
  const log = makeLog();
  const begun = { ...begunOf(makeRig()), phase: 'post-trip' as const };
  log.add('begun', begun);
  const inspection = fold(walkId, log.events);
  if (!inspection.begun) throw new Error('not begun');
  const state = vehicleState(inspection.course, settingOf(inspection.begun, makeRig()));
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

it('says what must be put back before anybody drives', () => {
  const state = stateOf(cold, (log) => {
    for (const change of ['chocks-in', 'hood-open', 'start', 'power-take-off', 'prop'] as const)
      log.add('changed', { change });
  });
  expect(leftStanding(state)).toEqual([
    'hood-closed',
    'prop-away',
    'power-take-off-off',
    'chocks-out',
  ]);
  expect(leftStanding(stateOf(cold, () => undefined))).toEqual([]);
});
