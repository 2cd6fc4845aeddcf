import type { Capability, Circumstance, Harm, System } from '../catalogue';

export const GRADES = ['sound', 'note', 'minor', 'major'] as const;
export type Grade = (typeof GRADES)[number];

/** The worse of two grades. */
export function worseGrade(a: Grade, b: Grade): Grade {
  return GRADES.indexOf(a) >= GRADES.indexOf(b) ? a : b;
}

/** Where a policy grades a class of parts harder than its own table; it never grades softer. */
export interface PolicyRule {
  readonly id: string;
  readonly harms: readonly Harm[];
  /** Classes of parts; all of them where nothing is said. */
  readonly systems?: readonly System[];
  /** Only for symptoms that take one of these. */
  readonly takes?: readonly Capability[];
  /** Only in one of these circumstances. */
  readonly when?: readonly Circumstance[];
  /** Only when today's job needs, beyond the road, something that the symptom takes. */
  readonly whenNeeded?: boolean;
  readonly grade: Grade;
  /** Lost besides what the symptom takes. */
  readonly alsoTakes?: readonly Capability[];
  readonly because: string;
  /** The public rule, or whose decision it is. */
  readonly source: string;
}

/** Until when a defect is mended: hours after it was reported. */
export interface Deadline {
  readonly grade: 'note' | 'minor' | 'major';
  readonly systems?: readonly System[];
  readonly hours: number;
  readonly source: string;
}

/** A way of grading as data. A guide: local law and the carrier decide. */
export interface Policy {
  readonly id: string;
  readonly title: string;
  /** Why people choose it, in one sentence. */
  readonly why: string;
  readonly source: string;
  /** How this policy calls the four grades. */
  readonly words: Readonly<Record<Grade, string>>;
  readonly gradeOf: Readonly<Record<Harm, Grade>>;
  readonly rules: readonly PolicyRule[];
  /**
   * The public schedule of defects that its name stands for: never milder than its items. Where the house is stricter it says so;
   * a depot that wants the schedule and no more chooses the policy in which it is not.
   */
  readonly schedule?: { readonly standard: string; readonly houseStricter: boolean };
  /** This many minor faults in one class of parts of one unit are a major; undefined where it knows no such rule. */
  readonly minorsMakeMajor?: number;
  readonly deadlines: readonly Deadline[];
  /** Grades that the workshop may put off. */
  readonly deferrable: readonly Grade[];
  readonly signatures: {
    /** `agent`: the carrier's agent signs beside the mechanic before the defect counts as mended. */
    readonly repair: 'mechanic' | 'mechanic-and-agent';
    readonly noRepairNeeded: boolean;
    /** Whether somebody may certify what they reported themselves. */
    readonly ownReport: boolean;
    /** A supervisor releases a unit whose equipment is out of service though it may roll. */
    readonly officerReleases: boolean;
  };
  readonly report: {
    /** A report is written though nothing was found; where it is optional, house rules decide. */
    readonly nilDefect: 'always' | 'optional';
    /** How long a signed walk covers a sign-out, hours. */
    readonly validHours: number;
  };
  /** How long a report and its walk are kept, days. */
  readonly keepDays: number;
  /** Found again within either of these after a repair: the repair did not hold. */
  readonly returnWithin: { readonly days: number; readonly km: number };
}
