import type { RoadWeather } from '@nazar/core/simulate';
import { callJson } from './api';

/** What the road weather station of the depot reports. @throws ApiProblem */
export function loadConditions(): Promise<RoadWeather> {
  return callJson<RoadWeather>('/conditions');
}
