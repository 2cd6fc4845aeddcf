import fc from 'fast-check';
import { faultOf, measuredOf, rigNames } from '../../testing';
import { anyMoment, expectNoMilder, fault, rigKnown, walked, type Say } from '../../testing/walked';

describe('3. a required reading', () => {
  const measured = rigNames.flatMap((name) =>
    rigKnown(name)
      .instances.filter(({ check }) => check.reading?.required && check.reading.bands.length > 0)
      .map((instance) => [name, instance] as const),
  );

  it('is asked beside a mild fault, which until then weighs as the worst that the number could say', () => {
    expect(measured.length).toBeGreaterThan(50);
    fc.assert(
      fc.property(fc.constantFrom(...measured), anyMoment, ([name, { key, check }], moment) => {
        const rig = rigKnown(name);
        const bands = check.reading?.bands ?? [];
        for (const { id } of check.symptoms) {
          const said = walked(rig, new Map([[key, fault(id)]]), moment);
          const state = said.assessment.byKey.get(key);
          if (state?.asksReading) {
            expect(said.assessment.missing.map((each) => each.key)).toContain(key);
            for (const { symptom } of bands)
              expectNoMilder(
                rig,
                said,
                walked(rig, new Map([[key, fault(symptom)]]), moment),
                `${key} ${id}, not ${symptom}`,
              );
          } else expect(state?.state).toBe('major');
        }
      }),
      { numRuns: 150 },
    );
  });

  it('given beside it, the fault weighs as what it is', () => {
    const rig = rigKnown('truck');
    const tread = rig.instances.find(({ check }) => check.id === 'truck.tyre.tread-steer');
    if (!tread) throw new Error('no tread');
    const mild = tread.check.symptoms.find(({ harm }) => harm !== 'stop');
    const say: Say = (log, instance) => {
      log.add('faulted', faultOf(instance, mild?.id ?? ''));
      log.add('measured', measuredOf(instance.key, 9, '32nds'));
    };
    const { assessment } = walked(rig, new Map([[tread.key, say]]), { policy: 'two-step' });
    expect(assessment.missing).toEqual([]);
    expect(assessment.byKey.get(tread.key)).not.toHaveProperty('asksReading');
    expect(assessment.byKey.get(tread.key)?.state).not.toBe('major');
  });
});
