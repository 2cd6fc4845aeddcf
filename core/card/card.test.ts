import fc from 'fast-check';
import { catalogue } from '../content';
import type { Axle, Card, Chart, RunningGear } from '../catalogue';
import { say } from '../words';
import { figuresAt, findCardFaults, ratedLoad, wheelPlaces, wheelShapes, wheelStops } from '.';

const moduleOf = (id: string) => {
  const found = catalogue.modules.find((each) => each.id === id);
  if (!found) throw new Error(`no module ${id}`);
  return found;
};
const steer = (at: number): Axle => ({ at, tyres: 1, steered: true });
const drive = (at: number, tyres: 1 | 2 = 2): Axle => ({ at, tyres, driven: true });
const truck = (axles: readonly Axle[]): RunningGear => ({
  names: 'steer-and-drive',
  width: 2.4,
  axles,
  mayHaveDuals: true,
  mostAxles: 6,
});
const idsOf = (gear: RunningGear, sort: string) =>
  wheelPlaces(gear)
    .filter(({ sorts }) => sorts.includes(sort))
    .map(({ id }) => id);

describe('the wheels of a four-axle crane with duals at the rear', () => {
  const crane = truck([steer(1.6), steer(3.2), drive(8.4), drive(9.8)]);

  it('has four tyres in front and eight behind', () => {
    expect(idsOf(crane, 'tyre')).toEqual([
      'steer1-left',
      'steer1-right',
      'steer2-left',
      'steer2-right',
      'drive1-left-outer',
      'drive1-left-inner',
      'drive1-right-outer',
      'drive1-right-inner',
      'drive2-left-outer',
      'drive2-left-inner',
      'drive2-right-outer',
      'drive2-right-inner',
    ]);
    expect(wheelShapes(crane)).toHaveLength(12);
  });

  it('has eight ends of axles, and something between two tyres at four of them', () => {
    expect(idsOf(crane, 'wheel-end')).toHaveLength(8);
    expect(idsOf(crane, 'pair')).toEqual([
      'drive1-left',
      'drive1-right',
      'drive2-left',
      'drive2-right',
    ]);
  });

  it('is looked at from the middle of the steered and of the driven axles', () => {
    expect(wheelStops(crane).get('driver-front-wheel')).toBeCloseTo(2.4);
    expect(wheelStops(crane).get('curb-rear-wheels')).toBeCloseTo(9.1);
  });

  it('calls its axles by their number from the front', () => {
    const titles = wheelPlaces(crane).map(({ title }) => title);
    expect(titles).toContain('axle 2 right steer');
    expect(titles).toContain('axle 3 left inner');
  });
});

it('has nothing between two tyres where an axle has one', () => {
  const gear = truck([steer(1.2), drive(4, 1)]);
  expect(idsOf(gear, 'pair')).toEqual([]);
  expect(idsOf(gear, 'dual')).toEqual(['drive-left-tyre', 'drive-right-tyre']);
});

it('calls what is towed by numbered axles, and says at which it can be lifted', () => {
  const gear: RunningGear = {
    ...truck([
      { at: 8, tyres: 2 },
      { at: 9.3, tyres: 2, lifts: true },
    ]),
    names: 'numbered',
  };
  expect(idsOf(gear, 'tyre')).toHaveLength(8);
  expect(idsOf(gear, 'lift-axle')).toEqual(['axle-2-left', 'axle-2-right']);
});

it('gives every wheel an id of its own, inside the vehicle, whatever its axles are', () => {
  const axle = fc.record({
    tyres: fc.constantFrom(1 as const, 2 as const),
    steered: fc.boolean(),
    lifts: fc.boolean(),
  });
  fc.assert(
    fc.property(
      fc.constantFrom('steer-and-drive' as const, 'numbered' as const),
      fc.array(axle, { minLength: 1, maxLength: 12 }),
      (names, list) => {
        const axles = list.map((each, index) => ({
          ...each,
          at: 1 + index,
          ...(index === 0 && names === 'steer-and-drive' && { steered: true, tyres: 1 as const }),
        }));
        const gear: RunningGear = { ...truck(axles), names };
        const places = wheelPlaces(gear);
        expect(new Set(places.map(({ id }) => id)).size).toBe(places.length);
        for (const { y, axle: of, x } of places) {
          expect(Math.abs(y)).toBeLessThanOrEqual(gear.width / 2);
          expect(x).toBe(axles[of ?? -1].at);
        }
      },
    ),
  );
});

