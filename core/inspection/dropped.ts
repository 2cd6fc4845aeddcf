import { rigCapabilities, type CheckInstance, type Rig } from '../rig';
import type { Course } from './inspection';

/**
 * Units that stay behind, with all that hangs on them: what is coupled behind, what is mounted on them.
 * The one that drives never does.
 */
export function droppedUnits(rig: Rig, { dropped }: Course): ReadonlySet<string> {
  const gone = new Set<string>();
  let behind = false;
  rig.units.forEach(({ unit, hostId }, index) => {
    if (index === 0) return;
    if (hostId === undefined) {
      behind ||= dropped.has(unit.id);
      if (behind) gone.add(unit.id);
    } else if (dropped.has(unit.id) || gone.has(hostId)) gone.add(unit.id);
  });
  return gone;
}

/** The rig as it leaves: what it can do, whether it tows and shares its air, without the units that stay behind. */
export function rigWithout(rig: Rig, gone: ReadonlySet<string>): Rig {
  if (gone.size === 0) return rig;
  const left = rig.units.filter(({ unit }) => !gone.has(unit.id));
  const rolling = left.filter(({ hostId }) => hostId === undefined);
  const towing = rolling.length > 1;
  return {
    ...rig,
    towing,
    combinationAir: rolling.filter(({ module }) => module.airBrakes).length > 1,
    capabilities: rigCapabilities(left, towing),
  };
}

/** Whether a check is still asked of a rig without those units. */
export function isAsked(
  { unit, check }: CheckInstance,
  rig: Pick<Rig, 'towing'>,
  gone: ReadonlySet<string>,
): boolean {
  if (gone.size === 0) return true;
  return !gone.has(unit.id) && (rig.towing || !check.when?.includes('towing'));
}
