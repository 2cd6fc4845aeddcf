import { catalogue } from '../catalogue';
import { composeRig, type Unit } from '../rig';
import { idling, trailer, truck } from '../testing';
import { requirementOf, USUAL_PACE, type School, type VehicleChange } from '../planning';
import { findPlanFaults, planWalk, type Happening, type Outset, type Plan } from '.';

const spreader: Unit = {
  id: 'unit-spreader',
  number: '615',
  title: 'spreader',
  plate: '',
  moduleId: 'slide-in-spreader',
  fitted: [],
  specification: {},
};
const crane: Unit = {
  ...spreader,
  id: 'unit-crane',
  number: '241',
  moduleId: 'straight-truck-air',
  fitted: ['power-take-off', 'loader-crane', 'platform-body'],
};
const tipper: Unit = { ...crane, id: 'unit-tipper', fitted: ['power-take-off', 'dump-body'] };

const cold: Outset = {
  phase: 'pre-trip',
  freezing: false,
  airUp: false,
  warm: false,
  running: false,
};

const made = (units: readonly Unit[]) => {
  const rig = composeRig({ units, phase: 'pre-trip', circumstances: [], catalogue });
  const plan = planWalk({ rig, phase: 'pre-trip', circumstances: [] });
  const faultsOf = (change: Partial<Plan>, outset = cold) =>
    findPlanFaults({ ...plan, ...change }, rig, outset);
  return { rig, plan, faultsOf };
};

const { rig, plan, faultsOf } = made([truck, trailer]);
const changes = (happenings: readonly Happening[]) =>
  new Set(happenings.flatMap((each) => (each.kind === 'change' ? [each.change] : [])));
const without = (happenings: readonly Happening[], change: VehicleChange) =>
  happenings.filter((each) => each.kind !== 'change' || each.change !== change);

/** Nor does a check do it by itself. */
const doingNothing = (stops: Plan['stops']) =>
  stops.map((stop) => ({
    ...stop,
    instances: stop.instances.map((each) => ({
      ...each,
      check: { ...each.check, does: undefined },
    })),
  }));

it('finds nothing wrong with a plan as it is made', () => {
  for (const units of [[truck, trailer], [tipper, spreader], [crane]])
    expect(made(units).faultsOf({})).toEqual([]);
});

it('sees a stop that is left out', () => {
  expect(faultsOf({ stops: plan.stops.slice(1) })).toContain(
    'not every check stands in it exactly once',
  );
});

it('sees a stop that is made twice', () => {
  expect(faultsOf({ stops: [...plan.stops, plan.stops[0]] })).toContain(
    'not every check stands in it exactly once',
  );
});

it('sees chocks that nobody set', () => {
  const happenings = without(plan.happenings, 'chocks-in');
  const stops = doingNothing(plan.stops);
  expect(faultsOf({ happenings, stops }).some((each) => each.endsWith('without chocks'))).toBe(
    true,
  );
});

describe.each([
  ['a truck with its trailer', [truck, trailer]],
  ['a tipper with a spreader', [tipper, spreader]],
  ['a crane truck', [crane]],
] as const)('of %s', (_, units) => {
  const one = made(units);

  it.each(
    [...changes(one.plan.happenings)].filter(
      // What only puts the vehicle back is no condition of a check.
      (change) => !['set-brake', 'hood-closed', 'chocks-out'].includes(change),
    ),
  )('sees that nobody did: %s', (change) => {
    const happenings = without(one.plan.happenings, change);
    const stops = doingNothing(one.plan.stops);
    expect(one.faultsOf({ happenings, stops })).not.toEqual([]);
  });

  it('sees that a clock is not waited for', () => {
    // Everything a long time sooner: whatever clock there is has not run down.
    const hurried = one.plan.happenings.map((each) => ({
      ...each,
      at: each.at / 1000,
      seconds: each.kind === 'check' ? each.seconds : each.seconds / 1000,
    }));
    expect(one.faultsOf({ happenings: hurried })).not.toEqual([]);
  });
});

it('sees what is waited for too short', () => {
  // It stands in the plan when the clocks have run down; here they take longer.
  const warmer = findPlanFaults(plan, rig, cold, { ...USUAL_PACE, engineWarmUp: 1e6 });
  expect(warmer.some((each) => each.endsWith('without a warm engine'))).toBe(true);
  const airless = findPlanFaults(plan, rig, cold, { ...USUAL_PACE, airBuildUp: 1e6 });
  expect(airless.some((each) => each.endsWith('without air'))).toBe(true);
});

it('sees a cold engine that is not cold any more', () => {
  const running: Outset = { ...cold, running: true };
  const faults = faultsOf({}, running);
  const wantsCold = rig.instances.filter(({ check }) => requirementOf(check).engine === 'cold');
  expect(wantsCold.length).toBeGreaterThan(0);
  for (const { key } of wantsCold) expect(faults).toContain(`${key} is done without a cold engine`);
});

it('sees an engine that is shut off while the exhaust is cleaned', () => {
  const request = { rig, phase: 'pre-trip', circumstances: [], running: true } as const;
  const early = planWalk({ ...request, now: idling });
  const judged = (cleanIn: number) =>
    findPlanFaults(early, rig, { ...cold, running: true, now: { ...idling, cleanIn } });
  expect(judged(0)).toEqual([]);
  expect(judged(1e6)).toContain('the engine is shut down while the exhaust is cleaned');
});

it('sees an engine started, or chocks taken away, with the brake released', () => {
  const released: Outset = { ...cold, now: undefined };
  const first = plan.happenings.findIndex((each) => each.kind === 'change');
  const at = plan.happenings[first].at;
  const letGo: Happening = { kind: 'change', at, seconds: 0, change: 'release-brake' };
  const set = without(without(plan.happenings, 'set-brake'), 'release-brake');
  const faults = findPlanFaults(
    { ...plan, happenings: [...set.slice(0, first), letGo, ...set.slice(first)] },
    rig,
    released,
  );
  expect(faults).toContain('the engine is started with the brake released');
  expect(faults).toContain('chocks are taken away with the brake released');
});

it('sees what is done at the seat by somebody who is not there', () => {
  const happenings = plan.happenings.filter((each) => each.kind !== 'go');
  expect(faultsOf({ happenings })).toContain('start is done away from the seat');
});

it('sees two things at one time', () => {
  const [first, ...rest] = plan.happenings;
  expect(faultsOf({ happenings: [{ ...first, seconds: first.seconds + 60 }, ...rest] })).toContain(
    'something happens before it can',
  );
});

it('sees a walk the wrong way round, and one that begins elsewhere than the school', () => {
  const clockwise: School = { ...plan.school, direction: 'clockwise' };
  expect(
    faultsOf({ school: clockwise }).some((each) => each.includes('against the direction')),
  ).toBe(true);
  const inside: School = { ...plan.school, first: 'cab' };
  expect(faultsOf({ school: inside }).some((each) => each.includes('order of the school'))).toBe(
    true,
  );
  const early: School = { ...plan.school, engine: 'early' };
  expect(
    faultsOf({ school: early }).some((each) => each.endsWith('before the engine is started')),
  ).toBe(true);
});

it('sees a test of the brakes before its turn', () => {
  const rounds = new Map(rig.zones.map(({ key, round }) => [key, round]));
  const stops = plan.stops.map((stop) =>
    rounds.get(stop.zone.key) === 'brakes'
      ? { ...stop, instances: [...stop.instances].reverse() }
      : stop,
  );
  expect(faultsOf({ stops }).some((each) => each.endsWith('comes after a later test'))).toBe(true);
});
