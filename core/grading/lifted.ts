import type { Finding, Lifted } from './verdict';

/**
 * Marks what a supervisor took the condition off. Only a minor finding can be lifted: an override of
 * anything else changes nothing, whatever the log says.
 * @param liftedAt who lifted what, by what it is about
 */
export function markLifted(
  findings: readonly Finding[],
  liftedAt: (about: string) => Lifted | undefined,
): Finding[] {
  return findings.map((finding) => {
    const lifted = liftedAt(finding.about);
    return lifted && finding.grade === 'minor' ? { ...finding, lifted } : finding;
  });
}
