import type { Rig } from '@nazar/core/rig';
import { rigOfWalk, type BegunRig, type WalkReference } from '@nazar/core/standing';
import { LRUCache } from 'lru-cache';

/** The same rigs walk every day, and a walk arrives in many batches: a few hundred are kept composed. */
const composed = new LRUCache<string, Rig>({ max: 300 });

/**
 * The rig of a walk, as {@link rigOfWalk} makes it; nobody changes it.
 * @throws {RangeError} when the units do not make a rig
 */
export function rigOf(
  begun: BegunRig,
  reference: Pick<WalkReference, 'catalogue' | 'units' | 'content'>,
): Rig {
  const name = JSON.stringify([
    reference.catalogue.version,
    begun.unitIds,
    reference.units,
    begun.phase,
    begun.circumstances,
    reference.content?.version ?? 0,
    begun.job?.needs ?? [],
  ]);
  const kept = composed.get(name);
  if (kept) return kept;
  const rig = rigOfWalk(begun, reference);
  composed.set(name, rig);
  return rig;
}
