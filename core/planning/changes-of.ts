import type { VehicleChange } from '../vehicle';

/** As much of a happening of a plan as says what is done to the vehicle. */
type Changing =
  | { readonly kind: 'change'; readonly change: VehicleChange }
  | { readonly kind: 'check'; readonly does: readonly VehicleChange[] }
  | { readonly kind: 'go' | 'wait' };

/** What a happening does to the vehicle: a change by itself, or those that a check makes in its own course. */
export function changesOf(happening: Changing): readonly VehicleChange[] {
  if (happening.kind === 'change') return [happening.change];
  return happening.kind === 'check' ? happening.does : [];
}
