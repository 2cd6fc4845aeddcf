import { dimension, slotName, TRANSITIONS, type Layout, type VehicleChange } from '../vehicle';
import type { VehicleState } from './vehicle-state';

/** A way in which something may stand that it was not taken to stand in. */
export interface Otherwise {
  readonly change: VehicleChange;
  readonly unitId?: string;
}

/**
 * Everything that a driver who looks may find otherwise than it is taken to be: of each thing that this rig has, every value but the
 * present one; both where nobody has said it.
 */
export function otherwise({ values }: Pick<VehicleState, 'values'>, layout: Layout): Otherwise[] {
  return layout.slots.flatMap((slot) => {
    if (dimension(slot.dimension).fixed) return [];
    const now = values[slotName(slot)];
    const seen = new Set<string>();
    return (Object.keys(TRANSITIONS) as (keyof typeof TRANSITIONS)[]).flatMap((change) => {
      const { of, to } = TRANSITIONS[change];
      if (of !== slot.dimension || to === now || seen.has(to)) return [];
      seen.add(to);
      return [{ change, ...(slot.unit !== undefined && { unitId: slot.unit }) }];
    });
  });
}
