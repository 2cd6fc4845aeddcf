import { formatSi, toSi, type UnitName } from '@nazar/core/quantity';
import { limitDecimals } from './gauge';

// What a driver reads as the limit, worked by hand: never so rounded that obeying it would break it.
it.each<[number, UnitName, string]>([
  [1 / 4, 'in', '0.25 in'],
  [3 / 16, 'in', '0.1875 in'],
  [1 / 2, 'in', '0.5 in'],
  [2, 'in', '2 in'],
  [6.4, 'mm', '6.4 mm'],
  [13.4, 'V', '13.4 V'],
  [12.73, 'V', '12.73 V'],
  [101.2, 'psi', '101.2 psi'],
  [100, 'psi', '100 psi'],
  // A mere number has no unit behind it.
  [0, 'pieces', '0'],
  [15, 'min', '15 min'],
])('%p %s is shown as %s', (value, unit, shown) => {
  const si = toSi(value, unit);
  expect(formatSi(si, unit, limitDecimals(si, unit))).toBe(shown);
});
