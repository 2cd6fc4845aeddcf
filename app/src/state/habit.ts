import { formatSpeedLimit, type UnitHabit } from '@nazar/core/quantity';
import { usePreferences } from './preferences';
import { useReference } from './reference';

/** The units this reader is used to: the own choice, else the depot's. */
export function useHabit(): UnitHabit {
  const chosen = usePreferences((state) => state.habit);
  const ofDepot = useReference((state) => state.reference?.habit);
  return chosen ?? ofDepot ?? 'customary';
}

/** Writes a speed limit (km/h) in the reader's unit, never faster than it is. */
export function useSpeed(): (kmh: number) => string {
  const unit = useHabit() === 'metric' ? 'km/h' : 'mph';
  return (kmh) => formatSpeedLimit(kmh, unit);
}
