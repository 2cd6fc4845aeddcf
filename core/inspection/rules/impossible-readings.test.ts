import fc from 'fast-check';
import { policiesFor } from '../../grading';
import { UNITS, type UnitName } from '../../quantity';
import { begunOf, makeLog, rigNames, rigOf, walkId } from '../../testing';
import { assess, fold } from '..';

describe('6. what cannot be', () => {
  const units = Object.keys(UNITS) as UnitName[];
  const readings = rigNames.flatMap((name) =>
    rigOf(name)
      .instances.filter(({ check }) => check.reading)
      .map((instance) => [name, instance] as const),
  );

  it('is asked again and never called sound: another kind of unit, an absurd number, deeper than new', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...readings),
        fc.oneof(fc.double(), fc.double({ min: -1e3, max: 1e3 }), fc.constantFrom(1e308, NaN, -1)),
        fc.constantFrom(...units),
        ([name, { key, check, unit }], value, typedIn) => {
          const rig = rigOf(name);
          const { reading } = check;
          if (!reading) return;
          const log = makeLog();
          log.add('begun', begunOf(rig));
          log.add('measured', {
            key,
            value,
            unit: typedIn,
            typed: String(value),
            instrument: 'gauge',
          });
          const { byKey, missing } = assess({
            inspection: fold(walkId, log.events),
            rig,
            policiesOf: () => policiesFor(['two-step'], []),
            known: [],
            unread: [],
          });
          const [least, most, bounds] = reading.plausible;
          const si = (number: number) => number * UNITS[bounds].scale + (UNITS[bounds].shift ?? 0);
          const asNew = reading.neverAbove ? unit.specification[reading.neverAbove] : undefined;
          const kind = UNITS[typedIn].kind;
          const lengths = ['length', 'depth', 'distance'];
          const can =
            value >= si(least) &&
            value <= si(most) &&
            (asNew === undefined || value <= asNew * 1.03) &&
            (kind === reading.kind || (lengths.includes(kind) && lengths.includes(reading.kind)));
          if (can) return;
          expect(byKey.get(key)?.state).toBe('again');
          expect(missing.map((each) => each.key)).toContain(key);
        },
      ),
      { numRuns: 1000 },
    );
  });
});