describe('figures at a wheel', () => {
  const figures = { coldPressureSteer: 760_000, coldPressureDrive: 655_000, massGross: 15_000 };
  const axles = [{ ...steer(1), coldPressure: 900_000, longStroke: true }, drive(5)];
  const at = (axle: number | undefined) =>
    figuresAt(figures, axles, {
      id: 'w',
      title: 'w',
      sorts: ['tyre'],
      zone: 'z',
      x: 0,
      y: 0,
      axle,
    });

  it('are those of its axle', () => {
    expect(at(0)).toMatchObject({
      coldPressureSteer: 900_000,
      longStrokeChambers: 1,
      massGross: 15_000,
    });
  });

  it('are those of the card where the axle has none, as on every card that was kept before cards had axles', () => {
    expect(at(1)).toBe(figures);
    expect(at(undefined)).toBe(figures);
    expect(figuresAt(figures, undefined, undefined)).toBe(figures);
  });
});

describe('a rated chart', () => {
  // Worked by hand: 12 t close in; 15 m of boom is not allowed beyond 8 m in this configuration.
  const chart: Chart = {
    id: 'full',
    title: 'outriggers out, 4 t counterweight',
    lengths: [10, 15, 20],
    rows: [
      { radius: 3, loads: [12_000, 10_000, null] },
      { radius: 5, loads: [8000, 7000, 5000] },
      { radius: 8, loads: [4500, 4000, 3600] },
      { radius: 10, loads: [null, null, 2500] },
    ],
  };

  it.each([
    [3, 10, 12_000],
    [2, 10, 12_000],
    [5, 15, 7000],
    // Between two lines the smaller load counts, also between two lengths.
    [4, 10, 8000],
    [6, 12, 4000],
    [10, 20, 2500],
  ])('allows at a radius of %d m with %d m of boom %d kg', (radius, length, load) => {
    expect(ratedLoad(chart, radius, length)).toMatchObject({ load });
  });

  it.each([
    [10.2, 20, 'radius'],
    [5, 21, 'length'],
    [3, 20, 'not-allowed'],
    [9, 10, 'not-allowed'],
    [NaN, 10, 'radius'],
    [5, NaN, 'length'],
    [-1, 10, 'radius'],
  ] as const)('allows nothing at %d m with %d m of boom', (radius, length, outside) => {
    expect(ratedLoad(chart, radius, length)).toEqual({ outside });
  });

  it('never allows more further out or with more boom than at the lines around it', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 10, noNaN: true }),
        fc.double({ min: 0, max: 20, noNaN: true }),
        fc.double({ min: 0, max: 3, noNaN: true }),
        (radius, length, more) => {
          const near = ratedLoad(chart, radius, length);
          const far = ratedLoad(chart, radius + more, length);
          if ('load' in near && 'load' in far) expect(far.load).toBeLessThanOrEqual(near.load);
        },
      ),
    );
  });
});

