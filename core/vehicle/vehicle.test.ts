import fc from 'fast-check';
import { catalogue } from '../content';
import { layoutOf, wantAt } from '../planning';
import { rigNames, rigOf } from '../testing';
import {
  bitOf,
  dimension,
  DIMENSION_IDS,
  endOf,
  layWant,
  nextReach,
  requirementOf,
  RULES,
  statesAtEnd,
  TRANSITIONS,
  VEHICLE_CHANGES,
  type LaidTransition,
  type VehicleChange,
} from '.';

describe('the table', () => {
  it.each(Object.entries(TRANSITIONS))(
    '%s goes from values that there are to another one',
    (_, rule) => {
      const { values } = dimension(rule.of);
      expect(values).toContain(rule.to);
      expect(rule.from.length).toBeGreaterThan(0);
      for (const from of rule.from) {
        expect(values).toContain(from);
        expect(from).not.toBe(rule.to);
      }
      for (const { of, in: allowed = [] } of rule.before)
        if (of !== 'power')
          for (const value of allowed) expect(dimension(of).values).toContain(value);
    },
  );

  it('brings every value about, but what a rig is put together as', () => {
    for (const id of DIMENSION_IDS) {
      const { values, fixed } = dimension(id);
      if (fixed) continue;
      const reached = Object.values(TRANSITIONS).flatMap(({ of, to, also = {} }) => [
        ...(of === id ? [to] : []),
        ...Object.entries(also).flatMap(([other, value]) => (other === id ? [value] : [])),
      ]);
      expect([...new Set(reached)].sort()).toEqual([...values].sort());
    }
  });

  it('does nothing away from the seat with the brake released', () => {
    // A tilted cab has no seat: it was tilted with the brake set.
    for (const { where, before, from } of Object.values(TRANSITIONS))
      if (where !== 'seat' && !from.includes('tilted'))
        expect(
          before.some(({ of, in: values }) => of === 'brake' && values?.join() === 'set'),
        ).toBe(true);
  });

  it('says of what is raised, opened or set out which movements of content bring it there', () => {
    const moved = new Set(
      catalogue.modules.flatMap(({ checks }) =>
        checks.flatMap(({ moves }) => (moves && moves.by !== 'hand' ? [moves.part] : [])),
      ),
    );
    for (const id of ['platform', 'boom', 'outriggers', 'body', 'blade'] as const) {
      const movedBy = dimension(id).movedBy ?? [];
      expect(movedBy.length).toBeGreaterThan(0);
      for (const part of movedBy) expect([...moved]).toContain(part);
    }
  });

  it('has thirteen rules, each with its reason', () => {
    expect(RULES).toHaveLength(13);
    expect(new Set(RULES.map(({ id }) => id)).size).toBe(13);
    for (const { words, because } of RULES) expect(`${words} ${because}`).toMatch(/^[A-Z].*\.$/);
  });

  it('ends a walk ready to leave, or parked and secured', () => {
    expect(endOf('pre-trip')).toBe('ready to leave');
    expect(endOf('post-trip')).toBe('parked and secured');
    expect(statesAtEnd('pre-trip')).toMatchObject({
      brake: ['set'],
      chocks: ['out'],
      powerTakeOff: ['out'],
      outriggers: ['in'],
      blade: ['up'],
      bay: ['closed'],
    });
    expect(statesAtEnd('post-trip')).toMatchObject({
      engine: ['off'],
      key: ['pocket'],
      blade: ['ground'],
    });
    expect(statesAtEnd('post-trip').chocks).toBeUndefined();
  });
});

/** Whether a transition may be done as things stand: a telling of its conditions that `nextReach` has no part in. */
function mayDo(values: Uint8Array, { before }: LaidTransition): boolean {
  for (let at = 0; at < before.length; at += 2)
    if ((values[before[at]] & before[at + 1]) === 0) return false;
  return true;
}

function apply(values: Uint8Array, { slot, to, also }: LaidTransition): void {
  values[slot] = to;
  for (let at = 0; at < also.length; at += 2) values[also[at]] = also[at + 1];
}

