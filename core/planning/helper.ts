import type { CheckInstance, Rig } from '../rig';

/** Checks that one person alone cannot do; with nobody there they are said to be so before the walk begins. */
export function findHelperless(rig: Rig): CheckInstance[] {
  return rig.instances.filter(({ check }) => check.helper === 'needed');
}

/** Whether somebody else than the driver may answer a check. */
export function mayHelperAnswer({ check }: CheckInstance): boolean {
  // What moves is stepped through by whoever moves it; a helper watches it.
  if (check.moves && check.moves.by !== 'hand') return false;
  // What leaves the vehicle so that it may not roll is for its driver to say.
  if (check.leaves) return false;
  return check.helper === 'may-help' || check.helper === 'needed';
}
