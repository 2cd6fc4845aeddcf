import fc from 'fast-check';
import { toSi } from '../../quantity';
import { boundByLaw, buildUpTime, freePlayAngle, legalLimit } from '..';

const psi = (value: number) => toSi(value, 'psi');
const degrees = (value: number) => toSi(value, '°');
const inches = (value: number) => toSi(value, 'in');

describe('the law behind a card', () => {
  it('warns of low air at 55 psi, or at half of a cut-out that is lower (49 CFR 393.51)', () => {
    const usual = { governorCutOutHigh: psi(130) };
    expect(boundByLaw('lowPressureWarning', 'below', psi(60), usual)).toBeUndefined();
    expect(boundByLaw('lowPressureWarning', 'below', psi(50), usual)?.value).toBeCloseTo(psi(55));
    const low = { governorCutOutHigh: psi(100) };
    expect(boundByLaw('lowPressureWarning', 'below', psi(50), low)).toBeUndefined();
    expect(boundByLaw('lowPressureWarning', 'below', psi(45), low)?.value).toBeCloseTo(psi(50));
  });

  it('has the governor of a truck cut in at 100 psi and that of a bus at 85', () => {
    expect(boundByLaw('governorCutInLow', 'below', psi(90), {})?.value).toBeCloseTo(psi(100));
    expect(
      boundByLaw('governorCutInLow', 'below', psi(90), { passengerSeats: 48 }),
    ).toBeUndefined();
    const bus = boundByLaw('governorCutInLow', 'below', psi(80), { passengerSeats: 48 });
    expect(bus?.value).toBeCloseTo(psi(85));
    expect(bus?.source).toContain('licence manual');
  });

  it.each([
    // 49 CFR 393.209(b): diameter, most at the rim by hand, with power; all in inches.
    [16, 2, 4.25],
    [18, 2.25, 4.75],
    [19, 2.375, 5],
    [20, 2.5, 5.25],
    [21, 2.625, 5.5],
    [22, 2.75, 5.75],
  ])(
    'lets a steering wheel of %p in play %p in by hand and %p in with power',
    (wide, hand, power) => {
      const rim = (angle: number) => (angle * wide) / 2;
      expect(rim(freePlayAngle(inches(wide), false))).toBeCloseTo(hand, 3);
      expect(rim(freePlayAngle(inches(wide), true))).toBeCloseTo(power, 3);
    },
  );

  it('bounds the free play of a card by its wheel, by hand where it says so', () => {
    const hand = { steeringWheelDiameter: inches(18), powerSteering: 0 };
    expect(boundByLaw('steeringFreePlay', 'above', degrees(14), hand)).toBeUndefined();
    expect(boundByLaw('steeringFreePlay', 'above', degrees(20), hand)).toBeDefined();
    expect(boundByLaw('steeringFreePlay', 'above', degrees(20), {})).toBeUndefined();
    expect(boundByLaw('steeringFreePlay', 'above', degrees(40), {})).toBeDefined();
  });

  it('never bounds a card that is stricter, and says nothing of what no law knows', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1, noNaN: true }), (share) => {
        expect(boundByLaw('steeringFreePlay', 'above', degrees(14) * share, {})).toBeUndefined();
        expect(boundByLaw('governorCutInLow', 'below', psi(100) * (1 + share), {})).toBeUndefined();
        expect(boundByLaw('coldPressureSteer', 'below', share, {})).toBeUndefined();
        expect(boundByLaw('toString', 'below', share, {})).toBeUndefined();
      }),
    );
  });
});

describe('what the law gives where a card is silent', () => {
  // 49 CFR 396, Appendix A, 1.a(5), clamp type: worked from the table, not from the code.
  it.each([
    [12, 0, 1.375],
    [16, 0, 1.75],
    [20, 0, 1.75],
    [24, 0, 1.75],
    [30, 0, 2],
    [36, 0, 2.25],
    [20, 1, 2],
    [30, 1, 2.5],
    // There is no long one of this type: the usual line.
    [36, 1, 2.25],
  ])(
    'a chamber of type %p (long stroke %p) is out of adjustment beyond %p in',
    (chamber, longStrokeChambers, most) => {
      expect(legalLimit('strokeMost', 'above', { chamber, longStrokeChambers })?.value).toBeCloseTo(
        inches(most),
      );
      expect(
        legalLimit('strokeMostSteer', 'above', { chamberSteer: chamber, longStrokeChambers })
          ?.value,
      ).toBeCloseTo(inches(most));
    },
  );

  it('gives no stroke for a chamber of which nobody knows the type', () => {
    expect(legalLimit('strokeMost', 'above', {})).toBeUndefined();
    expect(legalLimit('strokeMost', 'above', { chamber: 21 })).toBeUndefined();
    expect(boundByLaw('strokeMost', 'above', inches(9), {})).toBeUndefined();
  });

  // 49 CFR 393.47(d): drum 3/16 in on the steer axle, 1/4 in elsewhere, air disc 1/8 in.
  it.each([
    ['liningLeastSteer', 0, 3 / 16],
    ['liningLeast', 0, 1 / 4],
    ['liningLeastSteer', 1, 1 / 8],
    ['liningLeast', 1, 1 / 8],
  ])('%s with disc brakes %p is %p in', (field, discBrakes, least) => {
    expect(legalLimit(field, 'below', { discBrakes })?.value).toBeCloseTo(inches(least));
  });

  // 49 CFR 571.121 S5.1.1: 25 s × actual / required; the licence manual's 45 s where the tanks are not known.
  it.each([
    [0.06, 0.06, 25],
    [0.09, 0.06, 37.5],
    [0.12, 0.06, 50],
    [undefined, 0.06, 45],
    // Smaller than required, or larger than anybody fits: a card that is mistaken.
    [0.05, 0.06, 45],
    [0.6, 0.06, 45],
  ])(
    'tanks of %p m³ where %p are required build up in %p s',
    (tanksActual, tanksRequired, most) => {
      expect(buildUpTime(tanksActual, tanksRequired)).toBeCloseTo(most);
    },
  );

  // 29 CFR 1926.1413(a)(2): six in a lay of a running rope; two of one that resists rotation.
  it('takes a rope of which nothing is known for one that resists rotation', () => {
    expect(legalLimit('ropeWiresMost', 'above', { rotationResistant: 0 })?.value).toBe(5);
    expect(legalLimit('ropeWiresMost', 'above', { rotationResistant: 1 })?.value).toBe(1);
    expect(legalLimit('ropeWiresMost', 'above', {})?.value).toBe(1);
  });

  it('leaves what is the maker’s to the card', () => {
    expect(legalLimit('coldPressureSteer', 'below', {})).toBeUndefined();
    expect(legalLimit('governorCutInLow', 'below', {})).toBeUndefined();
    expect(legalLimit('toString', 'below', {})).toBeUndefined();
    expect(legalLimit('strokeMost', 'below', { chamber: 30 })).toBeUndefined();
  });
});
