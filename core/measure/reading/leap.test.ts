import fc from 'fast-check';
import { toSi } from '../../quantity';
import { instanceOf, makeRig } from '../../testing';
import { isLeap } from '..';

const rig = makeRig();
const readingOf = (ending: string) => {
  const { reading } = instanceOf(rig, ending).check;
  if (!reading) throw new RangeError(ending);
  return reading;
};
const tread = readingOf('tyre.tread-steer/steer-left');
const odometer = readingOf('records.odometer');
const mm = (value: number) => toSi(value, 'mm');
const km = (value: number) => toSi(value, 'km');

describe('a reading that leaps', () => {
  it.each([
    // Worn by a few hundredths, or read a little otherwise.
    [8, 7.8, false],
    [8, 8.5, false],
    [8, 6, false],
    // A new tyre, or another wheel.
    [4, 14, true],
    [14, 4, true],
  ] as const)('tread of %p mm and then %p mm: %p', (last, now, leap) => {
    expect(isLeap(tread, mm(now), mm(last))).toBe(leap);
  });

  it('an odometer that runs back, or has made a continent', () => {
    expect(isLeap(odometer, km(100_000), km(100_050))).toBe(true);
    expect(isLeap(odometer, km(100_400), km(100_050))).toBe(false);
    expect(isLeap(odometer, km(1_004_000), km(100_400))).toBe(true);
  });

  it('is none where nothing was read before, or where it may be anything', () => {
    expect(isLeap(tread, mm(9), undefined)).toBe(false);
    expect(isLeap(readingOf('air.warning'), toSi(20, 'psi'), toSi(90, 'psi'))).toBe(false);
  });

  it('never names a number that equals the last one', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1e6, noNaN: true }), (value) => {
        for (const reading of [tread, odometer]) expect(isLeap(reading, value, value)).toBe(false);
      }),
    );
  });
});
