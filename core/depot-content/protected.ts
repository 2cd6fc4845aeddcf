import type { Check } from '../catalogue';

/** Why a check must be asked: a public rule stands behind it, or what it finds can keep a vehicle from rolling. */
export type Protection =
  { readonly by: 'rule'; readonly source: string } | { readonly by: 'stops' };

/**
 * Whether a house may not switch a check off. What a public rule asks for, or what can stop the vehicle or its
 * equipment, is always looked at.
 */
export function protectionOf(check: Check): Protection | undefined {
  if (check.source) return { by: 'rule', source: check.source };
  const stops = check.symptoms.some(
    ({ harm, scale }) =>
      harm === 'stop' || (scale?.steps.some((step) => step.harm === 'stop') ?? false),
  );
  return stops ? { by: 'stops' } : undefined;
}
