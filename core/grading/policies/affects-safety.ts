import type { Policy } from '../policy';

/** The list of parts that affect safety, and the carrier's certificate before it goes out again. */
export const affectsSafetyPolicy: Policy = {
  id: 'affects-safety',
  title: 'List of parts that affect safety',
  why: 'Whatever is wrong on a listed part is repaired, or certified as needing nothing, before the next trip.',
  source: '49 CFR 396.11, 396.13, 392.7',
  words: {
    sound: 'No defect',
    note: 'Observed, does not affect safety',
    minor: 'Deficiency off the list: repaired in time',
    major: 'Affects safety: certified before it is driven',
  },
  gradeOf: { watch: 'note', repair: 'minor', stop: 'major' },
  rules: [
    {
      id: 'listed-part',
      harms: ['repair'],
      systems: [
        'brakes',
        'steering',
        'lamps',
        'tyres',
        'horn',
        'wipers',
        'mirrors',
        'coupling',
        'wheels',
        'emergency',
      ],
      grade: 'major',
      because: 'it is on the list of parts that affect safety',
      source: '49 CFR 396.11(a)(1), (a)(3)',
    },
    {
      id: 'passenger-lift',
      harms: ['stop'],
      takes: ['passenger-lift'],
      grade: 'major',
      alsoTakes: ['passengers'],
      because:
        'a vehicle whose lift does not work is taken out of passenger service before its next day',
      source: '49 CFR 37.163(d)',
    },
  ],
  deadlines: [
    {
      grade: 'minor',
      hours: 30 * 24,
      source: 'House default; 49 CFR 396.3(a) asks for systematic repair',
    },
    { grade: 'major', hours: 0, source: '49 CFR 396.11(a)(3)' },
  ],
  deferrable: ['note', 'minor'],
  signatures: {
    repair: 'mechanic-and-agent',
    noRepairNeeded: true,
    ownReport: true,
    officerReleases: false,
  },
  report: { nilDefect: 'optional', validHours: 24 },
  keepDays: 92,
  returnWithin: { days: 30, km: 5000 },
};
