import { gradeSymptom, policies } from '../../grading';
import { allChecks, fault, rigKnown, walked } from '../../testing/walked';

describe('2. a fix', () => {
  it('mends only the symptom that it belongs to, never another one of the same check', () => {
    for (const { id, symptoms } of allChecks)
      for (const symptom of symptoms)
        for (const policy of policies)
          for (const fixed of [
            'Looks fine now',
            ...symptoms.filter((each) => each !== symptom).flatMap(({ fixes = [] }) => fixes),
          ]) {
            if (symptom.fixes?.includes(fixed)) continue;
            const request = {
              symptom,
              alike: 1,
              circumstances: new Set<never>(),
              policies: [policy],
            };
            const before = gradeSymptom(request);
            const after = gradeSymptom({ ...request, fixed });
            if (after.grade !== before.grade || after.blocks.join() !== before.blocks.join())
              throw new Error(`“${fixed}” mends ${symptom.id} of ${id}`);
          }
  });

  it('does not end the matter of a wheel nut, a chain that is gone or a lens that is broken', () => {
    const withFix = allChecks.flatMap(({ id, symptoms }) =>
      symptoms.filter(({ fixes }) => fixes).map((each) => `${id} ${each.id}`),
    );
    expect(
      withFix.filter((each) =>
        /wheel\.nuts|chain-missing|coupling.*chain-worn|lens-broken/.test(each),
      ),
    ).toEqual([]);
    expect(withFix).toContain('tag-trailer.coupling.chain chain-off');
  });

  it('counts for nothing beside others where it does not fit', () => {
    const rig = rigKnown('truck');
    const stops = rig.instances.filter(({ check }) => check.id === 'truck.lamp.stop');
    const both = (fixed: string | undefined) =>
      walked(rig, new Map(stops.map(({ key }) => [key, fault('lamp-out', { fixed })])), {
        policy: 'two-step',
      }).assessment.verdict.headline;
    expect(both(undefined)).toBe('stays');
    expect(both('Wipe the lens')).toBe('stays');
    expect(both('Swap the bulb')).toBe('rolls');
  });
});
