import fc from 'fast-check';
import { PHASES, type Module } from '../catalogue';
import { catalogue } from '../content';
import { orderWalk } from '../planning';
import { composeRig, moduleOfUnit, type Unit } from '.';

let made = 0;
/** A made-up unit of a module with what is fitted to it. */
function unitOf(moduleId: string, ...fitted: string[]): Unit {
  made += 1;
  const number = String(made);
  return {
    id: `01900000-0000-7000-8000-${number.padStart(12, '0')}`,
    number,
    title: moduleId,
    plate: '',
    moduleId,
    fitted,
    specification: {},
  };
}

const compose = (units: readonly Unit[], phase: (typeof PHASES)[number] = 'pre-trip') =>
  composeRig({ units, phase, circumstances: [], catalogue });

const plowTruck = () => unitOf('straight-truck-air', 'power-take-off', 'dump-body');

describe('a plow truck for the winter', () => {
  const units = [
    plowTruck(),
    unitOf('front-plow'),
    unitOf('wing-plow'),
    unitOf('slide-in-spreader', 'wetting-system'),
  ];
  const rig = compose(units);

  it('carries its equipment where it belongs', () => {
    const [truck, plow, wing, spreader] = rig.units;
    expect(plow.offset).toBe(0);
    expect(truck.offset).toBeCloseTo(1.4);
    expect(wing.aside).toBeGreaterThan(1);
    expect(spreader.offset).toBeCloseTo(truck.offset + 4.2);
    for (const each of [plow, wing, spreader])
      expect(each).toMatchObject({ hostId: truck.unit.id, towed: false, followed: false });
    expect(rig.towing).toBe(false);
  });

  it('can do what all of it can', () => {
    expect(rig.capabilities).toEqual(['road', 'plow', 'spread']);
  });

  it('dumps nothing with a spreader in its body, and says which cycle is not made for it', () => {
    const barred = rig.barred.map(({ check, carries }) => [check.id, carries?.moduleId]);
    expect(barred).toContainEqual(['dump.cycle', 'slide-in-spreader']);
    expect(rig.instances.some(({ check }) => check.id === 'dump.cycle')).toBe(false);
  });

  it('asks each unit for its own, and only what the phase asks', () => {
    const hookUp = compose(units, 'hook-up');
    expect(hookUp.instances.length).toBeLessThan(rig.instances.length);
    for (const { check } of hookUp.instances) expect(check.phases).toContain('hook-up');
    expect(hookUp.instances.some(({ check }) => check.id === 'spreader.slide-in')).toBe(true);
  });
});

describe('a tractor with a transporter and a digger aboard', () => {
  const rig = compose([
    unitOf('road-tractor'),
    unitOf('lowboy-transporter'),
    unitOf('tracked-digger'),
  ]);

  it('is the largest, and its load is towed with what carries it', () => {
    expect(rig.instances.length).toBeGreaterThanOrEqual(250);
    expect(rig.instances.length).toBeLessThanOrEqual(380);
    expect(rig.units.map(({ towed }) => towed)).toEqual([false, true, true]);
    expect(rig.capabilities).toEqual(['road', 'highway', 'tow', 'dig']);
    // The digger stands on the deck: its height counts from there.
    expect(rig.units[2].lift).toBeCloseTo(0.6);
    expect(rig.height).toBeCloseTo(Math.max(3.9, 0.6 + 2.8));
  });
});

describe('what does not fit', () => {
  const goods = () => unitOf('straight-truck-air');
  it.each<[string, () => Unit[], RegExp]>([
    ['two that drive', () => [goods(), goods()], /is driven, it cannot be towed/],
    [
      'a plow without hydraulics',
      () => [goods(), unitOf('front-plow')],
      /does not give: hydraulics/,
    ],
    ['a spreader without a body', () => [goods(), unitOf('slide-in-spreader')], /free place for/],
    [
      'two plows on one hitch',
      () => [plowTruck(), unitOf('front-plow'), unitOf('front-plow')],
      /free place for Front plow/,
    ],
    [
      'a trailer on a truck with another joint',
      () => [goods(), unitOf('semi-trailer')],
      /does not fit the pintle/,
    ],
    ['a trailer in front', () => [unitOf('semi-trailer'), goods()], /cannot drive by itself/],
    [
      'a body without a power take-off',
      () => [unitOf('straight-truck-air', 'dump-body')],
      /lacks what its equipment needs/,
    ],
    ['a crane on a bus', () => [unitOf('school-bus', 'loader-crane')], /no place for Knuckle-boom/],
    [
      'two bodies',
      () => [unitOf('straight-truck-air', 'platform-body', 'dump-body')],
      /no place for Dump body/,
    ],
    [
      'a plow fitted like a body',
      () => [unitOf('straight-truck-air', 'front-plow')],
      /a number of its own/,
    ],
    ['a body without a truck', () => [unitOf('dump-body')], /it is none/],
    [
      'an air trailer behind fluid brakes',
      () => [unitOf('light-utility'), unitOf('tag-trailer-air')],
      /does not fit the ball/,
    ],
  ])('%s is refused with the reason', (_, make, words) => {
    expect(() => compose(make())).toThrow(words);
    expect(() => compose(make())).toThrow(RangeError);
  });
});

