import type { Circumstance } from '../catalogue';
import { twoStepPolicy } from '../grading';
import type { Rig } from '../rig';
import {
  answerSound,
  begunOf,
  faultOf,
  instanceOf,
  makeId,
  makeLog,
  makeRig,
  measuredOf,
  trailer,
  truck,
  walkId,
  walkSound,
} from '../testing/halvern';
import type { KnownDefect, UnreadRepair } from '../grading';
import { assess, fold, type AnyEvent } from '.';

const rig = makeRig();

function look(
  events: readonly AnyEvent[],
  more: {
    rig?: Rig;
    known?: KnownDefect[];
    unread?: UnreadRepair[];
  } = {},
) {
  return assess({
    inspection: fold(walkId, events),
    rig: more.rig ?? rig,
    policiesOf: () => [twoStepPolicy],
    known: more.known ?? [],
    unread: more.unread ?? [],
  });
}

const stateOf = (events: readonly AnyEvent[], ending: string) =>
  look(events).byKey.get(instanceOf(rig, ending).key)?.state;

describe('a walk with nothing wrong', () => {
  const seen = look(walkSound(rig).events);

  it('is complete and rolls', () => {
    expect(seen.missing).toEqual([]);
    expect(seen.answered).toBe(seen.total);
    expect(seen.findings).toEqual([]);
    expect(seen.verdict.headline).toBe('rolls');
  });
});

describe('not looked is not sound', () => {
  it('a walk that was only begun does not roll', () => {
    const log = makeLog();
    log.add('begun', begunOf(rig));
    const seen = look(log.events);
    expect(seen.answered).toBe(0);
    expect(seen.verdict.headline).toBe('stays');
    expect(seen.findings[0].chain[0].code).toBe('unanswered');
  });

  it.each(rig.instances.map(({ key, check, place }) => [`${check.id} ${place?.id ?? ''}`, key]))(
    'leaving out %s does not pass for sound',
    (_, key) => {
      const log = makeLog();
      log.add('begun', begunOf(rig));
      for (const instance of rig.instances) if (instance.key !== key) answerSound(log, instance);
      const seen = look(log.events);
      expect(seen.missing.map((each) => each.key)).toEqual([key]);
      const [gap] = seen.findings;
      expect(gap).toMatchObject({ kind: 'gap', about: key });
      if (gap.grade === 'major') expect(seen.verdict.headline).not.toBe('rolls');
    },
  );

  it('could not look weighs as the worst it could hide, and keeps the reason', () => {
    const log = walkSound(rig);
    const { key } = instanceOf(rig, 'wheel.nuts/steer-left');
    log.add('answered', { key, outcome: 'not-looked', reason: 'Snow on it' });
    const seen = look(log.events);
    expect(seen.missing).toEqual([]);
    expect(seen.byKey.get(key)?.state).toBe('not-looked');
    expect(seen.verdict.headline).toBe('stays');
    expect(seen.findings[0].chain[0]).toEqual({ code: 'not-looked', words: 'Snow on it' });
  });

  it('a required reading cannot be waved through', () => {
    const log = walkSound(rig);
    const { key } = instanceOf(rig, 'tyre.tread-steer/steer-left');
    log.add('answered', { key, outcome: 'cleared' });
    log.add('answered', { key, outcome: 'sound' });
    expect(stateOf(log.events, 'tyre.tread-steer/steer-left')).toBe('unanswered');
  });
});

describe('readings', () => {
  it('out of a limit are graded even when no fault was written', () => {
    const log = walkSound(rig);
    const { key } = instanceOf(rig, 'tyre.tread-steer/steer-left');
    log.add('answered', { key, outcome: 'cleared' });
    log.add('measured', measuredOf(key, 2, '32nds'));
    const seen = look(log.events);
    expect(seen.byKey.get(key)?.state).toBe('major');
    expect(seen.verdict.headline).toBe('stays');
    expect(seen.findings[0].chain.map(({ code }) => code)).toEqual(['symptom', 'limit']);
  });

  it('too close to a limit ask again and hold the walk open', () => {
    const log = walkSound(rig);
    const { key } = instanceOf(rig, 'air.leak-released');
    log.add('answered', { key, outcome: 'cleared' });
    log.add('measured', measuredOf(key, 2.9, 'psi/min'));
    expect(look(log.events).byKey.get(key)?.state).toBe('again');
    expect(look(log.events).missing).toHaveLength(1);
    log.add('measured', measuredOf(key, 2.8, 'psi/min'));
    expect(look(log.events).byKey.get(key)?.state).toBe('sound');
  });

  it('cannot be talked down by a milder fault', () => {
    const log = walkSound(rig);
    const instance = instanceOf(rig, 'tyre.pressure-steer/steer-left');
    log.add('answered', { key: instance.key, outcome: 'cleared' });
    log.add('measured', measuredOf(instance.key, 40, 'psi'));
    log.add('faulted', faultOf(instance, 'pressure-high'));
    expect(look(log.events).byKey.get(instance.key)?.state).toBe('major');
  });
});

