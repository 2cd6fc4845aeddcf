import type { Policy } from '../policy';

/** Out-of-service criteria of the authority having jurisdiction; equipment may be out while the apparatus rolls. */
export const fireServicePolicy: Policy = {
  id: 'fire-service',
  title: 'Fire service: out-of-service criteria',
  why: 'The apparatus may have to leave within a minute, so roadworthiness and equipment are judged apart and the officer decides.',
  source: 'Criteria set by the authority having jurisdiction',
  words: {
    sound: 'In service',
    note: 'In service, noted',
    minor: 'Deficiency: in service with a limit',
    major: 'Out of service',
  },
  gradeOf: { watch: 'note', repair: 'minor', stop: 'major' },
  rules: [
    {
      id: 'runs-against-traffic',
      harms: ['repair'],
      systems: ['brakes', 'steering', 'tyres', 'wheels', 'warning', 'horn'],
      grade: 'major',
      because: 'it drives fast and against the traffic',
      source: 'Criteria set by the authority having jurisdiction',
    },
    {
      id: 'firefighters-stand-on-it',
      harms: ['repair'],
      systems: ['boom', 'outriggers', 'hydraulics'],
      takes: ['aerial'],
      grade: 'major',
      alsoTakes: ['aerial'],
      because: 'people are lifted with it',
      source: 'Criteria set by the authority having jurisdiction',
    },
    {
      id: 'belts-and-doors-with-a-crew',
      harms: ['repair'],
      systems: ['restraint', 'doors', 'driver-place'],
      when: ['passengers'],
      grade: 'major',
      because: 'the crew rides in it',
      source: 'Criteria set by the authority having jurisdiction',
    },
  ],
  minorsMakeMajor: 3,
  deadlines: [
    { grade: 'minor', hours: 72, source: 'House default' },
    { grade: 'major', hours: 0, source: 'Criteria set by the authority having jurisdiction' },
  ],
  deferrable: ['note'],
  signatures: {
    repair: 'mechanic-and-agent',
    noRepairNeeded: true,
    ownReport: false,
    officerReleases: true,
  },
  report: { nilDefect: 'always', validHours: 24 },
  keepDays: 5 * 365,
  returnWithin: { days: 90, km: 2000 },
};