const FITTED: Readonly<Record<string, readonly (readonly string[])[]>> = {
  'straight-truck-air': [
    [],
    ['power-take-off', 'dump-body'],
    ['power-take-off', 'dump-body', 'underbody-blade'],
    ['power-take-off', 'dump-spreader-body'],
    ['power-take-off', 'loader-crane', 'platform-body'],
    ['platform-body', 'front-winch'],
    ['liftgate-rail'],
  ],
  'straight-truck-hydraulic': [[], ['liftgate-column'], ['platform-body']],
  'school-bus': [[], ['passenger-lift']],
  'transit-bus': [[], ['passenger-lift']],
  'fire-pumper': [[], ['aerial-ladder']],
  'off-road-cargo-truck': [[], ['front-winch']],
  'semi-trailer': [[], ['liftgate-rail'], ['liftgate-column']],
};

const driven = catalogue.modules.filter(({ powered }) => powered);
const joinable = catalogue.modules.filter(({ powered, build }) => !powered && build !== 'fitted');

const arbitraryUnit = (modules: readonly Module[]) =>
  fc
    .constantFrom(...modules)
    .chain(({ id }) =>
      fc.constantFrom(...(FITTED[id] ?? [[]])).map((fitted) => unitOf(id, ...fitted)),
    );

it('composes any legal combination without a lost or doubled check, in every phase', () => {
  let legal = 0;
  fc.assert(
    fc.property(
      arbitraryUnit(driven),
      fc.array(arbitraryUnit(joinable), { minLength: 3, maxLength: 9 }),
      fc.constantFrom(...PHASES),
      (first, others, phase) => {
        // What does not fit is left in the yard.
        const units = others.reduce<Unit[]>(
          (rig, unit) => {
            try {
              compose([...rig, unit]);
              return [...rig, unit];
            } catch (error) {
              if (error instanceof RangeError) return rig;
              throw error;
            }
          },
          [first],
        );
        const rig = compose(units, phase);
        if (units.length > 1) legal += 1;
        const keys = rig.instances.map(({ key }) => key);
        expect(new Set(keys).size).toBe(keys.length);
        const walked = orderWalk(rig).flatMap(({ instances }) => instances.map(({ key }) => key));
        expect([...walked].sort()).toEqual([...keys].sort());
        for (const { unit } of rig.units) {
          const { checks, places } = moduleOfUnit(unit, catalogue);
          // Between the two tyres only where there are two.
          const sorts = new Set([undefined, ...places.flatMap((place) => place.sorts)]);
          for (const check of checks)
            if (check.phases.includes(phase) && !check.when && sorts.has(check.each))
              expect(
                keys.some((key) => key.startsWith(`${unit.id}/${check.id}`)) ||
                  rig.barred.some((each) => each.unit.id === unit.id && each.check.id === check.id),
              ).toBe(true);
        }
      },
    ),
    { numRuns: 150 },
  );
  expect(legal).toBeGreaterThan(20);
});

it('draws coupled units behind each other, never through each other', () => {
  for (const [front, rear] of [
    [unitOf('straight-truck-air'), unitOf('tag-trailer-air')],
    [unitOf('straight-truck-air'), unitOf('tilt-trailer')],
    [unitOf('off-road-cargo-truck'), unitOf('tag-trailer-air')],
  ]) {
    const [one, other] = compose([front, rear]).units;
    expect(other.offset).toBeGreaterThanOrEqual(one.offset + one.module.length - 0.01);
  }
  // On a fifth wheel the nose lies over the frame, and ends behind the cab.
  const [tractor, semi] = compose([unitOf('road-tractor'), unitOf('semi-trailer')]).units;
  expect(semi.offset).toBeGreaterThan(tractor.offset + 4);
});

it('keeps what is fitted within reach of the vehicle that carries it', () => {
  for (const [id, sets] of Object.entries(FITTED))
    for (const fitted of sets) {
      const module = moduleOfUnit(unitOf(id, ...fitted), catalogue);
      for (const place of module.places) {
        expect(place.x).toBeGreaterThanOrEqual(-0.01);
        expect(place.x).toBeLessThanOrEqual(module.length + 0.01);
        expect(Math.abs(place.y)).toBeLessThanOrEqual(module.width / 2 + 0.3);
      }
      expect(new Set(module.places.map((each) => each.id)).size).toBe(module.places.length);
      for (const check of module.checks)
        expect(module.zones.some((zone) => zone.id === check.zone)).toBe(true);
    }
});
