import fc from 'fast-check';
import { findWeakSpots, type PartCount, type WalkCount } from '.';

const walks = (unitId: string, count: number): WalkCount => ({
  unitId,
  moduleId: 'truck',
  walks: count,
});
const part = (unitId: string, name: string, findings: number): PartCount => ({
  unitId,
  moduleId: 'truck',
  part: name,
  findings,
});
const usual = ['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h'].map((name) => part('214', name, 1));

describe('weak spots', () => {
  it('mark what has more than its share', () => {
    const spots = findWeakSpots([...usual, part('214', 'mirror', 12)], [walks('214', 60)]);
    expect(spots.map((spot) => spot.part)).toEqual(['mirror']);
    expect(spots[0]).toMatchObject({ findings: 12, walks: 60, of: 'unit' });
    expect(spots[0].rate).toBeLessThan(20);
  });

  it('do not shout about two findings of a new unit', () => {
    const spots = findWeakSpots(
      [...usual, part('218', 'lamp', 2)],
      [walks('214', 60), walks('218', 2)],
    );
    const [lamp] = spots.filter((spot) => spot.part === 'lamp');
    // Raw, that would be 100 in 100 walks.
    if (lamp) expect(lamp.rate).toBeLessThan(15);
  });

  it('need more than one finding', () => {
    expect(findWeakSpots([part('214', 'a', 1)], [walks('214', 3)])).toEqual([]);
  });

  it('tell a weak model from a weak unit', () => {
    const units = ['1', '2', '3', '4'];
    const spots = findWeakSpots(
      [
        ...units.flatMap((unit) => [
          part(unit, 'gate', 9),
          part(unit, 'a', 1),
          part(unit, 'b', 1),
          part(unit, 'c', 1),
          part(unit, 'd', 1),
        ]),
      ],
      units.map((unit) => walks(unit, 50)),
    );
    expect(spots).toHaveLength(4);
    expect(spots.every((spot) => spot.of === 'model')).toBe(true);
  });

  it('say nothing of a unit that was never walked', () => {
    expect(findWeakSpots([part('214', 'a', 9)], [])).toEqual([]);
    expect(findWeakSpots([], [walks('214', 9)])).toEqual([]);
  });

  /*
   * Worked by hand. 90 walks of one truck; nine parts, ten of them findings on the gate, one on each of eight: 18 in all.
   * usual = 18 / 9 parts / 90 walks = 1/45. Gate of the model = (10 + 120/45) / (90 + 120) = 0.060317.
   * Rate = (10 + 30 × 0.060317) / (90 + 30) = 0.098413, which is 4.4286 times the usual; the gate of the model is 2.714 times it,
   * but there is only one truck of it.
   */
  it('are as large as worked by hand', () => {
    const [gate, ...rest] = findWeakSpots([...usual, part('214', 'gate', 10)], [walks('214', 90)]);
    expect(rest).toEqual([]);
    expect(gate.rate).toBeCloseTo(9.8413, 3);
    expect(gate.times).toBeCloseTo(4.4286, 3);
    expect(gate).toMatchObject({
      unitId: '214',
      part: 'gate',
      findings: 10,
      walks: 90,
      of: 'unit',
    });
  });

  it('are none where a part has its share and no more, however often that is', () => {
    const even = ['a', 'b', 'c'].map((name) => part('214', name, 30));
    expect(findWeakSpots(even, [walks('214', 90)])).toEqual([]);
  });

  it('are those of a unit where only one of the model has them', () => {
    const spots = findWeakSpots(
      [...usual, ...['x', 'y', 'z'].map((unit) => part(unit, 'a', 1)), part('214', 'gate', 12)],
      [walks('214', 60), ...['x', 'y', 'z'].map((unit) => walks(unit, 200))],
    );
    expect(spots).toMatchObject([{ part: 'gate', of: 'unit' }]);
  });

  it('leave the parts of another model out of the usual rate', () => {
    const bus = { unitId: '801', moduleId: 'bus', part: 'door', findings: 400 };
    const alone = findWeakSpots([...usual, part('214', 'gate', 10)], [walks('214', 90)]);
    const beside = findWeakSpots(
      [...usual, part('214', 'gate', 10), bus],
      [walks('214', 90), { unitId: '801', moduleId: 'bus', walks: 500 }],
    );
    expect(beside.filter(({ unitId }) => unitId === '214')).toEqual(alone);
  });

  it('stand with the weakest first, and in the order of their names where they are alike', () => {
    const parts = [...'abcdefghijklmnop'].map((name) => part('214', name, 1));
    const found = (name: string, findings: number) => part('214', name, findings);
    const spots = findWeakSpots(
      [...parts, found('z', 20), found('y', 30), found('x', 20)],
      [walks('214', 120)],
    );
    expect(spots.map((spot) => spot.part)).toEqual(['y', 'x', 'z']);
  });

  it('more findings never lower a rate, more walks never raise it', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 40 }),
        fc.integer({ min: 20, max: 300 }),
        (findings, count) => {
          const rate = (of: number, on: number) =>
            findWeakSpots([...usual, part('214', 'x', of)], [walks('214', on)]).find(
              (spot) => spot.part === 'x',
            )?.rate ?? 0;
          const before = rate(findings, count);
          expect(rate(findings + 1, count)).toBeGreaterThanOrEqual(before);
          if (before > 0) expect(rate(findings, count + 10)).toBeLessThanOrEqual(before);
        },
      ),
    );
  });
});