it('reaches what any check wants from wherever the vehicle stands, each act with its conditions met', () => {
  const every = rigNames.flatMap((name) =>
    catalogue.modules.length > 0
      ? [rigOf(name), rigOf(name, 'weekly'), rigOf(name, 'post-trip')]
      : [],
  );
  fc.assert(
    fc.property(
      fc.constantFrom(...every),
      fc.nat(),
      fc.array(fc.nat({ max: 2 }), { minLength: 40, maxLength: 40 }),
      fc.integer({ min: 0, max: 120 }),
      (rig, pick, start, air) => {
        if (rig.instances.length === 0) return;
        const instance = rig.instances[pick % rig.instances.length];
        const layout = layoutOf(rig);
        const values = Uint8Array.from(layout.slots, ({ dimension: id }, at) => {
          const { values: all } = dimension(id);
          return bitOf(id, all[start[at % start.length] % all.length]);
        });
        // An engine that runs has its key on, and one that is off works nothing.
        const engine = layout.engine;
        const key = layout.slotOf('key') ?? 0;
        const powerTakeOff = layout.slotOf('powerTakeOff');
        if (values[engine] !== bitOf('engine', 'off')) values[key] = bitOf('key', 'on');
        else if (powerTakeOff !== undefined) values[powerTakeOff] = bitOf('powerTakeOff', 'out');
        // A cab is tilted only over an engine that is off, brake set and chocks in.
        const tilted = values[layout.slotOf('bay') ?? 0] === bitOf('bay', 'tilted');
        if (tilted) {
          values[engine] = bitOf('engine', 'off');
          values[layout.slotOf('brake') ?? 0] = bitOf('brake', 'set');
          values[layout.slotOf('chocks') ?? 0] = bitOf('chocks', 'in');
          if (powerTakeOff !== undefined) values[powerTakeOff] = bitOf('powerTakeOff', 'out');
        }
        const zone = rig.zones.find((each) => each.key === instance.zoneKey);
        const want = wantAt(rig, zone, requirementOf(instance.check), instance.unit.id);
        let tanks = air;
        for (let count = 0; ; count += 1) {
          expect(count).toBeLessThan(60);
          const reach = nextReach(layout, values, want, tanks);
          if (!reach) break;
          if (reach.kind === 'air') {
            expect(values[engine]).not.toBe(bitOf('engine', 'off'));
            tanks = Math.max(tanks, reach.atLeast);
            continue;
          }
          expect({ change: reach.change, may: mayDo(values, reach) }).toEqual({
            change: reach.change,
            may: true,
          });
          if (reach.change === 'release-brake' && layout.airBrakes)
            expect(tanks).toBeGreaterThanOrEqual(60);
          apply(values, reach);
        }
        for (let at = 0; at < want.pairs.length; at += 2)
          expect(values[want.pairs[at]] & want.pairs[at + 1]).not.toBe(0);
      },
    ),
    { numRuns: 400 },
  );
});

it('puts back what is out before anything rolls, by its own power, and the power after it', () => {
  const rig = rigOf('crane truck');
  const layout = layoutOf(rig);
  const [{ unit }] = rig.units;
  const standing: Readonly<Record<string, string>> = {
    engine: 'off',
    key: 'pocket',
    brake: 'set',
    chocks: 'in',
    boom: 'raised',
    outriggers: 'set',
  };
  const values = Uint8Array.from(layout.slots, ({ dimension: id }) =>
    bitOf(id, standing[id] ?? dimension(id).parked),
  );
  const want = layWant(
    layout,
    requirementOf({ id: 'x', needs: ['rolls', 'parking-brake-released'] }),
    unit.id,
  );
  const done: VehicleChange[] = [];
  for (
    let reach = nextReach(layout, values, want, 120);
    reach;
    reach = nextReach(layout, values, want, 120)
  ) {
    if (reach.kind === 'air') throw new Error('no air was wanted');
    done.push(reach.change);
    apply(values, reach);
  }
  expect(done).toEqual([
    'start',
    'power-take-off',
    'boom-down',
    'outriggers-in',
    'power-take-off-off',
    'chocks-out',
    'release-brake',
  ]);
  expect(VEHICLE_CHANGES).toEqual(expect.arrayContaining(done));
});

it('knows what a check asks, and names the two needs that contradict each other', () => {
  expect(requirementOf({ id: 'x', needs: ['secured'] }).states).toMatchObject({
    engine: ['off'],
    key: ['pocket'],
    brake: ['set'],
    chocks: ['in'],
  });
  // Nothing is done with the brake released that does not say so.
  expect(requirementOf({ id: 'x', needs: [] }).states.brake).toEqual(['set']);
  expect(() => requirementOf({ id: 'x', needs: ['secured', 'lamps-on'] })).toThrow(
    /x needs secured and lamps-on/,
  );
  expect(requirementOf({ id: 'x', needs: ['air-charged'], air: { atLeast: 90 } }).air).toBe(90);
});

it('tells its rules to people in the words that it keeps', () => {
  // The core has no files of its own; its tests may read one.
  const { readFileSync } = jest.requireActual<{
    readFileSync: (path: string, encoding: string) => string;
  }>('node:fs');
  const page = readFileSync('docs/vehicle-rules.md', 'utf8');
  for (const { words, because } of RULES) {
    expect(page).toContain(words);
    expect(page).toContain(because);
  }
});

it('has the engine started before a blade is raised that nobody has spoken of', () => {
  const rig = rigOf('plow truck');
  const layout = layoutOf(rig);
  const blade = layout.slots.find(({ dimension: id }) => id === 'blade');
  const values = Uint8Array.from(layout.slots, (slot) =>
    slot.dimension === 'blade' ? 0 : bitOf(slot.dimension, dimension(slot.dimension).parked),
  );
  const toRaise = { states: { blade: ['up'] }, rolls: false };
  expect(nextReach(layout, values, layWant(layout, toRaise, blade?.unit), 120)).toMatchObject({
    change: 'start',
  });
});
