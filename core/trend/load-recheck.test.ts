import { loadRecheck } from '.';

const HOUR = 3_600_000;
const MILE = 1609.344;
const outAt = Date.UTC(2026, 10, 25, 6);

// 49 CFR 392.9(b)(2): within the first 50 miles; (b)(3): 150 miles or three hours, whichever occurs first.
it('is due within the first fifty miles', () => {
  expect(loadRecheck({ outAt, now: outAt + HOUR / 2 })).toEqual({
    dueAt: outAt + HOUR,
    withinMetres: 50 * MILE,
    isFirst: true,
    isLate: false,
  });
});

it('is due three hours or 150 miles after the last look', () => {
  const lastAt = outAt + HOUR / 2;
  expect(loadRecheck({ outAt, lastAt, now: lastAt + HOUR })).toEqual({
    dueAt: lastAt + 3 * HOUR,
    withinMetres: 150 * MILE,
    isFirst: false,
    isLate: false,
  });
});

it('says that it is late', () => {
  expect(loadRecheck({ outAt, now: outAt + HOUR + 1 }).isLate).toBe(true);
  expect(loadRecheck({ outAt, lastAt: outAt + 1, now: outAt + 4 * HOUR }).isLate).toBe(true);
});

it('counts no look of an earlier trip', () => {
  expect(loadRecheck({ outAt, lastAt: outAt - HOUR, now: outAt }).isFirst).toBe(true);
});
