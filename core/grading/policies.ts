import type { Harm } from '../catalogue';

export type Grade = 'sound' | 'note' | 'minor' | 'major';

/** A school of grading as data. A guide: local law and the carrier decide. */
export interface Policy {
  readonly id: string;
  readonly title: string;
  readonly gradeOf: Readonly<Record<Harm, Grade>>;
  /** This many minor faults in one system are a major; undefined where the school knows no such rule. */
  readonly minorsMakeMajor?: number;
  /** Grades that the workshop may put off. */
  readonly deferrable: readonly Grade[];
  readonly mendWithinHours: Readonly<Record<'minor' | 'major', number>>;
}

/** Two steps, minor and major, as in the public schedules of defects. */
export const twoStepPolicy: Policy = {
  id: 'two-step',
  title: 'Two-step schedule: minor and major',
  gradeOf: { watch: 'note', repair: 'minor', stop: 'major' },
  minorsMakeMajor: 4,
  deferrable: ['note', 'minor'],
  mendWithinHours: { minor: 14 * 24, major: 0 },
};

export const policies: readonly Policy[] = [twoStepPolicy];

/** @throws {RangeError} for a policy that is not known here. */
export function policyById(id: string): Policy {
  const found = policies.find((each) => each.id === id);
  if (!found) throw new RangeError(`No grading policy ${id}.`);
  return found;
}
