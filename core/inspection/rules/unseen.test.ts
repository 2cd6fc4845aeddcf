import fc from 'fast-check';
import { gradeSymptom, policies, worstSymptom } from '../../grading';
import {
  allChecks,
  anyCheck,
  anyMoment,
  expectNoMilder,
  fault,
  JOBS,
  notLooked,
  rank,
  rigKnown,
  subsets,
  walked,
} from '../../testing/walked';

describe('1. what was not looked at', () => {
  it('is graded no milder than any symptom of its check, in every circumstance, policy and job', () => {
    for (const { id, symptoms } of allChecks)
      for (const circumstances of subsets)
        for (const policy of policies)
          for (const needs of JOBS) {
            const situation = {
              circumstances: new Set(circumstances),
              needed: new Set(needs),
              policies: [policy],
            };
            const worst = worstSymptom(symptoms, situation);
            for (const symptom of symptoms) {
              const one = gradeSymptom({ symptom, alike: 1, ...situation });
              if (rank(worst.grade) >= rank(one.grade)) {
                if (one.blocks.every((each) => worst.blocks.includes(each))) continue;
              }
              throw new Error(`${id} ${symptom.id} in ${circumstances.join()} under ${policy.id}`);
            }
          }
  });

  it('weighs in the verdict no milder than any one thing that could have been found there', () => {
    fc.assert(
      fc.property(anyCheck, anyMoment, ([name, { key, check }], moment) => {
        const rig = rigKnown(name);
        const unseen = walked(rig, new Map([[key, notLooked]]), moment);
        for (const { id } of check.symptoms)
          expectNoMilder(
            rig,
            unseen,
            walked(rig, new Map([[key, fault(id)]]), moment),
            `${key} ${id}`,
          );
      }),
      { numRuns: 300 },
    );
  });

  it('counts: two places unseen weigh as two that are broken', () => {
    fc.assert(
      fc.property(anyCheck, anyMoment, fc.nat(9), ([name, instance], moment, pick) => {
        const rig = rigKnown(name);
        const { check, unit, key } = instance;
        const others = rig.instances.filter(
          (each) => each.check.id === check.id && each.unit.id === unit.id && each.key !== key,
        );
        // Another place of the same check, or another check of the same unit, where it stands alone.
        const unitMates = rig.instances.filter(
          (each) => each.unit.id === unit.id && each.key !== key,
        );
        const mates = others.length > 0 ? others : unitMates;
        const other = mates[pick % mates.length];
        const unseen = walked(
          rig,
          new Map([
            [key, notLooked],
            [other.key, notLooked],
          ]),
          moment,
        );
        for (const { id } of check.symptoms) {
          const otherId = other.check.symptoms.find((each) => each.id === id)?.id;
          const found = new Map([
            [key, fault(id)],
            [other.key, fault(otherId ?? other.check.symptoms[0].id)],
          ]);
          expectNoMilder(rig, unseen, walked(rig, found, moment), `${key} and ${other.key} ${id}`);
        }
      }),
      { numRuns: 200 },
    );
  });
});
