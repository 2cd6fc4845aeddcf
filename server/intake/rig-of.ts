import { catalogue, type Circumstance, type Phase } from '@nazar/core/catalogue';
import { withHouse, type HouseContent } from '@nazar/core/house';
import { composeRig, type Rig } from '@nazar/core/rig';
import { LRUCache } from 'lru-cache';
import type { DepotUnit } from '../store/units';

/** The same rigs walk every day, and a walk arrives in many batches: a few hundred are kept composed. */
const composed = new LRUCache<string, Rig>({ max: 300 });

/**
 * The rig of these units, as {@link composeRig} makes it; nobody changes it.
 * @throws {RangeError} when the units do not make a rig
 */
export function rigOf(
  units: readonly DepotUnit[],
  phase: Phase,
  circumstances: readonly Circumstance[],
  content: HouseContent,
): Rig {
  const name = JSON.stringify([units, phase, circumstances, content.version]);
  const kept = composed.get(name);
  if (kept) return kept;
  const rig = composeRig({
    units,
    phase,
    circumstances,
    catalogue: withHouse(catalogue, content),
  });
  composed.set(name, rig);
  return rig;
}
