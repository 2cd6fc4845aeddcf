import type { Policy } from '../policy';

/** Daily walk-round with a nil-defect report; whatever is safety-critical keeps the vehicle off the road. */
export const nilDefectPolicy: Policy = {
  id: 'nil-defect',
  title: 'Walk-round with nil-defect report',
  why: 'A signed report each day proves that somebody looked, also when nothing was found.',
  source: 'Public guides to keeping vehicles roadworthy; SI 1986/1078 regulation 100',
  words: {
    sound: 'Nil defect',
    note: 'Advisory',
    minor: 'Defect: rectified in time',
    major: 'Safety-critical: off the road',
  },
  gradeOf: { watch: 'note', repair: 'minor', stop: 'major' },
  rules: [
    {
      id: 'safety-critical-part',
      harms: ['repair'],
      systems: ['brakes', 'steering', 'wheels', 'coupling', 'tyres', 'restraint'],
      grade: 'major',
      because: 'any defect of this class of parts is safety-critical',
      source: 'SI 1986/1078 regulation 100(1)',
    },
    {
      id: 'lamps-in-the-dark',
      harms: ['repair'],
      systems: ['lamps'],
      when: ['dark'],
      grade: 'major',
      because: 'obligatory lamps must work in the dark',
      source: 'SI 1989/1796 regulations 23 and 24',
    },
    {
      id: 'view-in-the-wet',
      harms: ['repair'],
      systems: ['wipers', 'glass', 'mirrors'],
      when: ['wet'],
      grade: 'major',
      because: 'the driver must see in this weather',
      source: 'SI 1986/1078 regulations 30 and 34',
    },
  ],
  minorsMakeMajor: 5,
  deadlines: [
    { grade: 'minor', hours: 7 * 24, source: 'House default' },
    { grade: 'major', hours: 0, source: 'SI 1986/1078 regulation 100(1)' },
  ],
  deferrable: ['note', 'minor'],
  signatures: {
    repair: 'mechanic',
    noRepairNeeded: true,
    ownReport: false,
    officerReleases: false,
  },
  report: { nilDefect: 'always', validHours: 24 },
  keepDays: 457,
  returnWithin: { days: 42, km: 5000 },
};
