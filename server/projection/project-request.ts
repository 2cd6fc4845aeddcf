import type { InspectionEvent } from '@nazar/core/inspection';
import type { Standing } from '../intake/stand';
import type { FormerRepair } from '../store/open-inspection';
import type { Person } from '../store/sessions';

/** What came in, and how the walk stands with it. */
export interface ProjectRequest {
  readonly person: Pick<Person, 'organisationId'>;
  readonly standing: Standing;
  readonly accepted: readonly InspectionEvent[];
  /** Nothing of this inspection was stored before. */
  readonly isNew: boolean;
  /** Whether somebody has named a defect before. */
  readonly isKnownDefect: (defectId: string) => boolean;
  /** Server time, milliseconds since 1970. */
  readonly arrivedAt: number;
  /** Former repairs on what these events find faulty. */
  readonly repairs: readonly FormerRepair[];
}
