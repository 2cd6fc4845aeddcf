import fc from 'fast-check';
import { CAPABILITIES } from '../catalogue';
import {
  affectsSafetyPolicy,
  nilDefectPolicy,
  policies,
  twoStepPolicy,
  type Policy,
  KnownDefect,
} from '../grading';
import {
  faultOf,
  instanceOf,
  makeId,
  makeLog,
  makeRig,
  signature,
  startsAt,
  trailer,
  truck,
  walkId,
  walkSound,
} from '../testing/halvern';
import { assess, fold, policiesOfWalk, type AnyEvent } from '.';

const rig = makeRig();
const DAY = 86_400_000;

function look(
  events: readonly AnyEvent[],
  more: { known?: readonly KnownDefect[]; policies?: readonly Policy[] } = {},
) {
  return assess({
    inspection: fold(walkId, events),
    rig,
    policiesOf: () => more.policies ?? [twoStepPolicy],
    known: more.known ?? [],
    unread: [],
  });
}

const stopLamp = (side: 'left' | 'right') => instanceOf(rig, `truck.lamp.stop/rear-lamps-${side}`);
const open = (more: Partial<KnownDefect>): KnownDefect => ({
  id: makeId(700),
  key: stopLamp('left').key,
  unitId: truck.id,
  title: 'Stop lamp',
  grade: 'minor',
  blocks: [],
  words: 'Stop lamp out',
  symptomId: 'lamp-out',
  system: 'lamps',
  reportedAt: startsAt - DAY,
  ...more,
});

describe('faults counted together', () => {
  it('a stop lamp open since yesterday and the other one out today are both', () => {
    const log = walkSound(rig);
    log.add('faulted', faultOf(stopLamp('right'), 'lamp-out'));
    expect(look(log.events).byKey.get(stopLamp('right').key)?.state).toBe('minor');
    const both = look(log.events, { known: [open({})] });
    expect(both.byKey.get(stopLamp('right').key)?.graded?.chain.at(-1)?.code).toBe('many');
    expect(both.verdict.headline).toBe('stays');
  });

  it('the same lamp found again is one, not two', () => {
    const log = walkSound(rig);
    log.add('faulted', faultOf(stopLamp('left'), 'lamp-out', { defectId: makeId(700) }));
    expect(look(log.events, { known: [open({})] }).byKey.get(stopLamp('left').key)?.state).toBe(
      'minor',
    );
  });

  it('low coolant and a weeping hose are worse together', () => {
    const level = instanceOf(rig, 'truck.engine.coolant-level');
    const leaks = instanceOf(rig, 'truck.engine.leaks');
    const log = walkSound(rig);
    log.add('faulted', faultOf(level, 'coolant-low'));
    expect(look(log.events).verdict.headline).toBe('limits');
    log.add('faulted', faultOf(leaks, 'block-coolant', { stepId: 'class-1' }));
    const seen = look(log.events);
    expect(seen.verdict.headline).toBe('stays');
    for (const { key } of [level, leaks])
      expect(seen.byKey.get(key)?.graded?.chain.at(-1)).toMatchObject({ code: 'combination' });
  });

  it('topped up on the spot, the level is no part of it any more', () => {
    const log = walkSound(rig);
    log.add(
      'faulted',
      faultOf(instanceOf(rig, 'truck.engine.coolant-level'), 'coolant-low', {
        fixed: 'Top up when cold',
      }),
    );
    log.add(
      'faulted',
      faultOf(instanceOf(rig, 'truck.engine.leaks'), 'block-coolant', { stepId: 'class-1' }),
    );
    expect(look(log.events).verdict.headline).toBe('rolls');
  });

  it('three small ones open and a fourth found add up', () => {
    const hoses = ['steer-left', 'steer-right', 'drive-left', 'drive-right'].map((place) =>
      instanceOf(rig, `truck.brake.hose/${place}`),
    );
    const known = hoses
      .slice(1)
      .map((hose, index) =>
        open({ id: makeId(710 + index), key: hose.key, symptomId: 'hose-rubs', system: 'brakes' }),
      );
    const log = walkSound(rig);
    log.add('faulted', faultOf(hoses[0], 'hose-rubs'));
    expect(look(log.events, { known: known.slice(1) }).verdict.headline).toBe('limits');
    expect(look(log.events, { known }).verdict.headline).toBe('stays');
  });
});

describe('deadlines', () => {
  it('a minor defect past its day blocks, and says so', () => {
    const seen = look(walkSound(rig).events, {
      known: [open({ reportedAt: startsAt - 15 * DAY })],
    });
    expect(seen.verdict.headline).toBe('stays');
    expect(seen.findings[0].chain.map(({ code }) => code)).toEqual(['known-open', 'overdue']);
  });

  it('put off to a day to come it waits, past that day it does not', () => {
    const put = (until: string) =>
      look(walkSound(rig).events, { known: [open({ reportedAt: startsAt - 40 * DAY, until })] })
        .verdict.headline;
    expect(put('2026-11-25')).toBe('limits');
    expect(put('2026-11-24')).toBe('stays');
  });

  it('the condition of an open defect goes on holding', () => {
    const seen = look(walkSound(rig).events, {
      known: [open({ condition: 'To the nearest repair.', bars: 'job', mostKmh: 60 })],
    });
    expect(seen.verdict).toMatchObject({ conditions: ['To the nearest repair.'], mostKmh: 60 });
  });
});

