import fc from 'fast-check';
import {
  formatSi,
  formatSpeedLimit,
  fromSi,
  parseTyped,
  toSi,
  UNITS,
  unitFor,
  type UnitName,
} from '.';

const names = Object.keys(UNITS) as UnitName[];

describe('conversion', () => {
  it.each([
    [1, 'psi', 6894.757293168],
    [1, 'bar', 100_000],
    [32, '°F', 273.15],
    [212, '°F', 373.15],
    [-40, '°C', 233.15],
    [-40, '°F', 233.15],
    [4, '32nds', 0.003175],
    [1, 'mi', 1609.344],
    [1, 'gal', 0.003785411784],
    [60, 'psi/min', 6894.757293168],
    [180, '°', Math.PI],
  ] as const)('%d %s is %d in SI', (typed, unit, si) => {
    expect(toSi(typed, unit)).toBeCloseTo(si, 9);
  });

  it('comes back to what was typed', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -1e6, max: 1e6, noNaN: true }),
        fc.constantFrom(...names),
        (value, unit) => {
          expect(fromSi(toSi(value, unit), unit)).toBeCloseTo(value, 5);
        },
      ),
    );
  });

  it('keeps the order of values', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -10_000, max: 10_000 }),
        fc.integer({ min: -10_000, max: 10_000 }),
        fc.constantFrom(...names),
        (a, b, unit) => {
          expect(Math.sign(toSi(a, unit) - toSi(b, unit))).toBe(Math.sign(a - b));
        },
      ),
    );
  });

  it('knows a unit for every kind in both habits', () => {
    for (const name of names)
      for (const habit of ['metric', 'customary'] as const)
        expect(UNITS[unitFor(UNITS[name].kind, habit)].kind).toBe(UNITS[name].kind);
  });
});

describe('formatting', () => {
  it.each([
    [toSi(105.4, 'psi'), 'psi', '105 psi'],
    [toSi(4, '32nds'), '32nds', '4/32 in'],
    [toSi(1.2, 'psi/min'), 'psi/min', '1.2 psi/min'],
    [toSi(-0.2, '°C'), '°C', '0 °C'],
    [3, 'pieces', '3'],
  ] as const)('%d in %s reads %s', (si, unit, words) => {
    expect(formatSi(si, unit)).toBe(words);
  });
});

describe('what a driver types', () => {
  it.each([
    ['105', 105],
    [' 7,5 ', 7.5],
    ['-12', -12],
    ['+3.25', 3.25],
  ])('reads %p', (typed, value) => {
    const parsed = parseTyped(typed, 's');
    expect(parsed).toMatchObject({ ok: true, si: value });
  });

  it.each(['', '   '])('asks for something when nothing is typed', (typed) => {
    expect(parseTyped(typed, 'psi')).toEqual({ ok: false, problem: 'empty' });
  });

  it.each(['abc', '1.2.3', '1e9', '12psi', '--4', '0x10', 'Infinity', '1,234.5', '٣'])(
    'does not guess at %p',
    (typed) => {
      expect(parseTyped(typed, 'psi')).toEqual({ ok: false, problem: 'not-a-number' });
    },
  );

  it('never gives anything but a finite number', () => {
    fc.assert(
      fc.property(fc.string(), fc.constantFrom(...names), (typed, unit) => {
        const parsed = parseTyped(typed, unit);
        expect(!parsed.ok || Number.isFinite(parsed.si)).toBe(true);
      }),
    );
  });
});

describe('a speed limit', () => {
  it.each([
    [60, 'km/h', '60 km/h'],
    [60, 'mph', '37 mph'],
    [40, 'mph', '24 mph'],
    [80.4672, 'mph', '50 mph'],
  ] as const)('of %d km/h in %s is %s, never faster', (kmh, unit, expected) => {
    expect(formatSpeedLimit(kmh, unit)).toBe(expected);
  });
});
