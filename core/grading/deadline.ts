import type { System } from '../catalogue';
import type { Grade, Policy } from './policy';

export interface Due {
  /** Milliseconds since 1970. */
  readonly at: number;
  readonly source: string;
}

/**
 * Until when a defect must be mended: the earliest that any of the policies names.
 * @param reportedAt milliseconds since 1970
 * @returns undefined where no policy names one (a note, usually)
 */
export function dueOf(
  policies: readonly Policy[],
  grade: Grade,
  system: System | undefined,
  reportedAt: number,
): Due | undefined {
  const all = policies.flatMap((policy) =>
    policy.deadlines
      .filter((deadline) => deadline.grade === grade)
      .filter(({ systems }) => !systems || (system !== undefined && systems.includes(system))),
  );
  if (all.length === 0) return undefined;
  const first = all.reduce((a, b) => (b.hours < a.hours ? b : a));
  return { at: reportedAt + first.hours * 3_600_000, source: first.source };
}
