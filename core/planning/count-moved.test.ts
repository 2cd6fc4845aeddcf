import fc from 'fast-check';
import { countMoved } from '.';

it('counts what must be moved to come from one order to the other', () => {
  expect(countMoved(['a', 'b', 'c', 'd'], ['a', 'b', 'c', 'd'])).toBe(0);
  expect(countMoved(['a', 'b', 'c', 'd'], ['d', 'a', 'b', 'c'])).toBe(1);
  expect(countMoved(['a', 'b', 'c'], ['c', 'b', 'a'])).toBe(2);
  // A place that one comes to twice is two stops.
  expect(countMoved(['a', 'b', 'a', 'c'], ['a', 'b', 'a', 'c'])).toBe(0);
  expect(countMoved(['a', 'b', 'a', 'c'], ['a', 'a', 'b', 'c'])).toBe(1);
  // New and gone stops have not moved.
  expect(countMoved(['a', 'b'], ['x', 'a', 'y', 'b'])).toBe(0);
  expect(countMoved(['a', 'b', 'c'], ['c'])).toBe(0);
});

it('is nothing for the same order, whatever it is, and never more than all but one', () => {
  fc.assert(
    fc.property(fc.uniqueArray(fc.string(), { minLength: 1 }), fc.nat(), (keys, turn) => {
      expect(countMoved(keys, keys)).toBe(0);
      const at = turn % keys.length;
      const turned = [...keys.slice(at), ...keys.slice(0, at)];
      expect(countMoved(keys, turned)).toBeLessThan(keys.length);
      expect(countMoved(keys, turned)).toBe(Math.min(at, keys.length - at));
    }),
  );
});
