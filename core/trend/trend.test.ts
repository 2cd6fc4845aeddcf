import fc from 'fast-check';
import type { Service } from '../catalogue';
import { serviceDue, paceOf, type CounterReading } from '.';

const DAY = 86_400_000;
const now = Date.UTC(2026, 10, 25);
const service = (every: Service['every']): Service => ({ id: 's', title: 'Service', every });
/** 200 km a day for the last thirty. */
const odometer: CounterReading[] = Array.from({ length: 30 }, (_, day) => ({
  at: now - (29 - day) * DAY,
  value: (100_000 + day * 200) * 1000,
}));
const due = (every: Service['every'], more: Partial<Parameters<typeof serviceDue>[0]> = {}) =>
  serviceDue({ service: service(every), odometer, hours: [], now, ...more });

describe('how fast a counter runs', () => {
  it('is metres a day', () => {
    expect(paceOf(odometer)).toBeCloseTo(200_000, 6);
  });

  it('is not bent by one mistyped reading', () => {
    const bent = odometer.map((each, index) =>
      index === 12 ? { ...each, value: each.value * 10 } : each,
    );
    expect(paceOf(bent)).toBeCloseTo(200_000, -3);
  });

  it('needs two readings a day apart', () => {
    expect(paceOf([])).toBeUndefined();
    expect(paceOf(odometer.slice(0, 1))).toBeUndefined();
  });

  it('never runs backward', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ at: fc.nat({ max: 1e12 }), value: fc.nat({ max: 1e9 }) })),
        (readings) => {
          expect(paceOf(readings) ?? 0).toBeGreaterThanOrEqual(0);
        },
      ),
    );
  });
});

describe('services by the calendar', () => {
  it.each([
    [1, 'later'],
    [25, 'soon'],
    [40, 'due'],
  ] as const)('every 31 days, done %i days ago: %s', (ago, state) => {
    expect(due({ days: 31 }, { last: { at: now - ago * DAY } })).toMatchObject({
      state,
      from: 'calendar',
      at: now + (31 - ago) * DAY,
    });
  });

  it('never recorded says so, and is no date', () => {
    expect(due({ days: 31 })).toEqual({ state: 'never-recorded', from: 'calendar' });
  });

  it('a season missed stays due, one done waits for the next year', () => {
    const season = { season: { month: 10, day: 15 } };
    expect(due(season)).toMatchObject({ state: 'due', at: Date.UTC(2026, 9, 15) });
    expect(due(season, { last: { at: Date.UTC(2026, 8, 20) } })).toMatchObject({
      state: 'later',
      at: Date.UTC(2027, 9, 15),
    });
    expect(due(season, { now: Date.UTC(2026, 9, 10) })).toMatchObject({ state: 'soon' });
  });
});

describe('services by use', () => {
  it('are predicted from how far it drives', () => {
    const found = due({ km: 8000 }, { last: { at: now - 20 * DAY, odometer: 101_800_000 } });
    // 105 800 km now, due at 109 800, 200 a day.
    expect(found.left).toBeCloseTo(4000, 0);
    expect((found.at ?? 0) / DAY).toBeCloseTo(now / DAY + 20, 3);
    expect(found).toMatchObject({ state: 'later', from: 'use', unit: 'km' });
  });

  it('past the distance they are due', () => {
    const found = due({ km: 2000 }, { last: { at: 0, odometer: 101_800_000 } });
    expect(found).toMatchObject({ state: 'due' });
    expect(found.left).toBeLessThan(0);
  });

  it('go on running after the last reading', () => {
    const last = { at: now - 20 * DAY, odometer: 101_800_000 };
    const later = due({ km: 8000 }, { last, now: now + 10 * DAY });
    expect(later.left).toBeCloseTo(2000, 0);
  });

  it('say that they do not know', () => {
    expect(due({ hours: 500 }, { last: { at: 0, hours: 10 } })).toMatchObject({ state: 'unknown' });
    expect(due({ km: 8000 }, { last: { at: 0 } })).toMatchObject({ state: 'unknown' });
    expect(
      due({ km: 8000 }, { last: { at: 0, odometer: 1000 }, odometer: [{ at: now, value: 2000 }] }),
    ).toMatchObject({ state: 'unknown', unit: 'km' });
  });
});
