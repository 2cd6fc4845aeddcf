import type { BegunPayload, Stamp } from '../inspection';
import type { Rig } from '../rig';
import type { Setting } from './vehicle-state';

/** What the clocks of this walk depend on. */
export function settingOf(begun: BegunPayload & Stamp, rig: Rig): Setting {
  const driven = begun.phase === 'post-trip' || begun.phase === 'under-way';
  return {
    freezing: begun.circumstances.includes('freezing'),
    airUp: begun.phase !== 'pre-trip' || !rig.units.some(({ module }) => module.airBrakes),
    ...(driven && { warmAt: begun.at }),
  };
}
