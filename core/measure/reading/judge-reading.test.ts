import fc from 'fast-check';
import type { Reading } from '../../catalogue';
import { toSi } from '../../quantity';
import { instanceOf, makeRig, trailer, truck } from '../../testing/halvern';
import { applicableLimits, findImpossible, judgeReading, soundRange } from '..';

const rig = makeRig();
const alone = makeRig([truck]);

function readingOf(
  ending: string,
  of = rig,
): { reading: Reading; specification: Record<string, number> } {
  const { check, unit } = instanceOf(of, ending);
  if (!check.reading) throw new RangeError(ending);
  return { reading: check.reading, specification: { ...unit.specification } };
}

function judge(
  ending: string,
  typed: readonly number[],
  unit: Parameters<typeof toSi>[1],
  combinationAir = true,
) {
  const values = typed.map((value) => toSi(value, unit));
  const judged = judgeReading({ ...readingOf(ending), values, combinationAir });
  return 'symptom' in judged ? `${judged.outcome} ${judged.symptom}` : judged.outcome;
}

describe('public limits', () => {
  // Each row: check, typed, unit, outcome; the source stands in the content.
  it.each([
    // 49 CFR 393.75(b): 4/32 in on the steering axle of a truck.
    ['tyre.tread-steer/steer-left', [3], '32nds', 'out tread-worn-out'],
    ['tyre.tread-steer/steer-left', [6], '32nds', 'within'],
    ['tyre.tread-steer/steer-left', [4, 4], '32nds', 'out tread-near-limit'],
    // 49 CFR 393.75(c): 2/32 in on other wheels.
    ['tyre.tread-dual/drive-left-inner', [1], '32nds', 'out tread-worn-out'],
    ['tyre.tread-tyre/axle-1-left', [8], '32nds', 'within'],
    // 49 CFR 393.75(i) and the usual out-of-service share of the cold pressure.
    ['tyre.pressure-steer/steer-right', [54], 'psi', 'again pressure-half'],
    ['tyre.pressure-steer/steer-right', [50], 'psi', 'out pressure-half'],
    ['tyre.pressure-steer/steer-right', [80], 'psi', 'out pressure-run-flat'],
    ['tyre.pressure-steer/steer-right', [95], 'psi', 'out pressure-low'],
    ['tyre.pressure-steer/steer-right', [108], 'psi', 'within'],
    ['tyre.pressure-steer/steer-right', [140], 'psi', 'out pressure-high'],
    // 49 CFR 571.121 S5.1.1.1: 85 to 100 psi in 45 s.
    ['air.build-up', [50], 's', 'out build-up-slow'],
    ['air.build-up', [40], 's', 'within'],
    // 49 CFR 393.43(b): protection between 20 and 45 psi.
    ['air.automatic', [15], 'psi', 'out automatic-late'],
    ['air.automatic', [50], 'psi', 'out automatic-early'],
    ['air.automatic', [33], 'psi', 'within'],
  ] as const)('%s %p %s: %s', (ending, typed, unit, outcome) => {
    expect(judge(ending, typed, unit)).toBe(outcome);
  });

  // 49 CFR 570.57(a): 2 and 3 psi a minute alone, 3 and 4 in a combination.
  it.each([
    ['air.leak-released', 2.5, false, 'out leak-over'],
    ['air.leak-released', 2.5, true, 'within'],
    ['air.leak-released', 3.5, true, 'out leak-over'],
    ['air.leak-applied', 3.5, false, 'out leak-over'],
    ['air.leak-applied', 3.5, true, 'within'],
    ['air.leak-applied', 4.5, true, 'out leak-over'],
  ] as const)('%s of %d psi/min, combination %p: %s', (ending, typed, combination, outcome) => {
    expect(judge(ending, [typed], 'psi/min', combination)).toBe(outcome);
  });
});

describe('close to a limit', () => {
  it('asks for a second reading, and never for a third', () => {
    expect(judge('tyre.tread-steer/steer-left', [4], '32nds')).toBe('again tread-worn-out');
    expect(judge('tyre.tread-steer/steer-left', [4, 3], '32nds')).toBe('out tread-worn-out');
    expect(judge('tyre.tread-steer/steer-left', [4, 9], '32nds')).toBe('out tread-near-limit');
  });

  it('lets the worse of two count, in whichever order', () => {
    expect(judge('air.leak-released', [2.9, 3.4], 'psi/min')).toBe('out leak-over');
    expect(judge('air.leak-released', [3.4, 2.9], 'psi/min')).toBe('out leak-over');
    expect(judge('air.leak-released', [2.9, 2.8], 'psi/min')).toBe('within');
  });
});

