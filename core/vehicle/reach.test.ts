import {
  bitOf,
  dimension,
  layOut,
  layWant,
  nextReach,
  requirementOf,
  valueAtBeginning,
  type DimensionId,
  type Layout,
} from '.';

/*
 * Chains as a careful driver would do them, worked by hand from the rules (docs/vehicle-rules.md) before they were run: brake before
 * anybody leaves the seat, chocks before hands are at what could roll, the key before the engine, the engine before what it drives, and
 * everything back in before the wheels turn.
 */

const dump = layOut({
  airBrakes: true,
  units: [{ id: 'truck', checks: [{ id: 'body', needs: ['body-raised', 'power-take-off'] }] }],
});
const crane = layOut({
  airBrakes: false,
  units: [
    {
      id: 'crane',
      checks: [
        { id: 'legs', needs: ['outriggers-set', 'power-take-off'] },
        { id: 'boom', needs: ['boom-raised', 'power-take-off'] },
      ],
    },
  ],
});

/** How the vehicle stands: parked for the night, but for what is said here; `?` is what nobody knows. */
function standing(layout: Layout, said: Partial<Record<DimensionId, string>> = {}): number[] {
  return layout.slots.map(({ dimension: id }) =>
    said[id] === '?' ? 0 : bitOf(id, said[id] ?? dimension(id).parked),
  );
}

/** Everything that is done until it stands so; the engine makes all the air that is waited for. */
function chain(
  layout: Layout,
  needs: readonly string[],
  said: Partial<Record<DimensionId, string>> = {},
  air = 120,
): string[] {
  const unit = layout.slots.find((slot) => slot.unit !== undefined)?.unit;
  const want = layWant(layout, requirementOf({ id: 'check', needs }), unit);
  const values = standing(layout, said);
  const done: string[] = [];
  let now = air;
  for (let count = 0; count < 30; count += 1) {
    const next = nextReach(layout, values, want, now);
    if (!next) return done;
    if (next.kind === 'air') {
      now = next.atLeast;
      done.push(`air ${now}`);
      continue;
    }
    values[next.slot] = next.to;
    for (let at = 0; at < next.also.length; at += 2) values[next.also[at]] = next.also[at + 1];
    done.push(next.change);
  }
  throw new Error(`it never comes to stand so: ${done.join(', ')}`);
}

describe('the way to a wanted state', () => {
  it('is nothing where it stands so already', () => {
    expect(chain(dump, ['engine-off', 'body-down'])).toEqual([]);
    expect(chain(dump, ['engine-idling'], { engine: 'idling', key: 'on' })).toEqual([]);
  });

  it('starts the engine with the key', () => {
    expect(chain(dump, ['engine-idling'])).toEqual(['start']);
  });

  it('raises a body only with brake and power, and takes the power first', () => {
    const steps = chain(dump, ['body-raised', 'power-take-off']);
    expect(steps.indexOf('start')).toBeLessThan(steps.indexOf('power-take-off'));
    expect(steps.indexOf('power-take-off')).toBeLessThan(steps.indexOf('body-up'));
    expect(steps.at(-1)).toBe('body-up');
    expect(new Set(steps).size).toBe(steps.length);
  });

  it('sets the brake before anything else where it was let go', () => {
    const [first] = chain(dump, ['body-raised', 'power-take-off'], {
      brake: 'released',
      engine: 'idling',
      key: 'on',
    });
    expect(first).toBe('set-brake');
  });

  it('sets the outriggers before the boom leaves its rest, and takes them in after it is back', () => {
    const out = chain(crane, ['boom-raised', 'power-take-off']);
    expect(out.indexOf('outriggers')).toBeGreaterThanOrEqual(0);
    expect(out.indexOf('outriggers')).toBeLessThan(out.indexOf('boom-up'));
    const back = chain(crane, ['outriggers-in'], {
      engine: 'idling',
      key: 'on',
      powerTakeOff: 'in',
      chocks: 'in',
      outriggers: 'set',
      boom: 'raised',
    });
    expect(back).toEqual(['boom-down', 'outriggers-in']);
  });

  it('takes everything in and the chocks out before it rolls', () => {
    const steps = chain(dump, ['rolls', 'parking-brake-released', 'engine-idling', 'in-gear'], {
      engine: 'idling',
      key: 'on',
      powerTakeOff: 'in',
      chocks: 'in',
      body: 'raised',
    });
    const released = steps.indexOf('release-brake');
    expect(released).toBeGreaterThan(0);
    for (const before of ['body-down', 'power-take-off-off', 'chocks-out'])
      expect(steps.slice(0, released)).toContain(before);
    // The power is taken off only once the body lies on its frame.
    expect(steps.indexOf('body-down')).toBeLessThan(steps.indexOf('power-take-off-off'));
  });
});

