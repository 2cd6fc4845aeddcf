import type { BegunPayload, Stamp } from '../inspection';
import { layoutOf } from '../planning';
import type { Rig } from '../rig';
import { isDriven, requirementOf } from '../vehicle';
import type { Setting } from './vehicle-state';

/** What the state of this walk depends on. */
export function settingOf(begun: BegunPayload & Stamp, rig: Rig): Setting {
  const driven = isDriven(begun.phase);
  return {
    freezing: begun.circumstances.includes('freezing'),
    airUp: driven || !rig.units.some(({ module }) => module.airBrakes),
    ...(driven && { warmAt: begun.at }),
    layout: layoutOf(rig),
    spends: spentBy(rig),
  };
}

const known = new WeakMap<Rig, ReadonlyMap<string, number>>();

/** What each check of a rig leaves in the tanks, psi. */
function spentBy(rig: Rig): ReadonlyMap<string, number> {
  let spends = known.get(rig);
  if (!spends) {
    spends = new Map(
      rig.instances.flatMap(({ key, check }) => {
        const { leavesAir } = requirementOf(check);
        return leavesAir === undefined ? [] : [[key, leavesAir] as const];
      }),
    );
    known.set(rig, spends);
  }
  return spends;
}
