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
  gradeOf: { watch: 'note', repair: 'minor', stop: 'major' },
  rules: [
    {
      id: 'wipers-when-needed',
      harms: ['repair'],
      systems: ['wipers'],
      when: ['wet'],
      grade: 'major',
      because: 'wipers and washer are needed now',
      source: 'NSC Standard 13, Schedule 1, item 23',
    },
    {
      id: 'seat-belts-with-passengers',
      harms: ['repair'],
      systems: ['restraint', 'doors'],
      when: ['passengers'],
      grade: 'major',
      because: 'passengers depend on it',
      source: 'NSC Standard 13, Schedule 2, items 18 and 20',
    },
  ],
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
