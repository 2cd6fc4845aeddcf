import { makeRig, trailer, truck } from '../testing';
import type { RouteStyle } from '../planning';
import { findPlanFaults, planWalk, type Plan } from '.';

const rig = makeRig([truck, trailer]);
const plan = planWalk({ rig, phase: 'pre-trip', circumstances: [] });
const faultsOf = (change: Partial<Plan>) => findPlanFaults({ ...plan, ...change }, rig);

it('finds nothing wrong with a plan as it is made', () => {
  expect(faultsOf({})).toEqual([]);
});

it('sees a stop that is left out, and one that is made twice', () => {
  const words = 'not every check stands in it exactly once';
  expect(faultsOf({ stops: plan.stops.slice(1) })).toContain(words);
  expect(faultsOf({ stops: [...plan.stops, plan.stops[0]] })).toContain(words);
});

it('sees two things at one time', () => {
  const [first, ...rest] = plan.happenings;
  expect(faultsOf({ happenings: [{ ...first, seconds: first.seconds + 60 }, ...rest] })).toContain(
    'something happens before it can',
  );
});

it('sees a walk the wrong way round', () => {
  const clockwise: RouteStyle = { ...plan.routeStyle, direction: 'clockwise' };
  const words = faultsOf({ routeStyle: clockwise });
  expect(words.some((each) => each.includes('against the direction'))).toBe(true);
  expect(words.some((each) => each.includes('after what lies further on'))).toBe(true);
});

it('sees a test of the brakes before its turn', () => {
  const stops = plan.stops.map((stop) =>
    stop.zone.round === 'brakes' ? { ...stop, instances: [...stop.instances].reverse() } : stop,
  );
  expect(faultsOf({ stops }).some((each) => each.endsWith('comes after a later test'))).toBe(true);
});
