import type { Catalogue } from '../catalogue';
import { composeRig, type Rig } from '../rig';
import type { Report, ReportDefect } from './document';

export interface ReportMark {
  readonly defect: ReportDefect;
  /** Number under which the report lists it, from 1. */
  readonly number: number;
  /** Metres in the frame of the rig. */
  readonly x: number;
  readonly y: number;
}

/** The rig of a report; undefined when a module is gone from the catalogue: then only the words stand. */
export function rigOfReport(report: Report, catalogue: Catalogue): Rig | undefined {
  try {
    return composeRig({
      units: (report.rig?.units ?? report.units).map((unit) => ({
        ...unit,
        moduleId: unit.module,
        fitted: unit.fitted,
        specification: {},
      })),
      phase: report.phase,
      circumstances: report.conditions.circumstances,
      catalogue,
    });
  } catch (error) {
    if (error instanceof RangeError) return undefined;
    throw error;
  }
}

/** Where the faults of a report are on its rig: the touched spot, else the place of the check. */
export function marksOfReport(report: Report, rig: Rig): ReportMark[] {
  return report.defects.flatMap((defect, index) => {
    const placed = rig.units.find(({ unit }) => unit.number === defect.unit);
    const instance = rig.instances.find(({ key }) => key === defect.key);
    const at =
      defect.spot && placed
        ? { x: defect.spot.x + placed.offset, y: defect.spot.y + placed.aside }
        : instance && { x: instance.x, y: instance.y };
    return at ? [{ defect, number: index + 1, x: at.x, y: at.y }] : [];
  });
}
