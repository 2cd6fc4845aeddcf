import type { Phase } from '../catalogue';
import type { Rig } from '../rig';

/**
 * Stops at which presence must be proven by their tag: those that the catalogue names for the phase, and those of the
 * house that the walk was begun with.
 * @param tags keys of zones, as `unit id/zone id`
 */
export function requiredTags(
  { zones }: Pick<Rig, 'zones'>,
  phase: Phase,
  tags: readonly string[] = [],
): ReadonlySet<string> {
  const named = new Set(tags);
  return new Set(
    zones
      .filter(({ key, tagged }) => tagged?.includes(phase) || named.has(key))
      .map(({ key }) => key),
  );
}
