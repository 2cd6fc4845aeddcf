import type { Bar, System } from '../catalogue';
import type { Limitation, Reason } from './grade-symptom';
import { dueOf } from './deadline';
import { worseGrade, type Grade, type Policy } from './policy';
import type { Finding } from './verdict';

/** A defect of an earlier walk that nobody has certified or only put off. */
export interface KnownDefect {
  readonly id: string;
  readonly key: string;
  readonly unitId: string;
  readonly title: string;
  readonly grade: Grade;
  readonly blocks: Finding['blocks'];
  readonly words: string;
  readonly symptomId?: string;
  readonly system?: System;
  /** Milliseconds since 1970. */
  readonly reportedAt?: number;
  /** ISO date it was put off to. */
  readonly until?: string;
  readonly condition?: string;
  readonly bars?: Bar;
  readonly mostKmh?: number;
  /** What else is to be heeded with it. */
  readonly further?: readonly Limitation[];
}

/** A repair that the next driver must read before leaving. */
export interface UnreadRepair {
  readonly defectId: string;
  readonly unitId: string;
  readonly title: string;
  readonly words: string;
}

/**
 * What is open since an earlier walk bears on today's, unless it was found again at the same place and weighs no less there: the worse
 * of both counts.
 * @param again the grade that today's walk gave it, where it found it
 * @param now milliseconds since 1970
 */
export function openFinding(
  defect: KnownDefect,
  again: Grade | undefined,
  now: number,
  policies: readonly Policy[],
): Finding | undefined {
  const overdue = isOverdue(defect, now, policies);
  if (again && worseGrade(again, defect.grade) === again && !overdue) return undefined;
  const chain: Reason[] = [{ code: 'known-open', words: defect.words }];
  if (overdue) chain.push({ code: 'overdue', words: defect.until ?? '' });
  return {
    kind: 'known-open',
    about: defect.id,
    unitId: defect.unitId,
    title: defect.title,
    grade: overdue ? 'major' : defect.grade,
    blocks: overdue && defect.blocks.length === 0 ? ['road'] : defect.blocks,
    chain,
    condition: overdue ? undefined : defect.condition,
    bars: overdue ? undefined : defect.bars,
    mostKmh: overdue ? undefined : defect.mostKmh,
    further: overdue ? undefined : defect.further,
    ...(defect.system && { systems: [defect.system] }),
  };
}

/** A repair that nobody has read keeps the rig in the yard: whoever drives it knows what was mended. */
export function unreadFinding(repair: UnreadRepair): Finding {
  return {
    kind: 'repair-unread',
    about: repair.defectId,
    unitId: repair.unitId,
    title: repair.title,
    grade: 'major',
    blocks: ['road'],
    chain: [{ code: 'repair-unread', words: repair.words }],
  };
}

/** A minor defect past the day it had to be mended by, or past the day it was put off to, is no minor any more. */
function isOverdue(defect: KnownDefect, now: number, policies: readonly Policy[]): boolean {
  if (defect.grade !== 'minor') return false;
  if (defect.until !== undefined) return now >= Date.parse(`${defect.until}T24:00:00Z`);
  if (defect.reportedAt === undefined) return false;
  const due = dueOf(policies, 'minor', defect.system, defect.reportedAt);
  return due !== undefined && now > due.at;
}
