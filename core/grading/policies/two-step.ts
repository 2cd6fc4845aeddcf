import type { Policy } from '../policy';

/** Two steps, minor and major, as in the schedules of defects of the Canadian National Safety Code. */
export const twoStepPolicy: Policy = {
  id: 'two-step',
  title: 'Two-step schedule: minor and major',
  why: 'One printed list tells driver, workshop and roadside the same thing.',
  source: 'National Safety Code Standard 13, Trip Inspections, Schedules 1 to 4',
  words: {
    sound: 'No defect',
    note: 'Watched',
    minor: 'Minor defect: reported and repaired in time',
    major: 'Major defect: not driven',
  },
  schedule: { standard: 'nsc-13', houseStricter: true },
  gradeOf: { watch: 'note', repair: 'minor', stop: 'major' },
  // What the schedule makes harder in the rain or with people aboard stands in its items.
  rules: [],
  minorsMakeMajor: 4,
  deadlines: [
    {
      grade: 'minor',
      hours: 14 * 24,
      source: 'House default; the schedule leaves it to the carrier',
    },
    {
      grade: 'major',
      hours: 0,
      source: 'NSC Standard 13, section 6: not driven before it is repaired',
    },
  ],
  deferrable: ['note', 'minor'],
  signatures: { repair: 'mechanic', noRepairNeeded: true, ownReport: true, officerReleases: false },
  report: { nilDefect: 'always', validHours: 24 },
  keepDays: 184,
  returnWithin: { days: 30, km: 3000 },
};

/** The same, and no stricter than the schedule where that lists a defect: for a depot that wants what the roadside holds, and no more. */
export const scheduleOnlyPolicy: Policy = {
  ...twoStepPolicy,
  id: 'schedule-only',
  title: 'Two-step schedule, nothing stricter',
  why: 'A listed defect is exactly what the printed schedule says. What it does not list is graded as ever.',
  schedule: { standard: 'nsc-13', houseStricter: false },
  minorsMakeMajor: undefined,
};