describe('the policies of a walk', () => {
  const begun = { policyId: 'two-step', policies: { [trailer.id]: 'nil-defect' } };

  it('each unit has its own', () => {
    const of = policiesOfWalk(begun, rig, undefined);
    expect(of(truck.id)).toEqual([twoStepPolicy]);
    expect(of(trailer.id)).toEqual([nilDefectPolicy]);
  });

  it('the depot’s counts beside it when the two differ', () => {
    const of = policiesOfWalk(begun, rig, { usual: 'affects-safety', byClass: {} });
    expect(of(truck.id)).toEqual([twoStepPolicy, affectsSafetyPolicy]);
  });

  it('of a stranger are all of them', () => {
    expect(policiesOfWalk(begun, rig, undefined)('stranger')).toEqual(policies);
  });
});

describe('overrides', () => {
  const lamp = instanceOf(rig, 'truck.lamp.stop/rear-lamps-left');
  const override = (about: string) => ({ about, words: 'Follows the other truck', signature });

  it('take a condition off and stay in the record', () => {
    const log = walkSound(rig);
    log.add('faulted', faultOf(lamp, 'lamp-out'));
    log.add('signed', { signature, headline: 'limits' });
    expect(look(log.events).verdict.conditions).toHaveLength(1);
    log.add('overridden', override(lamp.key));
    const seen = look(log.events);
    expect(seen.verdict).toMatchObject({ conditions: [], headline: 'limits' });
    expect(seen.findings[0].lifted).toMatchObject({ words: 'Follows the other truck' });
  });

  it('never touch what is major: the verdict is the same with every override there could be', () => {
    fc.assert(
      fc.property(
        fc.subarray([...rig.instances], { minLength: 1, maxLength: 5 }),
        fc.constantFrom(...policies),
        (instances, policy) => {
          const log = walkSound(rig);
          for (const instance of instances)
            log.add('faulted', faultOf(instance, instance.check.symptoms[0].id));
          log.add('signed', { signature, headline: 'stays' });
          const before = look(log.events, { policies: [policy] });
          for (const { about } of before.findings) log.add('overridden', override(about));
          const after = look(log.events, { policies: [policy] });
          expect(after.verdict.headline).toBe(before.verdict.headline);
          for (const capability of CAPABILITIES) {
            const of = (seen: typeof before) =>
              seen.verdict.capabilities.find((each) => each.capability === capability)?.state;
            expect(of(after)).toBe(of(before));
          }
          for (const finding of after.findings)
            expect(finding.lifted !== undefined).toBe(finding.grade === 'minor');
        },
      ),
      { numRuns: 25 },
    );
  });
});

describe('adding a fault', () => {
  const HEADLINES = ['rolls', 'limits', 'stays'];

  it('never improves what the rig may do, with any policy, count or combination', () => {
    const faults = rig.instances.flatMap((instance) =>
      instance.check.symptoms.map((symptom) => ({ instance, symptom: symptom.id })),
    );
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom(...faults), { maxLength: 6 }),
        fc.constantFrom(...faults),
        fc.constantFrom(...policies),
        (before, more, policy) => {
          const others = before.filter(({ instance }) => instance !== more.instance);
          const headline = (list: typeof faults) => {
            const log = walkSound(rig);
            for (const { instance, symptom } of list)
              log.add('faulted', faultOf(instance, symptom));
            return HEADLINES.indexOf(look(log.events, { policies: [policy] }).verdict.headline);
          };
          expect(headline([...others, more])).toBeGreaterThanOrEqual(headline(others));
        },
      ),
      { numRuns: 40 },
    );
  });
});

describe('what follows a signed walk', () => {
  it('is folded: assignment, work, countersignature, sign-out and return', () => {
    const log = makeLog();
    const defectId = makeId(900);
    log.add('assigned', { defectId, to: makeId(901) });
    log.add('worked', { defectId, words: 'Hose renewed', minutes: 40, parts: [], photos: [] });
    log.add('countersigned', { defectId, signature });
    log.add('released', { words: 'Rolls as a tender', signature });
    log.add('signed-out', { purpose: 'job', needs: ['tow'], conditions: [] });
    log.add('signed-out', { purpose: 'workshop', needs: [], conditions: [] });
    log.add('returned', {});
    const seen = fold(walkId, log.events);
    expect(seen.assignments).toHaveLength(1);
    expect(seen.work[0].minutes).toBe(40);
    expect(seen.countersignatures).toHaveLength(1);
    expect(seen.released?.words).toBe('Rolls as a tender');
    // Only the first sign-out counts.
    expect(seen.signedOut?.purpose).toBe('job');
    expect(seen.returned).toBeDefined();
  });
});
