import type { Clock, VehicleChange } from '../vehicle';
import type { Spot } from './ground';

/** What happens on a walk, as it happens. Seconds since its beginning. */
export type Happening =
  | {
      readonly kind: 'go';
      readonly at: number;
      readonly seconds: number;
      readonly metres: number;
      readonly climbs: number;
      readonly from: Spot;
      readonly to: Spot;
    }
  | {
      readonly kind: 'change';
      readonly at: number;
      readonly seconds: number;
      readonly change: VehicleChange;
      /** The unit that it is done to, where it is one of the rig's. */
      readonly unit?: string;
    }
  | { readonly kind: 'wait'; readonly at: number; readonly seconds: number; readonly clock: Clock }
  | {
      readonly kind: 'check';
      readonly at: number;
      readonly seconds: number;
      readonly block: number;
      /** What the checks of the block do to the vehicle themselves, as a guided start does. */
      readonly does: readonly VehicleChange[];
    };

export interface Totals {
  readonly seconds: number;
  readonly metres: number;
  readonly climbs: number;
  readonly starts: number;
  readonly reversals: number;
  readonly waiting: number;
}

/** Small enough never to buy a second, and in this order of weight. */
export const TIES = { starts: 0.02, climbs: 0.005, metres: 0.0005, reversals: 0.0002 } as const;

/** Least time; then fewer engine starts, climbs, metres, steps back. */
export function costOf({ seconds, starts, climbs, metres, reversals }: Totals): number {
  return (
    seconds +
    starts * TIES.starts +
    climbs * TIES.climbs +
    metres * TIES.metres +
    reversals * TIES.reversals
  );
}
