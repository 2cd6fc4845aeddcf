import type { CheckInstance } from '../rig';

/** Share of the working seconds that a brisk person needs. */
const BRISK = 0.6;

/**
 * The least time in which a stop can be walked: a fast person doing nothing but these checks. What is answered faster
 * is marked so in the record; it accuses nobody.
 * @returns seconds
 */
export function floorOf(instances: readonly CheckInstance[]): number {
  return instances.reduce((sum, { check }) => sum + check.seconds, 0) * BRISK;
}
