import { catalogue } from '../content';
import type { Axle } from '../catalogue';
import { composeRig, findMisfits, moduleOfUnit, type Unit } from '.';

const unit = (moduleId: string, axles?: readonly Axle[]): Unit => ({
  id: 'b0000000-0000-4000-8000-000000000341',
  number: '341',
  title: 'crane',
  plate: '',
  moduleId,
  specification: { coldPressureSteer: 800_000, coldPressureDrive: 700_000 },
  ...(axles && { card: { axles } }),
});
const FOUR: readonly Axle[] = [
  { at: 1.6, tyres: 1, steered: true, coldPressure: 900_000 },
  { at: 3.2, tyres: 1, steered: true },
  { at: 8.4, tyres: 2, driven: true, coldPressure: 750_000 },
  { at: 9.8, tyres: 2, driven: true },
];
const walk = (of: Unit) =>
  composeRig({ units: [of], phase: 'pre-trip', circumstances: [], catalogue });
const at = (of: Unit, ending: string) =>
  walk(of).instances.filter(({ check }) => check.id.endsWith(ending));

it('asks for the wheels of the card, not for those of the module', () => {
  expect(at(unit('mobile-crane', FOUR), 'tyre.thump-dual')).toHaveLength(8);
  expect(at(unit('mobile-crane', FOUR), 'tyre.pressure-steer')).toHaveLength(4);
  expect(at(unit('mobile-crane', FOUR), 'tyre.between-duals')).toHaveLength(4);
  const singles = FOUR.map((axle) => ({ ...axle, tyres: 1 as const }));
  expect(at(unit('mobile-crane', singles), 'tyre.thump-dual')).toHaveLength(4);
  expect(at(unit('mobile-crane', singles), 'tyre.between-duals')).toHaveLength(0);
  expect(at(unit('mobile-crane', FOUR.slice(0, 3)), 'tyre.between-duals')).toHaveLength(2);
});

it('draws the wheels of the card and stands between its axles', () => {
  const module = moduleOfUnit(unit('mobile-crane', FOUR), catalogue);
  expect(module.shapes.filter(({ role }) => role === 'wheel')).toHaveLength(12);
  expect(module.zones.find(({ id }) => id === 'curb-front-wheel')?.x).toBeCloseTo(2.4);
});

it('holds a reading against the figures of its own axle', () => {
  const pressures = at(unit('mobile-crane', FOUR), 'tyre.pressure-steer').map(
    ({ figures }) => figures.coldPressureSteer,
  );
  expect(pressures).toEqual([900_000, 900_000, 800_000, 800_000]);
});

it('keeps what is asked of a unit with a card apart from its sister without one', () => {
  const plain = walk(unit('straight-truck-air'));
  const single = walk(
    unit('straight-truck-air', [
      { at: 1.2, tyres: 1, steered: true },
      { at: 6, tyres: 1, driven: true },
    ]),
  );
  const keys = (rig: typeof plain) =>
    rig.instances.filter(({ check }) => check.id.endsWith('between-duals')).length;
  expect([keys(plain), keys(single)]).toEqual([2, 0]);
});

it('takes nothing of a card that cannot be right, and says so', () => {
  const wrong = unit('mobile-crane', [
    { at: 5, tyres: 1, steered: true },
    { at: 2, tyres: 2 },
  ]);
  expect(at(wrong, 'tyre.thump-dual')).toHaveLength(
    at(unit('mobile-crane'), 'tyre.thump-dual').length,
  );
  expect(findMisfits(walk(wrong)).map(({ says }) => says.code)).toEqual(['card-axle-place']);
});

describe('a number that is held against the card alone', () => {
  const road = (figures: Readonly<Record<string, number>>) =>
    composeRig({
      units: [{ ...unit('straight-truck-air'), specification: figures }],
      phase: 'under-way',
      circumstances: [],
      catalogue,
    }).instances.find(({ check }) => check.id === 'truck.stop.coolant-temperature')?.check.reading;

  it('is asked where the card has the figure', () => {
    expect(road({ coolantHigh: 378 })).toBeDefined();
  });

  it('is not asked where it has none: nobody is told to stop because a card is empty', () => {
    expect(road({})).toBeUndefined();
  });

  it('is never one without which a check cannot be called sound', () => {
    const readings = catalogue.modules.flatMap(({ checks }) =>
      checks.flatMap(({ reading }) => (reading?.byCard ? [reading] : [])),
    );
    expect(readings.length).toBeGreaterThan(10);
    expect(readings.filter(({ required }) => required)).toEqual([]);
  });
});
