import type { DefectRecord, DefectStep } from '../repair';

/** Open defects of a depot, so many at a time. */
export interface DefectPage {
  readonly defects: readonly DefectRecord[];
  readonly counts?: Readonly<Record<string, number>>;
  readonly more: boolean;
}

/** A defect with its life so far. */
export interface DefectFile {
  readonly defect: DefectRecord;
  readonly steps: readonly DefectStep[];
  /** The repair on the same part that did not hold. */
  readonly formerRepair: DefectRecord | null;
}
