import { catalogue } from '../content';
import { fold } from '../inspection';
import type { DefectOnUnit } from '../repair';
import { answerSound, begunOf, makeLog, makeRig, measuredOf, truck, walkId } from '../testing';
import { standOf, type WalkReference } from '.';

const reference: WalkReference = {
  catalogue,
  units: [truck],
  choice: { usual: 'two-step', byClass: {} },
  own: [],
  defects: [],
};

const lamp: DefectOnUnit = {
  id: '01900000-0000-7000-8000-00000000d001',
  unitId: truck.id,
  inspectionId: '01900000-0000-7000-8000-00000000aaaa',
  key: `${truck.id}/truck.lamp.rear/rear-lamps-left`,
  title: 'Tail lamp',
  place: 'left',
  grade: 'minor',
  blocks: [],
  symptom: 'Out',
  symptomId: 'lamp-out',
  system: 'lamps',
  condition: 'Not in the dark.',
  bars: 'dark',
  mostKmh: null,
  further: [{ condition: 'Not faster than 40 km/h.', mostKmh: 40 }],
  reportedAt: '2026-11-20T06:00:00.000Z',
  until: null,
  status: 'open',
  outcomeWords: null,
};

/** A truck on which everything is sound. */
function soundWalk(more: (log: ReturnType<typeof makeLog>) => void = () => undefined) {
  const rig = makeRig([truck]);
  const log = makeLog();
  log.add('begun', begunOf(rig));
  for (const instance of rig.instances) answerSound(log, instance);
  more(log);
  return fold(walkId, log.events);
}

it('holds every condition of a defect with two against the verdict of the next walk', () => {
  const { verdict } = standOf(soundWalk(), { ...reference, defects: [lamp] }).assessment;
  expect(verdict.headline).toBe('limits');
  expect(verdict.conditions).toEqual(['Not in the dark.', 'Not faster than 40 km/h.']);
  expect(verdict.mostKmh).toBe(40);
});

it('takes a defect as a phone kept it that never heard of a second condition', () => {
  const { further: _, ...old } = lamp;
  const { verdict } = standOf(soundWalk(), { ...reference, defects: [old] }).assessment;
  expect(verdict.conditions).toEqual(['Not in the dark.']);
});

it('leaves out what this very walk reported, what another unit has, and what is closed', () => {
  for (const other of [
    { inspectionId: walkId },
    { unitId: '01900000-0000-7000-8000-000000000999' },
    { status: 'closed' as const },
    { status: 'withdrawn' as const },
  ])
    expect(standOf(soundWalk(), { ...reference, defects: [{ ...lamp, ...other }] }).known).toEqual(
      [],
    );
});

it('asks for a repair to be read, and for nothing else of it', () => {
  const repaired = { ...lamp, status: 'repaired' as const, outcomeWords: 'New bulb' };
  const standing = standOf(soundWalk(), { ...reference, defects: [repaired] });
  expect(standing.unread).toEqual([
    {
      defectId: lamp.id,
      unitId: truck.id,
      title: 'Tail lamp, left',
      words: 'New bulb',
    },
  ]);
  expect(standing.assessment.verdict.headline).toBe('stays');
});

it('judges by the card as it is now: a narrower one reaches a walk that has begun', () => {
  const key = `${truck.id}/truck.electrical.charging`;
  const rig = makeRig([truck]);
  const charging = rig.instances.find(
    ({ check }) => check.reading?.kind === 'voltage' && check.reading.required,
  );
  if (!charging) throw new Error(key);
  const walk = soundWalk((log) => {
    log.add('measured', measuredOf(charging.key, 14.2, 'V'));
    log.add('measured', measuredOf(charging.key, 14.2, 'V'));
  });
  const stateBy = (specification: Readonly<Record<string, number>>) =>
    standOf(walk, {
      ...reference,
      units: [{ ...truck, specification: { ...truck.specification, ...specification } }],
    }).assessment.byKey.get(charging.key)?.state;
  expect(stateBy({})).toBe('sound');
  expect(stateBy({ chargeVoltageHigh: 13.9 })).not.toBe('sound');
});

it('says why nothing can stand: not begun, a unit that is not known, the same unit twice', () => {
  expect(() => standOf(fold(walkId, []), reference)).toThrow(/before the inspection is begun/);
  expect(() => standOf(soundWalk(), { ...reference, units: [] })).toThrow(/is not known here/);
  const log = makeLog();
  log.add('begun', { ...begunOf(makeRig([truck])), unitIds: [truck.id, truck.id] });
  expect(() => standOf(fold(walkId, log.events), reference)).toThrow(/twice/);
});
