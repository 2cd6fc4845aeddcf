import type { Capability, Phase } from '../catalogue';
import type { DepotContent } from '../depot-content';
import type { Policy, PolicyChoice } from '../grading';
import type { UnitHabit, UnitName } from '../quantity';
import type { DefectRecord, WeakSpot } from '../repair';
import type { Unit } from '../rig';

export interface LastReport {
  readonly unitId: string;
  readonly reportId: string | null;
  readonly phase: Phase;
  readonly headline: 'rolls' | 'limits' | 'stays';
  readonly signedAt: string;
  readonly driver: string;
}

export interface PlannedJob {
  readonly id: string;
  readonly title: string;
  readonly needs: readonly Capability[];
  readonly unitIds: readonly string[];
  readonly startsAt: string;
}

/** The tag of one stop of one unit. */
export interface Tag {
  readonly unitId: string;
  readonly zoneId: string;
  readonly code: string;
  /** The house wants it read on every walk. */
  readonly required: boolean;
}

/** A rig that is out and has not come back. */
export interface Outing {
  readonly inspectionId: string;
  readonly unitIds: readonly string[];
  readonly purpose: 'job' | 'workshop';
  readonly needs: readonly Capability[];
  readonly title: string | null;
  readonly outAt: string;
  readonly by: string;
  readonly byId: string;
}

export interface Reference {
  readonly catalogueVersion: string;
  readonly organisation: string;
  readonly habit: UnitHabit;
  readonly depot: { readonly id: string; readonly name: string; readonly choice: PolicyChoice };
  /** What the depot changed of the catalogue; missing in what an older version kept. */
  readonly content?: DepotContent;
  /** Policies that the organisation brought itself. */
  readonly ownPolicies: readonly Policy[];
  readonly weakSpots: readonly WeakSpot[];
  readonly jobs: readonly PlannedJob[];
  readonly outings: readonly Outing[];
  readonly mechanics: readonly { readonly id: string; readonly name: string }[];
  readonly units: readonly Unit[];
  /** What is printed at each stop; missing in what an older version kept. */
  readonly tags?: readonly Tag[];
  readonly rigs: readonly {
    readonly id: string;
    readonly title: string;
    readonly unitIds: readonly string[];
  }[];
  readonly sealKeys: readonly string[];
  readonly defects: readonly DefectRecord[];
  readonly lastReadings: readonly {
    readonly key: string;
    readonly value: number;
    readonly unit: UnitName;
    readonly at: string;
  }[];
  readonly lastReports: readonly LastReport[];
  readonly serverTime: number;
}
