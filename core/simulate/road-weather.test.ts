import fc from 'fast-check';
import { circumstancesIn, roadWeatherAt } from '.';

const hour = 3_600_000;
const time = fc.integer({ min: Date.UTC(2024, 0, 1), max: Date.UTC(2034, 0, 1) });

it('is the same for the same station and moment, and marked as made up', () => {
  fc.assert(
    fc.property(time, (at) => {
      expect(roadWeatherAt('North Yard', at)).toEqual(roadWeatherAt('North Yard', at));
      expect(roadWeatherAt('North Yard', at).simulated).toBe(true);
    }),
  );
});

it('is possible, and changes no faster than weather does', () => {
  fc.assert(
    fc.property(time, (at) => {
      const now = roadWeatherAt('North Yard', at);
      const soon = roadWeatherAt('North Yard', at + hour / 6);
      expect(now.airC).toBeGreaterThan(-30);
      expect(now.airC).toBeLessThan(35);
      expect(now.wind).toBeGreaterThanOrEqual(0);
      expect(Math.abs(now.airC - soon.airC)).toBeLessThan(2.5);
      if (now.precipitation === 'snow') expect(now.airC).toBeLessThan(0);
    }),
  );
});

it('is dark at night, light at noon, and colder in January than in July', () => {
  const noon = roadWeatherAt('North Yard', Date.UTC(2026, 11, 21, 12));
  expect(noon.dark).toBe(false);
  expect(roadWeatherAt('North Yard', Date.UTC(2026, 5, 21, 0)).dark).toBe(true);
  const mean = (month: number) => {
    const days = Array.from({ length: 28 }, (_, day) =>
      roadWeatherAt('North Yard', Date.UTC(2026, month, day + 1, 6)),
    );
    return days.reduce((sum, { airC }) => sum + airC, 0) / days.length;
  };
  expect(mean(0)).toBeLessThan(mean(6) - 10);
});

it('says what it means for a walk', () => {
  const weather = {
    ...roadWeatherAt('x', Date.UTC(2026, 5, 1, 12)),
    airC: 2,
    surfaceC: -0.5,
    dark: true,
    wetPavement: false,
    precipitation: 'none' as const,
  };
  // A pavement that freezes is frost, whatever the air says.
  expect(circumstancesIn(weather)).toEqual(['dark', 'freezing']);
  expect(circumstancesIn({ ...weather, surfaceC: 1, dark: false, wetPavement: true })).toEqual([
    'wet',
  ]);
});
