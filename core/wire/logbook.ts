import type { Phase, Service } from '../catalogue';
import type { UnitName } from '../quantity';
import type { DefectRecord, WeakSpot } from '../repair';
import type { Unit } from '../rig';
import type { ChainFault } from '../seal';
import type { ServiceDue } from '../trend';

export interface LogbookWalk {
  readonly inspectionId: string;
  readonly reportId: string | null;
  readonly phase: Phase;
  readonly headline: 'rolls' | 'limits' | 'stays' | null;
  readonly begunAt: string;
  readonly signedAt: string | null;
  readonly driver: string;
  readonly metres: number | null;
}

export interface LogbookOuting {
  readonly inspectionId: string;
  readonly purpose: 'job' | 'workshop';
  readonly title: string | null;
  readonly outAt: string;
  readonly returnedAt: string | null;
  readonly by: string;
}

/** When it was joined into a usual rig or taken out of one. */
export interface RigChange {
  readonly id: string;
  readonly at: string;
  readonly what: 'joined' | 'taken-apart';
  readonly title: string;
  readonly by: string;
}

export interface ReadingCourse {
  readonly key: string;
  readonly unit: UnitName;
  /** Milliseconds since 1970, and SI. */
  readonly points: readonly { readonly at: number; readonly value: number }[];
}

export interface UnitService {
  readonly unitId: string;
  readonly service: Service;
  readonly due: ServiceDue;
  readonly last?: { readonly at: string; readonly words: string; readonly by: string };
}

export interface LogbookPage {
  readonly walks: readonly LogbookWalk[];
  readonly defects: readonly DefectRecord[];
  readonly more: boolean;
}

export interface Logbook extends LogbookPage {
  readonly unit: Unit;
  readonly outings: readonly LogbookOuting[];
  readonly rigChanges: readonly RigChange[];
  readonly readings: readonly ReadingCourse[];
  readonly services: readonly UnitService[];
  readonly weakSpots: readonly WeakSpot[];
  readonly chain: {
    readonly length: number;
    readonly removed: number;
    readonly faults: readonly ChainFault[];
  };
  readonly holds: readonly { readonly id: string; readonly words: string; readonly by: string }[];
}
