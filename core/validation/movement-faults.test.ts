import { type Check, type Module } from '../catalogue';
import { catalogue } from '../content';
import { sayFault } from './english';
import { findMovementFaults } from './movement-faults';

const moduleOf = (id: string): Module => {
  const module = catalogue.modules.find((each) => each.id === id);
  if (!module) throw new Error(`no module ${id}`);
  return module;
};

/** A module of which one check was changed for the worse. */
function spoilt(moduleId: string, checkId: string, change: (check: Check) => Partial<Check>) {
  const module = moduleOf(moduleId);
  if (!module.checks.some(({ id }) => id === checkId)) throw new Error(`no check ${checkId}`);
  return findMovementFaults({
    ...module,
    checks: module.checks.map((check) =>
      check.id === checkId ? { ...check, ...change(check) } : check,
    ),
  }).map(sayFault);
}

const without =
  (...gone: readonly string[]) =>
  ({ needs }: Check) => ({ needs: needs.filter((need) => !gone.includes(need)) });

it('finds nothing in the content that ships', () => {
  expect(catalogue.modules.flatMap(findMovementFaults)).toEqual([]);
});

it.each([
  ['aerial-ladder', 'aerial.cycle', 'power-take-off', 'does not need engine and power take-off'],
  ['front-plow', 'plow.cycle', 'engine-idling', 'does not need it running'],
  ['liftgate-rail', 'rail-lift.switches', 'lift-power-on', 'does not need it switched on'],
  ['mobile-crane', 'mobile-crane.cycle', 'own-engine-running', 'does not need it running'],
  ['transit-bus', 'coach.kneeling', 'air-charged', 'does not need any'],
  ['straight-truck-air', 'truck.brake.service', 'rolls', 'does not need what is out to be in'],
  ['loader-crane', 'loader-crane.cycle', 'parking-brake-set', 'does not need it set'],
  ['loader-crane', 'loader-crane.cycle', 'chocked', 'is held by chocks and does not need them'],
  ['loader-crane', 'loader-crane.cycle', 'area-clear', 'needs a clear zone and does not ask'],
])('of %s: %s without %s', (module, check, need, words) => {
  const faults = spoilt(module, check, without(need));
  expect(faults.some((each) => each.startsWith(check) && each.includes(words))).toBe(true);
});

it('names an interlock that could pass on a dead machine', () => {
  const dead = spoilt(
    'aerial-ladder',
    'aerial.dead-man',
    without('engine-idling', 'power-take-off'),
  );
  expect(dead).toContainEqual(
    expect.stringMatching(/^aerial\.dead-man: .*does not need engine and power take-off/),
  );
  const byHand = spoilt('aerial-ladder', 'aerial.dead-man', ({ moves }) => ({
    moves: moves && { ...moves, by: 'hand' },
  }));
  expect(byHand).toContainEqual(expect.stringContaining('that no power moves'));
});

it('names what is operated with nothing said of how it moves', () => {
  expect(spoilt('dump-body', 'dump.cycle', () => ({ moves: undefined }))).toContainEqual(
    expect.stringMatching(/^dump\.cycle: operates something and does not say what moves it/),
  );
});

it.each([
  ['Roll at walking pace and brake firmly', 'straight-truck-air', 'truck.brake.service', 'rolls'],
  ['Released leakage', 'straight-truck-air', 'truck.air.leak-released', 'parking-brake-released'],
  [
    'Hold the pedal down hard',
    'straight-truck-hydraulic',
    'tilt-truck.brake.pedal-hold',
    'pedal-held-by-driver',
  ],
])('names words that say a state which the needs do not: %s', (_, module, check, need) => {
  expect(spoilt(module, check, without(need))).toContainEqual(
    expect.stringMatching(/its words name .*, and its needs do not/),
  );
});

it('names two needs that contradict each other', () => {
  const torn = spoilt('straight-truck-air', 'truck.frame.rail', () => ({
    needs: ['secured', 'engine-idling'],
  }));
  expect(torn).toContainEqual(
    expect.stringMatching(/truck\.frame\.rail needs secured and engine-idling/),
  );
});

it('names checks of one module that contradict each other', () => {
  expect(
    spoilt('straight-truck-air', 'truck.cab.gauges', () => ({ needs: ['engine-idling'] })),
  ).toContainEqual(expect.stringContaining('comes before the first start and wants the engine'));
  expect(
    spoilt('front-plow', 'plow.float', ({ moves }) => ({
      moves: moves && { ...moves, by: 'lift-power' },
      needs: ['lift-power-on', 'parking-brake-set', 'area-clear'],
    })),
  ).toContainEqual(expect.stringContaining('move blade by lift-power and by engine'));
  expect(spoilt('front-plow', 'plow.pins', () => ({ partOf: ['rudder'] }))).toContainEqual(
    expect.stringContaining('is part of rudder, which nothing in its module moves'),
  );
});

it('names what is looked at before a movement and belongs to nothing that moves', () => {
  expect(
    spoilt('straight-truck-hydraulic', 'tilt-truck.cab.latches', () => ({ partOf: [] })),
  ).toContainEqual(expect.stringContaining('comes before a movement and is part of nothing'));
});

it('names hands in reach of what could start', () => {
  expect(spoilt('straight-truck-air', 'truck.wheel.nuts', () => ({ needs: [] }))).toContainEqual(
    expect.stringMatching(/^truck\.wheel\.nuts: has hands in reach/),
  );
});
