import type { Bar, Capability, System, DefectStatus } from '../catalogue';
import type { Limitation } from '../grading';

/** A defect as workshop and drivers read it; times are ISO 8601. */
export interface DefectRecord {
  readonly id: string;
  readonly unitId: string;
  readonly unitNumber: string;
  readonly unitTitle: string;
  readonly moduleId: string;
  readonly inspectionId: string;
  /** Null until the walk that reported it is sealed. */
  readonly reportId: string | null;
  readonly key: string;
  readonly title: string;
  readonly place: string | null;
  readonly symptomId: string | null;
  readonly system: System | null;
  readonly symptom: string;
  readonly extent: string | null;
  readonly grade: 'note' | 'minor' | 'major';
  readonly blocks: readonly Capability[];
  readonly reasons: readonly { readonly code: string; readonly words: string }[];
  readonly condition: string | null;
  readonly bars: Bar | null;
  /** km/h */
  readonly mostKmh: number | null;
  /** What else is to be heeded with it, beyond the condition above; missing in what an older version kept. */
  readonly further?: readonly Limitation[];
  readonly note: string | null;
  /** Metres in the frame of the unit. */
  readonly spot: { readonly x: number; readonly y: number } | null;
  readonly photoIds: readonly string[];
  readonly status: DefectStatus;
  /** Steps of its life so far. */
  readonly revision: number;
  readonly policyIds: readonly string[];
  readonly reportedAt: string;
  readonly reportedBy: string;
  readonly reportedById: string;
  readonly dueAt: string | null;
  /** Start of the first planned job within a day that needs this unit. */
  readonly neededAt: string | null;
  readonly assignedTo: string | null;
  readonly assignedToId: string | null;
  readonly confirmedAt: string | null;
  /** How many walks have found it since it was reported. */
  readonly confirmations: number;
  readonly certifiedAt: string | null;
  readonly certifiedBy: string | null;
  readonly certifiedById: string | null;
  readonly outcome: string | null;
  readonly outcomeWords: string | null;
  readonly until: string | null;
  /** The repair on the same part that did not hold. */
  readonly returnOf: string | null;
  /** False when the part came back after this repair. */
  readonly held: boolean;
}

/** One step of a defect's life, as workshop and logbook read it. */
export interface DefectStep {
  readonly at: string;
  readonly kind:
    | 'reported'
    | 'confirmed'
    | 'worsened'
    | 'assigned'
    | 'worked'
    | 'certified'
    | 'countersigned'
    | 'acknowledged'
    | 'returned'
    | 'corrected'
    | 'overridden';
  readonly by: string;
  readonly words: string | null;
  readonly outcome: string | null;
  readonly grade: string | null;
  readonly minutes: number | null;
  readonly parts: readonly { readonly words: string; readonly count: number }[];
  readonly photos: readonly { readonly id: string; readonly when: 'before' | 'after' }[];
}
