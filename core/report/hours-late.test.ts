import { hoursLate } from '.';

it.each<[string, string, number | undefined]>([
  ['2026-11-25T05:30:00.000Z', '2026-11-25T05:30:04.000Z', undefined],
  ['2026-11-25T05:30:00.000Z', '2026-11-25T06:29:59.000Z', undefined],
  ['2026-11-25T05:30:00.000Z', '2026-11-25T06:30:00.000Z', 1],
  ['2026-11-25T05:30:00.000Z', '2026-11-26T14:00:00.000Z', 32],
  // The clock of the device was ahead.
  ['2026-11-25T05:38:00.000Z', '2026-11-25T05:30:00.000Z', undefined],
])('entered %s and sealed %s is %p hours late', (enteredAt, sealedAt, hours) => {
  expect(hoursLate(enteredAt, sealedAt)).toBe(hours);
});
