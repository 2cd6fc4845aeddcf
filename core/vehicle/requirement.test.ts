import { Refusal } from '../words';
import {
  dimension,
  movementsFor,
  nameOf,
  requirementOf,
  wantsOff,
  wantsRunning,
  type Asking,
} from '.';

const of = (needs: readonly string[], more: Partial<Asking> = {}) =>
  requirementOf({ id: 'check', needs, ...more });

describe('what a check wants', () => {
  it('is done with the brake set, unless it names the brake itself', () => {
    expect(of([]).states).toEqual({ brake: ['set'] });
    expect(of(['parking-brake-released']).states).toEqual({ brake: ['released'] });
  });

  it('is all of its needs together, each narrowing the others', () => {
    // Warm asks that it runs, idling that it idles: it idles.
    const { states, clocks } = of(['engine-warm', 'engine-idling']);
    expect(states).toEqual({ engine: ['idling'], key: ['on'], brake: ['set'] });
    expect(clocks).toEqual(['warm']);
  });

  it('is no state where the word is none of the vehicle', () => {
    expect(of(['hand lamp', 'gloves']).states).toEqual({ brake: ['set'] });
    expect(of(['hand lamp']).clocks).toEqual([]);
    expect(of(['hand lamp'])).not.toHaveProperty('air');
  });

  it('is refused where nobody can give it both, and names the two', () => {
    const torn = () => of(['key-on', 'engine-off', 'gloves', 'engine-idling']);
    expect(torn).toThrow(Refusal);
    expect(torn).toThrow(/needs engine-off and engine-idling/);
  });

  it('is air as its needs say, or as the check itself says in their place', () => {
    expect(of(['air-charged']).air).toBe(100);
    expect(of(['air-charged'], { air: { atLeast: 120 } }).air).toBe(120);
    expect(of(['air-charged'], { air: { atLeast: 70 } }).air).toBe(70);
    expect(of([], { air: { atLeast: 70 } }).air).toBe(70);
    expect(of([])).not.toHaveProperty('air');
  });

  it('leaves in the tanks what it says, and says nothing where it spends none', () => {
    expect(of([], { air: { leaves: 20 } }).leavesAir).toBe(20);
    expect(of([])).not.toHaveProperty('leavesAir');
  });

  it('rolls, reaches in and starts where it says so', () => {
    expect(of(['rolls']).rolls).toBe(true);
    expect(of(['rolls-to-hook-up']).rolls).toBe(true);
    expect(of(['engine-idling']).rolls).toBe(false);
    expect(of(['secured']).reaches).toBe(true);
    expect(of(['engine-off']).reaches).toBe(false);
    expect(of([], { guide: 'engine-start' }).starts).toBe(true);
    expect(of([], { guide: 'other' }).starts).toBe(false);
    expect(of([]).starts).toBe(false);
  });

  it('does to the vehicle what it says, and else nothing', () => {
    expect(of([], { does: ['set-brake'] }).does).toEqual(['set-brake']);
    expect(of([]).does).toEqual([]);
  });
});

describe('whether it wants the engine', () => {
  it.each([
    ['engine-idling', true, false],
    ['engine-working', true, false],
    ['engine-warm', true, false],
    ['power-take-off', true, false],
    ['engine-off', false, true],
    ['engine-cold', false, true],
    ['key-in-pocket', false, true],
    // A lamp burns without it and with it.
    ['lamps-on', false, false],
    ['gloves', false, false],
  ])('%s: running %p, off %p', (need, running, off) => {
    expect(wantsRunning(of([need]))).toBe(running);
    expect(wantsOff(of([need]))).toBe(off);
  });

  it('is no matter where either will do', () => {
    const requirement = { ...of([]), states: { engine: ['off', 'idling'] as const } };
    expect(wantsRunning(requirement)).toBe(false);
    expect(wantsOff(requirement)).toBe(false);
  });
});

describe('the movements that it needs', () => {
  it.each([
    ['body-raised', 'body'],
    ['body-propped', 'body'],
    ['platform-down', 'platform'],
    ['outriggers-set', 'outriggers'],
    ['boom-raised', 'boom'],
    ['blade-up', 'blade'],
  ] as const)('%s: those of the %s', (need, id) => {
    expect(movementsFor(of([need]))).toEqual(dimension(id).movedBy);
  });

  it.each(['body-down', 'platform-stowed', 'outriggers-in', 'blade-down', 'lamps-on'])(
    '%s: none, for so it is parked',
    (need) => {
      expect(movementsFor(of([need]))).toEqual([]);
    },
  );
});

it('has a name by which two that want the same are one stop, and two that do not are two', () => {
  const wants: readonly Asking[] = [
    { id: 'a', needs: [] },
    { id: 'b', needs: ['engine-idling'] },
    { id: 'c', needs: ['engine-working'] },
    { id: 'd', needs: ['air-charged'] },
    { id: 'e', needs: [], air: { atLeast: 60 } },
    { id: 'f', needs: [], air: { leaves: 60 } },
    { id: 'g', needs: ['oil-warm'] },
    { id: 'h', needs: ['power-take-off'] },
    { id: 'i', needs: [], does: ['set-brake'] },
    { id: 'j', needs: [], guide: 'engine-start' },
  ];
  const names = wants.map((each) => nameOf(requirementOf(each)));
  expect(new Set(names).size).toBe(names.length);
  expect(nameOf(requirementOf({ id: 'other', needs: ['engine-idling'] }))).toBe(names[1]);
  // Nothing of it is empty, and nothing runs into the next.
  expect(names.join(' ')).not.toMatch(/ {2}|undefined/);
});
