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