describe('what cannot be on a card', () => {
  const crane = moduleOf('mobile-crane');
  const codes = (card: Card, figures = {}, module = crane) =>
    findCardFaults('341', figures, card, module).map(({ code }) => code);
  const chart = (rows: Chart['rows']): Card => ({
    charts: [{ id: 'c', title: 'full', lengths: [10, 15], rows }],
  });

  it.each<[string, Card, string]>([
    ['no axle', { axles: [] }, 'card-axle-count'],
    [
      'more axles than its kind has',
      { axles: Array.from({ length: 7 }, (_, i) => steer(1 + i)) },
      'card-axle-count',
    ],
    ['an axle in front of the one before', { axles: [steer(3), drive(2)] }, 'card-axle-place'],
    ['an axle behind its end', { axles: [steer(2), drive(30)] }, 'card-axle-place'],
    ['an axle at no number', { axles: [steer(NaN), drive(6)] }, 'card-axle-place'],
    ['a first axle that is not steered', { axles: [drive(2, 1), drive(6)] }, 'card-axle-steered'],
    ['three tyres on a side', { axles: [steer(2), { at: 6, tyres: 3 as 2 }] }, 'card-tyres'],
    [
      'two tyres on the steered axle',
      { axles: [{ ...steer(2), tyres: 2 }, drive(6)] },
      'card-duals',
    ],
    ['a pressure of zero', { axles: [{ ...steer(2), coldPressure: 0 }, drive(6)] }, 'card-figure'],
    [
      'two tanks of one name',
      {
        tanks: ['a', 'b'].map(() => ({
          id: 'x',
          title: 'main',
          holds: 'fuel',
          at: 3,
          side: 'curb',
        })),
      },
      'card-twice',
    ],
    [
      'a tank behind its end',
      { tanks: [{ id: 'x', title: 'main', holds: 'fuel', at: 99, side: 'curb' }] },
      'card-tank-place',
    ],
    [
      'a date that the calendar does not have',
      { dated: [{ id: 'e', title: 'extinguisher', until: '2027-02-30' }] },
      'card-date',
    ],
    ['a chart with no line', chart([]), 'card-chart-empty'],
    [
      'a chart whose radii fall',
      chart([
        { radius: 5, loads: [9, 9] },
        { radius: 3, loads: [8, 8] },
      ]),
      'card-chart-order',
    ],
    ['a chart with a line too short', chart([{ radius: 3, loads: [9] }]), 'card-chart-hole'],
    [
      'a chart with a hole inside',
      chart([
        { radius: 3, loads: [9, 9] },
        { radius: 4, loads: [null, 8] },
        { radius: 5, loads: [7, 7] },
      ]),
      'card-chart-hole',
    ],
    [
      'a chart that lifts more further out',
      chart([
        { radius: 3, loads: [9, 9] },
        { radius: 4, loads: [9, 10] },
      ]),
      'card-chart-rises',
    ],
  ])('%s', (_, card, code) => {
    expect(codes(card)).toContain(code);
  });

  it('duals on a vehicle that never has them, axles on one that has none', () => {
    const utility = moduleOf('light-utility');
    expect(codes({ axles: [steer(0.5), drive(2.5)] }, {}, utility)).toContain('card-duals');
    expect(codes({ axles: [steer(0.5)] }, {}, moduleOf('front-plow'))).toEqual(['card-no-axles']);
  });

  it.each([
    [{ massGross: 0 }, 'card-figure'],
    [{ massGross: 4_000_000 }, 'card-figure'],
    [{ massEmpty: 9000, massGross: 8000 }, 'card-masses'],
  ])('masses like %j', (figures, code) => {
    expect(codes({}, figures)).toContain(code);
  });

  it('is said in a sentence that names unit and axle', () => {
    const [fault] = findCardFaults(
      '341',
      {},
      { axles: [{ ...steer(2), tyres: 2 }, drive(6)] },
      crane,
    );
    expect(say(fault, 'metric')).toBe(
      'The card of 341 names two tyres on each side of axle 1, where it can only have one.',
    );
  });

  it('nothing, of a card that is as it should be', () => {
    expect(
      codes({
        axles: [steer(1.6), steer(3.2), drive(8.4), drive(9.8)],
        dated: [{ id: 'e', title: 'extinguisher', until: '2028-02-29' }],
        ...chart([
          { radius: 3, loads: [9, null] },
          { radius: 4, loads: [8, 7] },
          { radius: 5, loads: [null, 6] },
        ]),
      }),
    ).toEqual([]);
  });
});
