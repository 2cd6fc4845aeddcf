import fc from 'fast-check';
import { catalogue } from '../content';
import { trailer, truck } from '../testing';
import { say } from '../words';
import { composeRig, findMisfits, findUnweighed, type Unit } from '.';

const card = (unit: Unit, figures: Record<string, number>): Unit => ({
  ...unit,
  specification: { ...unit.specification, ...figures },
});
const FITTING = {
  truck: {
    massEmpty: 7400,
    massGross: 15_000,
    towRating: 12_000,
    hookHeight: 0.82,
    socketVolts: 24,
    socketPins: 15,
  },
  trailer: {
    massEmpty: 2300,
    massGross: 9000,
    eyeHeight: 0.8,
    socketVolts: 24,
    socketPins: 15,
  },
};
const rigOf = (...units: Unit[]) =>
  composeRig({ units, phase: 'pre-trip', circumstances: [], catalogue });
const drawn = (front: Record<string, number>, rear: Record<string, number>) =>
  rigOf(
    card(truck, { ...FITTING.truck, ...front }),
    card(trailer, { ...FITTING.trailer, ...rear }),
  );
const codes = (rig: ReturnType<typeof rigOf>) => findMisfits(rig).map(({ says }) => says.code);

it('finds nothing where the cards agree', () => {
  expect(codes(drawn({}, {}))).toEqual([]);
  expect(findUnweighed(drawn({}, {}))).toEqual([]);
});

it.each([
  [
    'coupling-rating',
    { towRating: 8000 },
    {},
    /rated 8000 kg, and what it would pull may weigh 9000 kg/,
  ],
  ['voltage', {}, { socketVolts: 12 }, /gives 24 V and 931 wants 12 V/],
  ['pins', {}, { socketPins: 7 }, /socket of 15 pins and 931 a plug of 7: it needs an adapter/],
  ['height', {}, { eyeHeight: 0.95 }, /931 couples at 0\.95 m and 214 at 0\.82 m/],
] as const)('says why it does not fit: %s', (code, front, rear, words) => {
  const misfits = findMisfits(drawn(front, rear));
  expect(misfits).toMatchObject([{ says: { code } }]);
  expect(say(misfits[0].says, 'metric')).toMatch(words);
});

it('speaks in the reader’s units', () => {
  const [misfit] = findMisfits(drawn({ towRating: 8000 }, {}));
  expect(say(misfit.says, 'customary')).toMatch(/rated 17637 lb/);
});

it('lets a coupling meet a little too high', () => {
  expect(codes(drawn({ hookHeight: 0.8 }, { eyeHeight: 0.87 }))).toEqual([]);
});

it('weighs what hangs behind the trailer as well, and the plate of a tractor', () => {
  const id = (end: string) => `${truck.id.slice(0, -2)}${end}`;
  const tractor = card(
    { ...truck, id: id('a1'), number: '331', moduleId: 'road-tractor' },
    {
      ...FITTING.truck,
      massGross: 20_000,
      towRating: 40_000,
      kingpinLoad: 10_000,
      hookHeight: 1.2,
    },
  );
  const semi = card(
    { ...trailer, id: id('a2'), number: '951', moduleId: 'semi-trailer' },
    { ...FITTING.trailer, massGross: 31_000, kingpinLoad: 11_500, eyeHeight: 1.2 },
  );
  const [misfit, ...others] = findMisfits(rigOf(tractor, semi));
  expect(others).toEqual([]);
  expect(misfit.says.code).toBe('plate-rating');
  expect(say(misfit.says, 'metric')).toMatch(/carries 10000 kg, and 951 puts 11500 kg/);
});

describe('what is carried', () => {
  const host = card({ ...truck, fitted: ['power-take-off'] }, FITTING.truck);
  const plow = (mass: number) =>
    card(
      { ...trailer, id: `${trailer.id.slice(0, -2)}c7`, number: '614', moduleId: 'front-plow' },
      { massEmpty: mass },
    );

  it('counts against the rating of its carrier', () => {
    expect(codes(rigOf(host, plow(960)))).toEqual([]);
    const [misfit] = findMisfits(rigOf(host, plow(9000)));
    expect(misfit).toMatchObject({ says: { code: 'overloaded' }, unitId: host.id });
    expect(say(misfit.says, 'metric')).toMatch(
      /may weigh 15000 kg, and with 614 full it would weigh 16400 kg/,
    );
  });

  it('is named where its card says no mass', () => {
    const { massEmpty: _, ...specification } = plow(1).specification;
    const rig = rigOf(host, { ...plow(1), specification });
    expect(codes(rig)).toEqual([]);
    expect(findUnweighed(rig).map(({ number }) => number)).toEqual(['614']);
  });
});

it('never finds a misfit less when anything gets heavier', () => {
  const kilograms = fc.integer({ min: 500, max: 40_000 });
  // A trailer does not weigh less full than empty; that is another fault of a card.
  const full = fc.integer({ min: FITTING.trailer.massEmpty, max: 40_000 });
  fc.assert(
    fc.property(kilograms, full, kilograms, (rating, mass, more) => {
      const before = codes(drawn({ towRating: rating }, { massGross: mass }));
      const after = codes(drawn({ towRating: rating }, { massGross: mass + more }));
      expect(after).toEqual(expect.arrayContaining(before));
    }),
  );
});
