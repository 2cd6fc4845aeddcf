import fc from 'fast-check';
import { USUAL_PACE, USUAL_ROUTE_STYLE } from '../planning';
import { rigNames, rigOf } from '../testing';
import { costOf, cutIntoBlocks, searchExactly, searchOrder, walkThrough, type Outset } from '.';

describe('against every order there is', () => {
  /** A small walk: some of the blocks of a rig. */
  function small(name: string, take: readonly number[]) {
    const rig = rigOf(name);
    const outset: Outset = {
      phase: 'pre-trip',
      freezing: false,
      airUp: !rig.units.some(({ module }) => module.airBrakes),
      warm: false,
      running: false,
    };
    const whole = cutIntoBlocks(rig, USUAL_ROUTE_STYLE, USUAL_PACE, outset);
    const kept = [...new Set(take.map((index) => index % whole.blocks.length))].sort(
      (a, b) => a - b,
    );
    const place = new Map(kept.map((index, at) => [index, at]));
    const task = {
      ...whole,
      blocks: kept.map((index) => whole.blocks[index]),
      standing: kept.map((index) => whole.standing[index]),
      before: kept.map((index) => whole.before[index].flatMap((other) => place.get(other) ?? [])),
    };
    return { task, routeStyle: USUAL_ROUTE_STYLE, pace: USUAL_PACE, outset };
  }

  it('is within three hundredths, on every small walk', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...rigNames),
        fc.uniqueArray(fc.nat({ max: 400 }), { minLength: 2, maxLength: 7 }),
        (name, take) => {
          const question = small(name, take);
          const { task, routeStyle, pace, outset } = question;
          const seconds = (order: readonly number[]) =>
            walkThrough(task, order, routeStyle, pace, outset).seconds;
          const best = seconds(searchExactly(question));
          expect(seconds(searchOrder(question, 1))).toBeLessThanOrEqual(best * 1.03 + 1e-6);
        },
      ),
      { numRuns: 40 },
    );
  });

  it('is not tried on more than ten', () => {
    expect(() => searchExactly(small('truck', [...Array(14).keys()]))).toThrow(/More than ten/);
  });
});

it('weighs ties after time: starts, climbs, metres, steps back', () => {
  const totals = { seconds: 100, metres: 30, climbs: 2, starts: 1, reversals: 1, waiting: 0 };
  const less = (change: Partial<typeof totals>) => costOf({ ...totals, ...change });
  expect(less({ seconds: 99 })).toBeLessThan(
    less({ starts: 0, climbs: 0, metres: 0, reversals: 0 }),
  );
  expect(less({ starts: 0 })).toBeLessThan(less({ climbs: 0 }));
  expect(less({ climbs: 0 })).toBeLessThan(costOf(totals));
});
