import fc from 'fast-check';
import { findObjections } from '../../grading';
import { rigNames } from '../../testing';
import { allChecks, anyMoment, fault, rigKnown, walked } from '../../testing/walked';
import { circumstancesOf } from '..';

describe('9. before leaving', () => {
  const held = rigNames.flatMap((name) =>
    rigKnown(name).instances.flatMap((instance) =>
      instance.check.symptoms
        .filter(({ condition }) => condition !== undefined && /before leaving/i.test(condition))
        .map((symptom) => [name, instance, symptom] as const),
    ),
  );

  it('is said by content wherever its words say it', () => {
    const saying = allChecks.flatMap(({ id, symptoms }) =>
      symptoms
        .filter(({ condition = '' }) =>
          /before (leaving|driving off|starting|it moves)/i.test(condition),
        )
        .map((each) => ({ at: `${id} ${each.id}`, bars: each.bars })),
    );
    expect(saying.length).toBeGreaterThan(30);
    for (const each of saying) expect(each).toMatchObject({ bars: 'before-leaving' });
  });

  it('bars the sign-out until the driver says that it is done, also to the workshop', () => {
    fc.assert(
      fc.property(fc.constantFrom(...held), anyMoment, ([name, { key }, symptom], moment) => {
        const rig = rigKnown(name);
        const found = walked(rig, new Map([[key, fault(symptom.id)]]), moment);
        const asks = (met: ReadonlySet<string>, toWorkshop: boolean) =>
          findObjections({
            verdict: found.assessment.verdict,
            findings: found.assessment.findings,
            needs: [],
            circumstances: circumstancesOf(found.inspection, rig),
            officerReleases: false,
            released: false,
            toWorkshop,
            met,
          });
        for (const toWorkshop of [false, true]) {
          const before = asks(new Set(), toWorkshop);
          expect(before.length).toBeGreaterThan(0);
          if (found.assessment.byKey.get(key)?.state === 'minor')
            expect(before.map(({ code }) => code)).toContain('before-leaving');
          const after = asks(new Set([key]), toWorkshop).map(({ code }) => code);
          expect(after).not.toContain('before-leaving');
        }
      }),
      { numRuns: 150 },
    );
  });
});