describe('air on the way', () => {
  it('is made by the engine, which is started for it', () => {
    expect(chain(dump, ['air-charged'], {}, 0)).toEqual(['start', 'air 100']);
    expect(chain(dump, ['air-charged'], { engine: 'idling', key: 'on' }, 40)).toEqual(['air 100']);
  });

  it('is there before the engine that makes it is shut down', () => {
    const steps = chain(dump, ['air-charged', 'engine-off'], { engine: 'idling', key: 'on' }, 40);
    expect(steps.indexOf('air 100')).toBe(0);
    expect(steps.at(-1)).toBe('shut-down');
  });

  it('is sixty pounds at least before the brake is let go', () => {
    const steps = chain(dump, ['parking-brake-released'], { engine: 'idling', key: 'on' }, 10);
    expect(steps[0]).toBe('air 60');
    expect(steps.at(-1)).toBe('release-brake');
  });

  it('is no matter on a vehicle without air brakes', () => {
    const steps = chain(crane, ['parking-brake-released'], { engine: 'idling', key: 'on' }, 0);
    expect(steps).toEqual(['release-brake']);
  });
});

describe('what nobody knows', () => {
  it('is looked at and put right where it should be at rest, without starting anything for it', () => {
    const steps = chain(crane, ['boom-cradled'], { boom: '?' });
    expect(steps).toEqual(['boom-down']);
  });

  it('is looked at only once the brake is set', () => {
    const steps = chain(crane, ['boom-cradled'], { boom: '?', brake: 'released' });
    expect(steps[0]).toBe('set-brake');
  });

  it('is never taken for done: it is done once more', () => {
    expect(chain(dump, ['key-on'], { key: '?' })).toContain('key-on');
    expect(chain(dump, ['engine-idling'], { engine: '?' })).toEqual(['start']);
  });
});

describe('what a rig has of the table', () => {
  const ids = (layout: Layout) => layout.slots.map(({ dimension: id }) => id);

  it('is the vehicle, and of each unit what its checks speak of', () => {
    expect(ids(dump)).toContain('body');
    expect(ids(dump)).not.toContain('boom');
    expect(ids(crane)).toEqual(expect.arrayContaining(['boom', 'outriggers', 'powerTakeOff']));
  });

  it('has no power take-off where nothing works on one', () => {
    const plain = layOut({
      airBrakes: true,
      // What speaks of everything says nothing of what there is.
      units: [{ id: 'van', checks: [{ id: 'a', needs: ['rolls', 'secured', 'engine-idling'] }] }],
    });
    expect(ids(plain)).not.toContain('powerTakeOff');
    expect(plain.slotOf('powerTakeOff')).toBeUndefined();
    expect(ids(plain).filter((id) => dimension(id).of === 'unit')).toEqual([]);
  });

  it('has what a check does to it, though none asks for it', () => {
    const tail = layOut({
      airBrakes: true,
      units: [
        { id: 'one', checks: [{ id: 'a', needs: [], does: ['tailgate-released'] }] },
        { id: 'two', checks: [{ id: 'b', needs: ['body-down'] }] },
      ],
    });
    expect(tail.slotOf('tailgate', 'one')).toBeDefined();
    expect(tail.slotOf('tailgate', 'two')).toBeUndefined();
    expect(tail.slotOf('tailgate')).toBeUndefined();
    expect(tail.slotOf('engine', 'one')).toBe(tail.engine);
  });

  it('keeps a unit apart from the others, but for what rolls: then all of them are at rest', () => {
    const two = layOut({
      airBrakes: false,
      units: ['one', 'two'].map((id) => ({ id, checks: [{ id, needs: ['outriggers-set'] }] })),
    });
    const slots = (needs: readonly string[]) => {
      const { pairs } = layWant(two, requirementOf({ id: 'x', needs }), 'one');
      return pairs.filter((_, at) => at % 2 === 0).map((at) => two.slots[at]);
    };
    const other = { dimension: 'outriggers', unit: 'two' };
    expect(slots(['outriggers-set'])).not.toContainEqual(other);
    expect(slots(['rolls'])).toContainEqual(other);
  });
});

