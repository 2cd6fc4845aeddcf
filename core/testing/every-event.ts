import type { Payloads } from '../inspection';
import type { CheckInstance, Rig } from '../rig';
import { begunOf, faultOf, makeId, measuredOf, mechanic, signature, walkId } from './halvern';

/** One whole example of each type of event about one check; every field that there may be is in it. */
export function everyPayload(rig: Rig, instance: CheckInstance): Payloads {
  const fault = {
    ...faultOf(instance, instance.check.symptoms[0].id),
    stepId: 'release',
    spot: { x: 1.2, y: -0.4 },
    note: 'Behind the mud flap',
    photos: [{ id: makeId(70), width: 1200, height: 900 }],
    fixed: 'Tightened',
    raisedTo: 'major',
    other: { stops: true, hides: false },
  } as const;
  const zone = instance.zoneKey;
  const about = { defectId: fault.defectId };
  return {
    begun: {
      ...begunOf(rig),
      houseVersion: 1,
      policies: { [rig.units[0].unit.id]: 'us-commercial' },
      job: { needs: ['road'], title: 'Plow the hill' },
      tags: [zone],
      temperatureC: -4,
      place: 'North Yard',
    },
    answered: { key: instance.key, outcome: 'not-looked', reason: 'Snow on it', together: true },
    measured: measuredOf(instance.key, 12, 'psi'),
    faulted: fault,
    found: fault,
    counted: {
      key: instance.key,
      items: [{ id: 'triangles', found: 3, until: '2027-03-31' }],
    },
    acknowledged: about,
    signed: { signature, headline: 'rolls' },
    sealed: { reportId: walkId, hash: 'ab12' },
    overridden: { about: instance.key, words: 'Only by day today', signature },
    'looked-again': { about: instance.key, words: 'Wiped' },
    released: { words: 'Pump stays out of service', signature },
    'signed-out': {
      purpose: 'job',
      needs: ['road'],
      title: 'Plow the hill',
      conditions: ['By day only'],
      stowed: true,
    },
    returned: { words: 'All quiet' },
    assigned: { ...about, to: mechanic, revision: 2 },
    worked: {
      ...about,
      words: 'New hose',
      minutes: 20,
      parts: [{ words: 'hose', count: 1 }],
      photos: [{ id: makeId(71), width: 10, height: 10, when: 'after' }],
    },
    certified: {
      ...about,
      outcome: 'deferred',
      words: 'Part is ordered',
      until: '2026-12-24',
      revision: 1,
      signature,
    },
    countersigned: { ...about, signature },
    annotated: { ...about, words: 'It was the right lamp' },
    changed: { change: 'start', unitId: rig.units[0].unit.id, found: true },
    affirmed: { what: 'area-clear', zone },
    turned: { circumstances: ['wet'] },
    dropped: { unitId: rig.units[0].unit.id, reason: 'Flat tyre' },
    joined: { name: 'Tove Brask', phone: true },
    parted: {},
    asked: { keys: [instance.key] },
    present: { zone, code: 'AB12CD', how: 'camera' },
    'clock-moved': { seconds: 3600 },
  };
}
