import type { VehicleClass } from '../catalogue';
import type { Policy } from './policy';
import { policies } from './policies';

/** Which policy a depot grades a class of vehicle under. */
export interface PolicyChoice {
  readonly usual: string;
  readonly byClass: Readonly<Partial<Record<VehicleClass, string>>>;
}

/** The id of the policy for a class of vehicle in a depot. */
export function chosenPolicyId(choice: PolicyChoice, vehicleClass: VehicleClass): string {
  return choice.byClass[vehicleClass] ?? choice.usual;
}

/**
 * The policies a unit is graded under: that of the walk and that of the depot as it stands now. Where
 * they differ both count and the stricter wins; where one is unknown here, all that are known count.
 * @param own policies that the organisation brought itself
 */
export function policiesFor(ids: readonly string[], own: readonly Policy[] = []): Policy[] {
  const known = [...own, ...policies];
  const wanted = [...new Set(ids)];
  const found = wanted.flatMap((id) => known.find((each) => each.id === id) ?? []);
  return found.length === wanted.length && found.length > 0 ? found : known;
}
