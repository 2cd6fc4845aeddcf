import type { Assessment, InstanceAssessment } from '../inspection';
import type { CheckInstance } from '../rig';

/** A check that is not made because of what was found, or of what nobody could see. */
export interface Forbidden {
  readonly instance: CheckInstance;
  readonly because: InstanceAssessment;
}

/** Open checks that must not be made any more (core/inspection/bars.ts). They are left out with the reason. */
export function findForbidden({
  missing,
  barred,
}: Pick<Assessment, 'missing' | 'barred'>): ReadonlyMap<string, Forbidden> {
  return new Map(
    missing.flatMap((instance) => {
      const because = barred.get(instance.key);
      return because ? [[instance.key, { instance, because }] as const] : [];
    }),
  );
}
