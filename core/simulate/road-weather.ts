import type { Circumstance } from '../catalogue';

export type Precipitation = 'none' | 'rain' | 'snow' | 'freezing-rain';

/** One observation of a road weather station. Made up by a formula; always marked as such. */
export interface RoadWeather {
  readonly station: string;
  /** Milliseconds since 1970. */
  readonly at: number;
  readonly airC: number;
  readonly surfaceC: number;
  readonly precipitation: Precipitation;
  readonly wetPavement: boolean;
  readonly dark: boolean;
  /** Metres per second. */
  readonly wind: number;
  readonly simulated: true;
}

const HOUR = 3_600_000;
const DAY = 24 * HOUR;

/** The same name and hour give the same number between 0 and 1. */
function chanceOf(name: string, hour: number): number {
  let hash = 2_166_136_261;
  for (const letter of `${name} ${hour}`)
    hash = Math.imul(hash ^ letter.charCodeAt(0), 16_777_619) >>> 0;
  hash = Math.imul(hash ^ (hash >>> 15), 2_246_822_507) >>> 0;
  return ((hash ^ (hash >>> 13)) >>> 0) / 4_294_967_296;
}

/** Between the numbers of two hours, so that the weather changes and does not jump. */
function drift(name: string, at: number, hours: number): number {
  const step = at / (hours * HOUR);
  const from = Math.floor(step);
  const share = step - from;
  return chanceOf(name, from) * (1 - share) + chanceOf(name, from + 1) * share;
}

/**
 * What the station beside the yard would report at a moment: a cool island at sixty degrees north, with its seasons, its days
 * and its weather. Pure and the same for the same station and time.
 * @param at milliseconds since 1970, UTC
 */
export function roadWeatherAt(station: string, at: number): RoadWeather {
  const yearShare = ((at / DAY) % 365.25) / 365.25;
  // Coldest at the end of January, warmest half a year later.
  const season = -Math.cos(2 * Math.PI * (yearShare - 0.07));
  const hour = (at % DAY) / HOUR;
  const noon = Math.cos((2 * Math.PI * (hour - 14)) / 24);
  const airC = 5 + 10 * season + 3 * noon + 12 * (drift(`${station} air`, at, 9) - 0.5);
  const cloud = drift(`${station} cloud`, at, 5);
  const surfaceC = airC + (noon > 0 ? 2 * noon : 1.5 * noon) * (1 - cloud);
  const falls = drift(`${station} rain`, at, 3) > 0.62;
  const precipitation: Precipitation = !falls
    ? 'none'
    : airC < -1
      ? 'snow'
      : surfaceC < 0
        ? 'freezing-rain'
        : 'rain';
  // Half the length of the day in hours: five at midwinter, nine at midsummer.
  const half = 6.2 + 3 * season;
  return {
    station,
    at,
    airC: Math.round(airC * 10) / 10,
    surfaceC: Math.round(surfaceC * 10) / 10,
    precipitation,
    wetPavement: falls || drift(`${station} rain`, at - 2 * HOUR, 3) > 0.62,
    dark: Math.abs(hour - 12) > half,
    wind: Math.round(14 * drift(`${station} wind`, at, 4)),
    simulated: true,
  };
}

/** What that means for a walk. */
export function circumstancesIn(weather: RoadWeather): Circumstance[] {
  return [
    ...(weather.dark ? (['dark'] as const) : []),
    ...(weather.wetPavement || weather.precipitation !== 'none' ? (['wet'] as const) : []),
    ...(Math.min(weather.airC, weather.surfaceC) <= 0 ? (['freezing'] as const) : []),
  ];
}
