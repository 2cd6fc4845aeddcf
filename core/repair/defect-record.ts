import type { Capability } from '../catalogue';

/** A defect as workshop and drivers read it; times are ISO 8601. */
export interface DefectRecord {
  readonly id: string;
  readonly unitId: string;
  readonly unitNumber: string;
  readonly unitTitle: string;
  readonly inspectionId: string;
  /** Null until the walk that reported it is sealed. */
  readonly reportId: string | null;
  readonly key: string;
  readonly title: string;
  readonly place: string | null;
  readonly symptom: string;
  readonly extent: string | null;
  readonly grade: 'note' | 'minor' | 'major';
  readonly blocks: readonly Capability[];
  readonly reasons: readonly { readonly code: string; readonly words: string }[];
  readonly condition: string | null;
  readonly note: string | null;
  /** Metres in the frame of the unit. */
  readonly spot: { readonly x: number; readonly y: number } | null;
  readonly photoIds: readonly string[];
  readonly status: 'open' | 'deferred' | 'repaired' | 'no-repair-needed';
  readonly reportedAt: string;
  readonly reportedBy: string;
  readonly confirmedAt: string | null;
  readonly certifiedAt: string | null;
  readonly certifiedBy: string | null;
  readonly outcome: string | null;
  readonly outcomeWords: string | null;
  readonly until: string | null;
}
