import type { System } from '../catalogue';
import type { Reason } from './grade-symptom';
import type { Policy } from './policy';
import type { Finding } from './verdict';

/** What the findings are about. */
interface Rules {
  readonly policiesOf: (unitId: string) => readonly Policy[];
  /** The class of parts of a check, where a finding does not name its own. */
  readonly systemOf: (about: string) => System | undefined;
}

/**
 * Several minor faults in one class of parts of one unit are a major where the unit's policy says so. What nobody has looked at counts
 * as a fault of each class that it could be.
 */
export function addUpMinors(
  findings: readonly Finding[],
  { policiesOf, systemOf }: Rules,
): Finding[] {
  const groupsOf = ({ kind, grade, unitId, about, systems, chain }: Finding): string[] => {
    const counts =
      kind === 'fault' ||
      kind === 'known-open' ||
      (kind === 'gap' && chain[0]?.code === 'not-looked');
    if (grade !== 'minor' || !counts) return [];
    return (systems ?? [systemOf(about) ?? '']).map((system) => `${unitId}/${system}`);
  };
  const numbers = new Map<string, number>();
  for (const finding of findings)
    for (const group of groupsOf(finding)) numbers.set(group, (numbers.get(group) ?? 0) + 1);
  return findings.map((finding) => {
    const count = Math.max(0, ...groupsOf(finding).map((group) => numbers.get(group) ?? 0));
    const from = Math.min(
      ...policiesOf(finding.unitId).map(({ minorsMakeMajor }) => minorsMakeMajor ?? Infinity),
    );
    if (count === 0 || count < from) return finding;
    const reason: Reason = { code: 'minors-add-up', words: String(count) };
    const { condition: _, bars: __, mostKmh: ___, further: ____, ...rest } = finding;
    return { ...rest, grade: 'major', blocks: ['road'], chain: [...finding.chain, reason] };
  });
}
