import type { Phase, Service } from '@nazar/core/catalogue';
import type { UnitName } from '@nazar/core/quantity';
import type { DefectRecord, WeakSpot } from '@nazar/core/repair';
import type { ChainFault } from '@nazar/core/seal';
import type { Unit } from '@nazar/core/rig';
import type { ServiceDue } from '@nazar/core/trend';
import { callJson } from './api';
import { useServerPages, type ServerPages } from './server-reads';

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

interface UnitLogbook extends Omit<ServerPages<LogbookPage>, 'pages'> {
  /** Undefined until it is read. */
  readonly logbook: Logbook | undefined;
  /** The newest walks and defects, and those before them as far as they were asked for. */
  readonly pages: readonly LogbookPage[];
}

export function useLogbook(unitId: string): UnitLogbook {
  const { pages = [], ...rest } = useServerPages<LogbookPage, string>(
    ['logbook', unitId],
    (before) =>
      callJson<LogbookPage>(
        `/units/${unitId}/logbook${before ? `?before=${encodeURIComponent(before)}` : ''}`,
      ),
    ({ more, walks }) => (more ? walks.at(-1)?.begunAt : undefined),
  );
  // Only the first has all else that is known of the unit.
  return { ...rest, pages, logbook: pages[0] as Logbook | undefined };
}

export async function recordService(
  unitId: string,
  serviceId: string,
  words: string,
): Promise<void> {
  await callJson(`/units/${unitId}/services/${serviceId}`, { method: 'POST', json: { words } });
}
