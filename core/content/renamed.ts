import type { Check, Combination, Service } from '../catalogue';

const rename = (id: string, from: string, to: string) =>
  id.startsWith(`${from}.`) ? `${to}${id.slice(from.length)}` : id;

/** The same checks under another prefix, for another module. */
export function renamed(checks: readonly Check[], from: string, to: string): Check[] {
  return checks.map((check) => ({ ...check, id: rename(check.id, from, to) }));
}

export function renamedCombinations(
  combinations: readonly Combination[],
  from: string,
  to: string,
): Combination[] {
  return combinations.map((each) => ({
    ...each,
    id: rename(each.id, from, to),
    parts: each.parts.map((part) => ({ ...part, check: rename(part.check, from, to) })),
  }));
}

export function renamedServices(services: readonly Service[], from: string, to: string): Service[] {
  return services.map((each) => ({ ...each, id: rename(each.id, from, to) }));
}
