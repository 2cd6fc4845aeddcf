import type { Policy } from '../policy';

/** Ready for its task or not: what the operator mends, and what keeps it from the task. */
export const readinessPolicy: Policy = {
  id: 'readiness',
  title: 'Readiness: operator-level or not fit for the task',
  why: 'It asks whether the unit can do the task of today, and who puts the fault right.',
  source: 'House rules of the unit; no public schedule',
  words: {
    sound: 'Ready',
    note: 'Ready, watched',
    minor: 'Operator-level fault: ready with remarks',
    major: 'Not fit for the task',
  },
  gradeOf: { watch: 'note', repair: 'minor', stop: 'major' },
  rules: [
    {
      id: 'needed-for-the-task',
      harms: ['repair'],
      whenNeeded: true,
      grade: 'major',
      because: 'the task of today needs it',
      source: 'House rules of the unit',
    },
    {
      id: 'cannot-recover-itself',
      harms: ['repair'],
      systems: ['winch', 'emergency'],
      when: ['freezing', 'dark'],
      grade: 'major',
      because: 'it may have to help itself tonight',
      source: 'House rules of the unit',
    },
  ],
  minorsMakeMajor: 3,
  deadlines: [
    { grade: 'note', hours: 31 * 24, source: 'House default: looked at with the monthly check' },
    { grade: 'minor', hours: 7 * 24, source: 'House default: with the weekly check' },
    { grade: 'major', hours: 0, source: 'House rules of the unit' },
  ],
  deferrable: ['note', 'minor'],
  signatures: {
    repair: 'mechanic',
    noRepairNeeded: false,
    ownReport: false,
    officerReleases: true,
  },
  report: { nilDefect: 'always', validHours: 24 },
  keepDays: 184,
  returnWithin: { days: 60, km: 2000 },
};
