import fc from 'fast-check';
import type { CheckInstance, Rig } from '../rig';
import { instanceOf, rigNames, rigOf } from '../testing';
import { requirementOf, wantsRunning } from '../vehicle';
import type { InstanceAssessment, InstanceState } from '../inspection';
import { barsMovement, findBarred } from '.';

const always = () => true;

/** All of a rig still to be looked at, but for what is said here. */
function seen(rig: Rig, said: Readonly<Record<string, InstanceState>>): InstanceAssessment[] {
  const stateOf = new Map(
    Object.entries(said).map(([ending, state]) => [instanceOf(rig, ending).key, state]),
  );
  return rig.instances.map((instance) => ({
    instance,
    state: stateOf.get(instance.key) ?? 'unanswered',
  }));
}

const idsBarred = (rig: Rig, said: Readonly<Record<string, InstanceState>>, couldStop = always) =>
  [...findBarred(seen(rig, said), couldStop).values()].length === 0
    ? []
    : rig.instances
        .filter(({ key }) => findBarred(seen(rig, said), couldStop).has(key))
        .map(({ check }) => check.id);

describe('a part that nobody could look at', () => {
  const plow = rigOf('plow truck');

  it('keeps still what hangs on it, as a fault would', () => {
    const barred = idsBarred(plow, { 'plow.pins': 'not-looked' });
    expect(barred).toEqual(expect.arrayContaining(['plow.float', 'plow.cycle']));
    expect(barred.filter((id) => !id.startsWith('plow.'))).toEqual([]);
  });

  it('keeps a vehicle from rolling on brakes that nobody has seen', () => {
    const barred = idsBarred(rigOf('truck'), { 'truck.brake.hose/steer-left': 'not-looked' });
    expect(barred).toEqual(expect.arrayContaining(['truck.brake.parking', 'truck.brake.service']));
  });

  it('lets the engine run, which lifts nobody; a belt that is torn does not', () => {
    const truck = rigOf('truck');
    expect(idsBarred(truck, { 'truck.engine.belts': 'not-looked' })).toEqual([]);
    expect(idsBarred(truck, { 'truck.engine.belts': 'major' })).toContain('truck.engine.start');
  });

  it('bars nothing where the worst that it could show would not stop', () => {
    expect(idsBarred(plow, { 'plow.pins': 'not-looked' }, () => false)).toEqual([]);
  });

  it('is not what was left out because of a fault: that has its reason, and passes it on to nobody', () => {
    const said = { 'plow.pins': 'major', 'plow.cycle': 'not-looked' } as const;
    const because = [...findBarred(seen(plow, said), always).values()];
    expect(because.length).toBeGreaterThan(1);
    for (const { instance } of because) expect(instance.check.id).toBe('plow.pins');
  });
});

it('does not take a fault that only lacks its number for one that stops', () => {
  const truck = rigOf('truck');
  const states = seen(truck, { 'truck.tyre.tread-steer/steer-left': 'major' });
  expect(findBarred(states, always).size).toBeGreaterThan(0);
  const asked = states.map((each) =>
    each.state === 'major' ? { ...each, asksReading: true as const } : each,
  );
  expect(findBarred(asked, always).size).toBe(0);
});

it('does not have a part raised or opened to be looked at, once what moves it has failed', () => {
  const instances = [...rigOf('plow truck').instances, ...rigOf('plow truck', 'weekly').instances];
  const barred = idsBarred(
    { ...rigOf('plow truck'), instances },
    { 'dump.hydraulics.cylinders': 'major' },
  );
  expect(barred).toContain('dump.hinge.grease');
  const lift = rigOf('tractor, semi-trailer, liftgate');
  expect(idsBarred(lift, { 'rail-lift.chains': 'major' })).toContain('rail-lift.platform.surface');
});

it('moves nothing of a unit by engine that a fault there holds, over all rigs and all pairs of checks', () => {
  const pick = fc.constantFrom(...rigNames).chain((name) => {
    const { instances } = rigOf(name);
    return fc.tuple(fc.constantFrom(...instances), fc.constantFrom(...instances));
  });
  const held = ({ check }: CheckInstance) => check.partOf ?? [];
  fc.assert(
    fc.property(pick, ([fault, other]) => {
      const moves = other.check.moves?.part ?? '';
      const same = fault.unit.id === other.unit.id && fault.key !== other.key;
      if (same && other.check.moves?.by !== 'hand' && held(fault).includes(moves))
        expect(barsMovement(fault, other)).toBe(true);
      // Nobody is kept from looking at what stands still.
      const requirement = requirementOf(other.check);
      if (!other.check.moves && !requirement.rolls && !wantsRunning(requirement))
        if (!/raised|propped|open|set|up/.test(Object.values(requirement.states).flat().join()))
          expect(barsMovement(fault, other)).toBe(false);
    }),
    { numRuns: 3000 },
  );
});

it('names for every check the first fault that bars it, as going through all pairs would', () => {
  const pick = fc.constantFrom(...rigNames).chain((name) => {
    const rig = rigOf(name);
    return fc.tuple(
      fc.constant(rig),
      fc.uniqueArray(fc.constantFrom(...rig.instances), { maxLength: 12 }),
    );
  });
  fc.assert(
    fc.property(pick, ([rig, broken]) => {
      const faults = new Set(broken.map(({ key }) => key));
      const states = rig.instances.map((instance): InstanceAssessment => ({
        instance,
        state: faults.has(instance.key) ? 'major' : 'unanswered',
      }));
      const barred = findBarred(states, always);
      for (const { instance, state } of states) {
        const first = states.find(
          (each) => faults.has(each.instance.key) && barsMovement(each.instance, instance),
        );
        if (state === 'unanswered')
          expect(barred.get(instance.key)?.instance.key).toBe(first?.instance.key);
      }
    }),
    { numRuns: 60 },
  );
});
