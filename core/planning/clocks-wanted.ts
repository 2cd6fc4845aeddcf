import type { Check } from '../catalogue';
import { requirementOf, type Clock } from '../vehicle';

/** The clocks that some of these checks wait for. */
export function clocksWanted(instances: readonly { readonly check: Check }[]): ReadonlySet<Clock> {
  const clocks = new Set<Clock>();
  for (const { check } of instances) {
    const { air, clocks: own } = requirementOf(check);
    if (air !== undefined) clocks.add('air');
    for (const clock of own) clocks.add(clock);
  }
  return clocks;
}
