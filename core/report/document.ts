import type { Capability, Circumstance, Phase } from '../catalogue';
import type { Grade, Headline, Reason } from '../grading';
import type { Instrument, Signature } from '../inspection';
import type { UnitName } from '../quantity';

export const REPORT_FORMAT = 'nazar-report';
/** Version 1 had one report for the whole rig; since version 2 each unit has its own. */
export const REPORT_VERSION = 2;

export interface ReportReading {
  /** SI. */
  readonly value: number;
  readonly unit: UnitName;
  readonly typed: string;
  readonly instrument: Instrument;
  readonly at: string;
  readonly limit?: {
    readonly side: 'below' | 'above';
    readonly value: number;
    readonly source: string;
  };
}

export interface ReportAnswer {
  readonly key: string;
  readonly unit: string;
  readonly check: string;
  readonly title: string;
  readonly place?: string;
  readonly outcome: 'sound' | 'note' | 'minor' | 'major' | 'not-looked';
  readonly reason?: string;
  readonly at: string;
  /** Name of the helper who gave it; missing where the driver did. */
  readonly helper?: string;
  /** Said in one touch of the rest of a stop, after its least time. */
  readonly together?: true;
  readonly readings?: readonly ReportReading[];
  /** What was found of the list that belongs to the check. */
  readonly counted?: readonly {
    readonly title: string;
    readonly expected: number;
    readonly found: number;
    /** ISO date printed on it. */
    readonly until?: string;
  }[];
  /** How many earlier answers to the same check this one replaced. */
  readonly replaced?: number;
}

export interface ReportPhoto {
  readonly id: string;
  readonly width: number;
  readonly height: number;
  /** Hex SHA-256 of the stored picture; missing when it had not arrived at sealing. */
  readonly sha256?: string;
}

export interface ReportDefect {
  readonly id: string;
  readonly key: string;
  readonly unit: string;
  readonly title: string;
  readonly place?: string;
  readonly symptom: string;
  readonly extent?: string;
  readonly grade: Grade;
  readonly blocks: readonly Capability[];
  readonly reasons: readonly Reason[];
  readonly condition?: string;
  /** km/h */
  readonly mostKmh?: number;
  /** Until when the policy wants it mended. */
  readonly due?: string;
  readonly fixed?: string;
  readonly note?: string;
  readonly photos: readonly ReportPhoto[];
  /** Metres in the frame of the unit. */
  readonly spot?: { readonly x: number; readonly y: number };
}

export interface ReportUnit {
  readonly id: string;
  readonly number: string;
  readonly title: string;
  readonly plate: string;
  readonly module: string;
  /** Modules fitted to it. */
  readonly fitted?: readonly string[];
}

/** The rig that the unit was walked in. */
export interface ReportRig {
  /** Front to rear, each with the id of its own report. */
  readonly units: readonly (ReportUnit & { readonly report: string })[];
  readonly headline: Headline;
  /** What the driver's phone showed when it was signed. */
  readonly shown: string;
}

/** What happened on a walk beside the answers. Times are ISO 8601 in UTC. */
export interface ReportCourse {
  /** Stops of this unit at which the tag was read. */
  readonly presence?: readonly {
    readonly title: string;
    readonly at: string;
    readonly how: 'camera' | 'typed';
  }[];
  /** Who helped, and from when to when. */
  readonly helpers?: readonly {
    readonly name: string;
    readonly from: string;
    readonly to?: string;
  }[];
  /** It was left behind during the walk: what was not answered by then was not looked at. */
  readonly leftBehind?: { readonly reason: string; readonly at: string };
  /** What came up on the way. */
  readonly turned?: readonly {
    readonly circumstances: readonly Circumstance[];
    readonly at: string;
  }[];
  /** The clock of the phone was changed by so many seconds. */
  readonly clockMoved?: readonly { readonly seconds: number; readonly at: string }[];
}

/** What one walk found on one unit, complete in itself. Times are ISO 8601 in UTC. */
export interface Report {
  readonly format: typeof REPORT_FORMAT;
  readonly version: 1 | typeof REPORT_VERSION;
  readonly id: string;
  readonly inspection: string;
  readonly organisation: string;
  readonly depot: string;
  /** The unit of the report; version 1 listed the whole rig here. */
  readonly units: readonly ReportUnit[];
  readonly rig?: ReportRig;
  readonly job?: { readonly needs: readonly Capability[]; readonly title?: string };
  readonly phase: Phase;
  readonly catalogue: string;
  /** Version of the depot's own changes to the catalogue, where it has some. */
  readonly house?: number;
  /** Hex SHA-256 of all that was entered on the walk up to its signature; missing in reports of before. */
  readonly log?: string;
  /** What the house does not ask of this unit, with its reason. */
  readonly notAsked?: readonly { readonly title: string; readonly reason: string }[];
  readonly policy: {
    readonly id: string;
    readonly title: string;
    /** How this policy calls the four grades. */
    readonly words?: Readonly<Record<Grade, string>>;
    /** Titles of other policies that were weighed beside it; the stricter counted. */
    readonly beside?: readonly string[];
  };
  readonly conditions: {
    readonly circumstances: readonly Circumstance[];
    readonly temperatureC?: number;
    readonly place?: string;
  };
  readonly begun: string;
  readonly signedAt: string;
  readonly driver: { readonly id: string; readonly name: string };
  readonly odometer?: number;
  /** How the time was spent on this unit; missing in reports of before. */
  readonly pace?: {
    readonly stops: number;
    /** Stops that were answered faster than they can be walked. Seconds. */
    readonly hasty: readonly {
      readonly title: string;
      readonly checks: number;
      readonly seconds: number;
      readonly floor: number;
    }[];
  };
  /** What happened beside the answers; missing where nothing did. */
  readonly course?: ReportCourse;
  readonly answers: readonly ReportAnswer[];
  readonly defects: readonly ReportDefect[];
  readonly carried: readonly {
    readonly about: string;
    readonly title: string;
    readonly grade: Grade;
    readonly words: string;
  }[];
  readonly acknowledged: readonly { readonly defect: string; readonly at: string }[];
  readonly verdict: {
    readonly headline: Headline;
    /** Version 1 only; see {@link ReportRig}. */
    readonly shown?: string;
    /** km/h */
    readonly mostKmh?: number;
    readonly capabilities: readonly {
      readonly capability: Capability;
      readonly state: 'clear' | 'limited' | 'blocked';
      readonly because: readonly string[];
    }[];
    readonly conditions: readonly string[];
  };
  readonly signature: Signature;
}

/** What came after the seal: never a change of the report, always an entry of its own. */
export interface Addition {
  readonly id: string;
  readonly kind:
    | 'certified'
    | 'countersigned'
    | 'acknowledged'
    | 'worked'
    | 'overridden'
    | 'looked-again'
    | 'released'
    | 'signed-out'
    | 'returned'
    | 'found'
    | 'annotated';
  readonly report: string;
  readonly at: string;
  readonly by: { readonly id: string; readonly name: string };
  readonly defect?: string;
  /** What an override is about: key of a check or id of a defect. */
  readonly about?: string;
  readonly outcome?: string;
  readonly words?: string;
  readonly until?: string;
  readonly needs?: readonly Capability[];
  /** Conditions accepted at sign-out. */
  readonly conditions?: readonly string[];
  readonly minutes?: number;
  readonly parts?: readonly { readonly words: string; readonly count: number }[];
  readonly photos?: readonly (ReportPhoto & { readonly when: 'before' | 'after' })[];
  readonly signature?: Signature;
}
