import fc from 'fast-check';
import { catalogue } from '../content';
import { makeRig, trailer, truck } from '../testing/halvern';
import { composeRig } from '.';

describe('a truck alone', () => {
  const rig = makeRig([truck]);

  it('is as long as its module and tows nothing', () => {
    expect(rig.length).toBeCloseTo(8.4);
    expect(rig.towing).toBe(false);
    expect(rig.capabilities).toEqual(['road']);
    expect(rig.combinationAir).toBe(false);
  });

  it('asks each wheel for itself', () => {
    const walls = rig.instances.filter(({ check }) => check.id === 'truck.tyre.walls');
    expect(walls.map(({ place }) => place?.id).sort()).toEqual([
      'drive-left-inner',
      'drive-left-outer',
      'drive-right-inner',
      'drive-right-outer',
      'steer-left',
      'steer-right',
    ]);
  });

  it('does not ask for a coupling that is not in use', () => {
    expect(rig.instances.some(({ check }) => check.id === 'truck.coupling.pintle')).toBe(false);
  });
});

describe('a truck with a tag trailer', () => {
  const rig = makeRig();

  it('stands joint to joint', () => {
    expect(rig.length).toBeCloseTo(8.4 + 7.2);
    expect(rig.units.map(({ offset }) => offset)).toEqual([0, 8.4]);
    expect(rig.capabilities).toEqual(['road', 'tow']);
    expect(rig.combinationAir).toBe(true);
  });

  it('asks for the coupling of the truck too', () => {
    expect(rig.instances.some(({ check }) => check.id === 'truck.coupling.pintle')).toBe(true);
  });

  it('is seen from the side where the gap is no passage', () => {
    const rear = rig.zones.find(({ key }) => key === `${truck.id}/rear`);
    expect(Math.abs(rear?.y ?? 0)).toBeGreaterThan(rig.width / 2);
  });

  it('keeps its own rear end behind a trailer that ends it', () => {
    const rear = rig.zones.find(({ key }) => key === `${trailer.id}/rear`);
    expect(rear?.x).toBeGreaterThan(rig.length);
  });

  it('has keys that are all different and name their unit', () => {
    const keys = rig.instances.map(({ key }) => key);
    expect(new Set(keys).size).toBe(keys.length);
    for (const { key, unit } of rig.instances) expect(key.startsWith(`${unit.id}/`)).toBe(true);
  });
});

describe('what does not make a rig', () => {
  it.each([
    ['nothing', [], /at least one/],
    ['a trailer in front', [trailer], /cannot drive/],
    ['two trucks', [truck, { ...truck, id: 'b', number: '218' }], /218 is driven/],
    ['the same unit twice', [truck, truck], /twice/],
    ['an unknown module', [{ ...truck, moduleId: 'airship' }], /no equipment module/],
    [
      'a trailer on a trailer without a hitch',
      [truck, trailer, { ...trailer, id: 'c' }],
      /nothing to couple to/,
    ],
  ])('%s is refused with the reason', (_, units, words) => {
    expect(() => makeRig(units)).toThrow(words);
    expect(() => makeRig(units)).toThrow(RangeError);
  });

  it('refuses a joint of another sort', () => {
    const [first, second] = catalogue.modules;
    const ball = { ...second, joints: { front: { sort: 'ball' as const, x: 0 } } };
    const request = {
      units: [truck, trailer],
      phase: 'pre-trip' as const,
      circumstances: [],
      catalogue: { version: 'x', modules: [first, ball] },
    };
    expect(() => composeRig(request)).toThrow(/does not fit the pintle/);
  });
});

it('asks a subset of the same checks in every phase and circumstance, none twice', () => {
  const known = new Set(catalogue.modules.flatMap(({ checks }) => checks.map(({ id }) => id)));
  fc.assert(
    fc.property(
      fc.constantFrom('pre-trip' as const, 'post-trip' as const),
      fc.subarray(['dark', 'wet', 'freezing'] as const),
      fc.boolean(),
      (phase, circumstances, towing) => {
        const rig = makeRig(towing ? [truck, trailer] : [truck], phase, circumstances);
        const keys = rig.instances.map(({ key }) => key);
        expect(new Set(keys).size).toBe(keys.length);
        for (const { check, zoneKey } of rig.instances) {
          expect(known.has(check.id)).toBe(true);
          expect(check.phases).toContain(phase);
          expect(rig.zones.some(({ key }) => key === zoneKey)).toBe(true);
        }
      },
    ),
  );
});