describe('a limit that nobody knows', () => {
  it('counts as passed over: the stricter side', () => {
    const { reading } = readingOf('air.warning');
    const judged = judgeReading({
      reading,
      values: [toSi(66, 'psi')],
      specification: {},
      combinationAir: false,
    });
    expect(judged).toEqual({
      outcome: 'no-limit',
      symptom: 'warning-late',
      field: 'lowPressureWarning',
    });
  });

  it('does not take a broken number for a limit', () => {
    const { reading } = readingOf('air.warning');
    const specification = { lowPressureWarning: Number.NaN };
    expect(
      judgeReading({ reading, values: [400_000], specification, combinationAir: false }).outcome,
    ).toBe('no-limit');
  });

  it('refuses to judge nothing', () => {
    expect(() =>
      judgeReading({ ...readingOf('air.warning'), values: [], combinationAir: false }),
    ).toThrow(RangeError);
  });
});

describe('readings that cannot be', () => {
  const impossible = (ending: string, typed: number, unit: Parameters<typeof toSi>[1]) => {
    const { reading, specification } = readingOf(ending);
    return findImpossible(reading, toSi(typed, unit), specification)?.code;
  };

  it.each([
    ['tyre.pressure-steer/steer-left', -5, 'psi', 'below-possible'],
    ['tyre.pressure-steer/steer-left', 400, 'psi', 'above-possible'],
    ['tyre.tread-steer/steer-left', 19, '32nds', 'above-new'],
    ['tyre.tread-steer/steer-left', 18, '32nds', undefined],
    ['tyre.tread-steer/steer-left', 60, '32nds', 'above-new'],
    ['electrical.charge', 90, 'V', 'above-possible'],
    ['records.odometer', 60_000, 'mi', undefined],
  ] as const)('%s %d %s: %s', (ending, typed, unit, code) => {
    expect(impossible(ending, typed, unit)).toBe(code);
  });
});

describe('the range beside the keypad', () => {
  it('is the tightest limit of each side', () => {
    const { reading, specification } = readingOf('tyre.pressure-steer/steer-left');
    const { least, most } = soundRange(reading, specification, false);
    expect(least?.value).toBeCloseTo(toSi(110, 'psi') * 0.92);
    expect(most?.value).toBeCloseTo(toSi(110, 'psi') * 1.15);
  });

  it('follows what is coupled', () => {
    const { reading, specification } = readingOf('air.leak-released', alone);
    expect(soundRange(reading, specification, false).most?.value).toBeCloseTo(toSi(2, 'psi/min'));
    expect(soundRange(reading, specification, true).most?.value).toBeCloseTo(toSi(3, 'psi/min'));
    expect(applicableLimits(reading, specification, true)).toHaveLength(1);
  });

  it('is open where there is no limit', () => {
    const { reading, specification } = readingOf('records.odometer');
    expect(soundRange(reading, specification, false)).toEqual({
      least: undefined,
      most: undefined,
    });
  });
});

describe('properties', () => {
  const RANK = { within: 0, again: 1, out: 2, 'no-limit': 2 };
  const pressure = readingOf('tyre.pressure-steer/steer-left');
  const trailerBattery = {
    reading: instanceOf(rig, 'breakaway-battery').check.reading as Reading,
    specification: trailer.specification,
  };
  const worseWhenLower = [pressure, trailerBattery];

  it('a lower pressure or voltage is never judged better', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...worseWhenLower),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        ({ reading, specification }, a, b) => {
          const { least } = soundRange(reading, specification, false);
          const at = (share: number) => (least?.value ?? 0) * share;
          const outcome = (share: number) =>
            judgeReading({
              reading,
              specification,
              // Two of the same: the instrument's doubt is settled.
              values: [at(share), at(share)],
              combinationAir: false,
            }).outcome;
          const [low, high] = a < b ? [a, b] : [b, a];
          expect(RANK[outcome(low)]).toBeGreaterThanOrEqual(RANK[outcome(high)]);
        },
      ),
    );
  });

  it('a further reading never makes it better once the doubt is settled', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 900_000, noNaN: true }), { minLength: 2, maxLength: 5 }),
        fc.double({ min: 0, max: 900_000, noNaN: true }),
        (values, more) => {
          const request = { ...pressure, combinationAir: false };
          const before = judgeReading({ ...request, values }).outcome;
          const after = judgeReading({ ...request, values: [...values, more] }).outcome;
          expect(RANK[after]).toBeGreaterThanOrEqual(RANK[before]);
        },
      ),
    );
  });
});
