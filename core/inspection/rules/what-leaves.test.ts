import fc from 'fast-check';
import { type Circumstance } from '../../catalogue';
import { gradeSymptom, policiesFor } from '../../grading';
import { rigNames } from '../../testing';
import {
  allChecks,
  fault,
  JOBS,
  mayLeave,
  rigKnown,
  strictMoment,
  walked,
} from '../../testing/walked';

describe('7. the whole rig', () => {
  const towed = rigNames.flatMap((name) => {
    const rig = rigKnown(name);
    const ids = new Set(rig.units.flatMap(({ unit, towed: is }) => (is ? [unit.id] : [])));
    return rig.instances
      .filter(({ unit }) => ids.has(unit.id))
      .flatMap((instance) =>
        instance.check.symptoms
          .filter(({ harm, takes, scale }) => harm === 'stop' && !scale && takes.includes('road'))
          .map((symptom) => [name, instance, symptom.id] as const),
      );
  });

  it('stays as coupled with a towed unit that may not be towed, whatever the job says, also to the workshop', () => {
    expect(towed.length).toBeGreaterThan(100);
    fc.assert(
      fc.property(fc.constantFrom(...towed), strictMoment, ([name, { key }, symptom], moment) => {
        const rig = rigKnown(name);
        const found = walked(rig, new Map([[key, fault(symptom)]]), moment);
        expect(found.assessment.verdict.headline).toBe('stays');
        for (const needs of JOBS) expect(mayLeave(found, rig, needs, false)).toBe(false);
        expect(mayLeave(found, rig, [], true)).toBe(false);
      }),
      { numRuns: 200 },
    );
  });
});

describe('8. work that is driving', () => {
  const ROLLS_ON = ['brakes', 'steering', 'wheels', 'tyres', 'suspension', 'frame'];
  const cases = rigNames.flatMap((name) => {
    const rig = rigKnown(name);
    const driven = new Set(rig.units.flatMap(({ unit, towed: is }) => (is ? [] : [unit.id])));
    return rig.instances
      .filter(({ unit }) => driven.has(unit.id))
      .flatMap((instance) =>
        instance.check.symptoms
          .filter(
            ({ harm, takes, scale, system }) =>
              harm === 'stop' && !scale && takes.includes('road') && ROLLS_ON.includes(system),
          )
          .map((symptom) => [name, instance, symptom.id] as const),
      );
  });

  it('falls with brakes, steering, wheels and frame: nobody plows, spreads, shunts or tows with them', () => {
    fc.assert(
      fc.property(fc.constantFrom(...cases), strictMoment, ([name, { key }, symptom], moment) => {
        const rig = rigKnown(name);
        const { verdict } = walked(rig, new Map([[key, fault(symptom)]]), moment).assessment;
        for (const { capability, state } of verdict.capabilities)
          if (['road', 'tow', 'yard', 'plow', 'spread', 'passengers'].includes(capability))
            expect([capability, state]).toEqual([capability, 'blocked']);
      }),
      { numRuns: 200 },
    );
  });
});

describe('8. a safety device', () => {
  const capabilitiesOf = (
    check: string,
    symptom: string,
    circumstances: readonly Circumstance[],
  ) => {
    const of = allChecks.find(({ id }) => id === check)?.symptoms.find(({ id }) => id === symptom);
    if (!of) throw new RangeError(`${check} ${symptom}`);
    const situation = { circumstances: new Set(circumstances), alike: 1 };
    return gradeSymptom({ symptom: of, ...situation, policies: policiesFor(['two-step'], []) })
      .blocks;
  };

  it.each([
    ['a pad takes the lift', 'loader-crane.outriggers.legs', 'pads-missing', [], 'crane'],
    [
      'a child alarm takes passengers',
      'school-bus.child-check',
      'child-check-dead',
      [],
      'passengers',
    ],
    ['a reverse alarm takes work among people', 'yard-tractor.beacon', 'alarm-dead', [], 'yard'],
    [
      'a plow before the lamps takes the road in the dark',
      'plow.transport',
      'covers-lamps',
      ['dark'],
      'road',
    ],
  ] as const)('takes what it guards: %s', (_, check, symptom, circumstances, taken) => {
    expect(capabilitiesOf(check, symptom, circumstances)).toContain(taken);
  });

  it('that only covers lamps by day leaves the road', () => {
    expect(capabilitiesOf('plow.transport', 'covers-lamps', [])).toEqual([]);
  });
});
