import type { RoadWeather } from '@nazar/core/simulate';
import { callJson } from './api';
import { useServerRead, type ServerRead } from './server-reads';

/** What the road weather station of the depot reports. */
export function useRoadWeather(): ServerRead<RoadWeather> {
  return useServerRead(['conditions'], () => callJson<RoadWeather>('/conditions'));
}