describe('faults', () => {
  const withFault = (ending: string, symptom: string, circumstances: Circumstance[] = []) => {
    const log = walkSound(rig, circumstances);
    log.add('faulted', faultOf(instanceOf(rig, ending), symptom));
    return look(log.events);
  };

  it('on the trailer leave the truck its road', () => {
    const { verdict } = withFault('tag-trailer.coupling.eye', 'eye-crack');
    expect(verdict).toMatchObject({ headline: 'stays', uncoupled: 'limits' });
    expect(verdict.capabilities.map(({ state }) => state)).toEqual(['clear', 'blocked']);
  });

  it('weigh more in the dark, because the walk was begun in it', () => {
    expect(withFault('truck.lamp.head/headlamp-left', 'lamp-out').verdict.headline).toBe('limits');
    expect(withFault('truck.lamp.head/headlamp-left', 'lamp-out', ['dark']).verdict.headline).toBe(
      'stays',
    );
  });

  it('of one sort are counted over the unit', () => {
    const log = walkSound(rig);
    for (const side of ['left', 'right'])
      log.add(
        'faulted',
        faultOf(instanceOf(rig, `truck.lamp.stop/rear-lamps-${side}`), 'lamp-out'),
      );
    expect(stateOf(log.events, 'truck.lamp.stop/rear-lamps-left')).toBe('major');
  });

  it('that this catalogue does not know count as the worst the check can mean', () => {
    expect(withFault('truck.cab.belt', 'belt-on-fire').verdict.headline).toBe('stays');
  });

  it('put right where nothing may be put right stay what they are', () => {
    const log = walkSound(rig);
    const spring = instanceOf(rig, 'truck.suspension.spring/steer-left');
    log.add('faulted', faultOf(spring, 'leaf-broken', { fixed: 'Hammered it back' }));
    expect(look(log.events).byKey.get(spring.key)?.state).toBe('minor');
  });

  it('minor ones in one system add up to a major', () => {
    const log = walkSound(rig);
    const brakes = ['steer-left', 'steer-right', 'drive-left', 'drive-right'].map((place) =>
      instanceOf(rig, `truck.brake.hose/${place}`),
    );
    for (const instance of brakes.slice(0, 3)) log.add('faulted', faultOf(instance, 'hose-rubs'));
    expect(look(log.events).verdict.headline).toBe('limits');
    log.add('faulted', faultOf(brakes[3], 'hose-rubs'));
    const seen = look(log.events);
    expect(seen.verdict.headline).toBe('stays');
    expect(seen.findings[0].chain.at(-1)).toEqual({ code: 'minors-add-up', words: '4' });
  });
});

describe('a sequence that takes the vehicle apart', () => {
  const towed = makeRig([truck], 'towed-away');
  const [tow] = towed.instances;

  it('is one check, which leaves a symptom of its own that stops', () => {
    expect(towed.instances).toHaveLength(1);
    const left = tow.check.symptoms.find(({ id }) => id === tow.check.leaves);
    expect(left).toMatchObject({ harm: 'stop', takes: expect.arrayContaining(['road']) });
  });

  it.each([
    ['nobody has begun it', undefined],
    ['somebody calls it sound', { outcome: 'sound' as const }],
    ['it could not be done', { outcome: 'not-looked' as const, reason: 'No bar here' }],
  ])('does not roll where %s', (_, answer) => {
    const log = makeLog();
    log.add('begun', begunOf(towed));
    if (answer) log.add('answered', { key: tow.key, ...answer });
    expect(look(log.events, { rig: towed }).verdict.headline).toBe('stays');
  });

  it('walked to its end says that it does not roll, and is complete', () => {
    const log = makeLog();
    log.add('begun', begunOf(towed));
    log.add('faulted', faultOf(tow, tow.check.leaves ?? ''));
    const seen = look(log.events, { rig: towed });
    expect(seen.missing).toEqual([]);
    expect(seen.verdict.headline).toBe('stays');
  });
});

describe('what earlier walks left', () => {
  const hose = instanceOf(rig, 'truck.brake.hose/steer-right');
  const known: KnownDefect = {
    id: makeId(500),
    key: hose.key,
    unitId: truck.id,
    title: 'Feel along the brake hose',
    grade: 'major',
    blocks: ['road'],
    words: 'Worn to the fabric',
  };
  const unread: UnreadRepair = {
    defectId: makeId(501),
    unitId: trailer.id,
    title: 'Shake the ramp',
    words: 'Hinge welded by the workshop',
  };

  it('an open major defect blocks although the driver called it sound', () => {
    const seen = look(walkSound(rig).events, { known: [known] });
    expect(seen.verdict.headline).toBe('stays');
    expect(seen.findings[0]).toMatchObject({ kind: 'known-open', about: known.id });
  });

  it('found again and worse, only the present one counts', () => {
    const log = walkSound(rig);
    log.add('faulted', faultOf(hose, 'hose-leak', { defectId: known.id }));
    const seen = look(log.events, { known: [{ ...known, grade: 'minor', blocks: [] }] });
    expect(seen.findings).toHaveLength(1);
    expect(seen.findings[0]).toMatchObject({ kind: 'fault', grade: 'major' });
  });

  it('found again and milder, the earlier grade still stands', () => {
    const log = walkSound(rig);
    log.add('faulted', faultOf(hose, 'hose-rubs', { defectId: known.id }));
    expect(look(log.events, { known: [known] }).verdict.headline).toBe('stays');
  });

  it('a repair that nobody read blocks until it is acknowledged', () => {
    const log = walkSound(rig);
    const before = look(log.events, { unread: [unread] });
    expect(before.verdict.capabilities.map(({ state }) => state)).toEqual(['clear', 'blocked']);
    log.add('acknowledged', { defectId: unread.defectId });
    expect(look(log.events, { unread: [unread] }).verdict.headline).toBe('rolls');
  });
});