describe('what drives it', () => {
  const plow = layOut({
    airBrakes: false,
    units: [
      { id: 'truck', checks: [] },
      { id: 'plow', checks: [{ id: 'blade', needs: ['blade-up'] }] },
    ],
  });

  it('is the power take-off of the truck, though only what it carries has a body, a boom or legs', () => {
    for (const need of ['body-raised', 'boom-raised', 'outriggers-set', 'power-take-off']) {
      const rig = layOut({
        airBrakes: false,
        units: [
          { id: 'truck', checks: [{ id: 'a', needs: ['engine-idling'] }] },
          { id: 'on it', checks: [{ id: 'b', needs: [need] }] },
        ],
      });
      expect(rig.slotOf('powerTakeOff')).toBeDefined();
    }
    expect(plow.slotOf('powerTakeOff')).toBeUndefined();
  });

  it('is its own engine where it has one, and then nobody starts that of the truck for it', () => {
    const own = layOut({
      airBrakes: false,
      units: [
        {
          id: 'crane',
          checks: [{ id: 'boom', needs: ['boom-raised', 'outriggers-set', 'own-engine-running'] }],
        },
      ],
    });
    const steps = chain(own, ['boom-raised']);
    expect(steps).toContain('own-engine-start');
    expect(steps).not.toContain('start');
    expect(steps).not.toContain('power-take-off');
  });

  it('lifts a blade of which nobody knows how it hangs: it is not taken for granted either way', () => {
    const steps = chain(plow, ['blade-down'], { blade: '?' });
    expect(steps.at(-1)).toBe('blade-down');
    expect(steps.length).toBeGreaterThan(1);
  });
});

describe('the bay of the engine', () => {
  const slots = (needs: readonly string[]) => {
    const want = layWant(dump, requirementOf({ id: 'x', needs }), 'truck', {
      bay: [needs.includes('hood') ? 'open' : 'closed'],
    });
    return want.pairs.filter((_, at) => at % 2 === 0).map((at) => dump.slots[at].dimension);
  };

  it('is closed before anything else is done, and opened after everything', () => {
    expect(slots(['engine-idling'])[0]).toBe('bay');
    expect(slots(['engine-off', 'hood']).at(-1)).toBe('bay');
  });
});

describe('at the beginning of a walk', () => {
  it.each([
    // Parked for the night: the key is in somebody's pocket and the blade on the ground.
    ['pre-trip', 'key', 'pocket'],
    ['pre-trip', 'blade', 'ground'],
    ['weekly', 'key', 'pocket'],
    // Just driven: the key is still in it, and what must be up to roll is up.
    ['post-trip', 'key', 'in'],
    ['post-trip', 'blade', 'up'],
    ['post-trip', 'body', 'down'],
    ['post-trip', 'lamps', 'off'],
    ['under-way', 'key', 'in'],
  ] as const)('%s: %s is %s', (phase, id, value) => {
    expect(valueAtBeginning(id, phase)).toBe(value);
  });
});
