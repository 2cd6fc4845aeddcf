import fc from 'fast-check';
import { PHASES, type Circumstance } from '../catalogue';
import type { Rig } from '../rig';
import { inWords } from '../judge';
import { idling, rigNames, rigOf, violationsOf } from '../testing';
import {
  changesOf,
  DIRECTIONS,
  ENGINE_TIMINGS,
  FIRSTS,
  floorOf,
  layoutOf,
  USUAL_PACE,
  USUAL_ROUTE_STYLE,
  type RouteStyle,
} from '../planning';
import {
  cutIntoBlocks,
  findPlanFaults,
  planWalk,
  type Outset,
  type PlanRequest,
  type StandingNow,
} from '.';

const cold: Outset = {
  phase: 'pre-trip',
  freezing: false,
  airUp: false,
  warm: false,
  running: false,
};

const routeStyles: fc.Arbitrary<RouteStyle> = fc
  .record({
    direction: fc.constantFrom(...DIRECTIONS),
    first: fc.constantFrom(...FIRSTS),
    engine: fc.constantFrom(...ENGINE_TIMINGS),
    helper: fc.boolean(),
  })
  // To start early and to go outside first contradict each other; see below.
  .map((routeStyle) =>
    routeStyle.engine === 'early' ? { ...routeStyle, first: 'cab' as const } : routeStyle,
  );

/** In the middle of a walk, as a vehicle can stand: nothing is raised without the power that raised it still being there. */
const standings = (rig: Rig): fc.Arbitrary<StandingNow> =>
  fc
    .record({
      running: fc.boolean(),
      powerTakeOff: fc.boolean(),
      released: fc.boolean(),
      chocks: fc.boolean(),
      key: fc.constantFrom('pocket', 'in', 'on'),
      bay: fc.constantFrom('closed', 'open'),
      lamps: fc.boolean(),
      gear: fc.constantFrom('neutral', 'in-gear'),
      up: fc.array(fc.constantFrom('body', 'platform', 'outriggers', 'boom', 'blade', 'ownEngine')),
      air: fc.integer({ min: 0, max: 120 }),
      coldIn: fc.integer({ min: 0, max: 1800 }),
      settledIn: fc.integer({ min: 0, max: 180 }),
      cleanIn: fc.integer({ min: 0, max: 1200 }),
    })
    .map(({ running, released, chocks, key, up, ...rest }) => {
      const raised = new Set<string>(up);
      const states: Record<string, string> = {
        engine: running ? 'idling' : 'off',
        key: running ? 'on' : key,
        brake: released ? 'released' : 'set',
        chocks: chocks || released ? 'in' : 'out',
        bay: rest.bay,
        lamps: rest.lamps ? 'on' : 'off',
        gear: rest.gear,
      };
      if (layoutOf(rig).slotOf('powerTakeOff') !== undefined)
        states.powerTakeOff = running && rest.powerTakeOff && !released ? 'in' : 'out';
      for (const { dimension, unit } of layoutOf(rig).slots) {
        if (unit === undefined || !raised.has(dimension)) continue;
        const value = { body: 'propped', platform: 'open', outriggers: 'set', boom: 'raised' }[
          dimension as string
        ];
        states[`${dimension} ${unit}`] = value ?? (dimension === 'ownEngine' ? 'running' : 'up');
        // A boom is never up without its legs.
        if (dimension === 'boom') states[`outriggers ${unit}`] = 'set';
      }
      return {
        states,
        air: rest.air,
        oilIn: states.powerTakeOff === 'in' ? 200 : Infinity,
        coldIn: running ? Infinity : rest.coldIn,
        settledIn: running ? Infinity : rest.settledIn,
        warmIn: running ? 120 : Infinity,
        cleanIn: running ? rest.cleanIn : 0,
      };
    });

describe('every plan', () => {
  it('has every check once, keeps its route style, and breaks none of the fourteen rules', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...rigNames),
        fc.constantFrom(...PHASES),
        fc.subarray<Circumstance>(['dark', 'wet', 'freezing', 'passengers']),
        routeStyles,
        fc.integer({ min: 1, max: 1000 }),
        (name, phase, circumstances, routeStyle, seed) => {
          const rig = rigOf(name, phase, circumstances);
          const plan = planWalk({ rig, phase, circumstances, routeStyle, seed });
          expect(findPlanFaults(plan, rig)).toEqual([]);
          expect(violationsOf(plan, rig, phase).map(inWords)).toEqual([]);
        },
      ),
      { numRuns: 150 },
    );
  });

  it('made again in the middle of a walk breaks none either, however the vehicle stands', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...rigNames).chain((name) =>
          fc.record({
            name: fc.constant(name),
            now: standings(rigOf(name)),
            share: fc.integer({ min: 0, max: 100 }),
          }),
        ),
        routeStyles,
        ({ name, now, share }, routeStyle) => {
          const rig = rigOf(name);
          const count = Math.floor((rig.instances.length * share) / 100);
          const done = new Set(rig.instances.slice(0, count).map(({ key }) => key));
          const rest = { ...rig, instances: rig.instances.filter(({ key }) => !done.has(key)) };
          const zone = rig.instances[Math.max(0, count - 1)].zoneKey;
          const here = { ...now, zone };
          const running = now.states.engine !== 'off';
          const request = {
            rig,
            phase: 'pre-trip',
            circumstances: [],
            routeStyle,
            running,
          } as const;
          const plan = planWalk({ ...request, done, now: here });
          expect(findPlanFaults(plan, rest)).toEqual([]);
          expect(violationsOf(plan, rest, 'pre-trip', { now: here, done }).map(inWords)).toEqual(
            [],
          );
        },
      ),
      { numRuns: 80 },
    );
  });

  it('keeps to the order of the last walk where that costs next to nothing', () => {
    const rig = rigOf('plow truck');
    const request = { rig, phase: 'pre-trip', circumstances: [] } as const;
    const keysOf = (stops: readonly { readonly instances: readonly { key: string }[] }[]) =>
      stops.flatMap(({ instances }) => instances.map(({ key }) => key));
    const first = planWalk(request);
    const other = planWalk({ ...request, seed: 99, last: keysOf(first.stops) });
    const placesOf = ({ stops }: typeof first) => stops.map(({ zone }) => zone.key);
    expect(placesOf(other)).toEqual(placesOf(first));
    // A worse one is not kept for the sake of habit.
    const slow = planWalk({
      ...request,
      routeStyle: { ...USUAL_ROUTE_STYLE, direction: 'clockwise' },
    });
    const best = planWalk({ ...request, last: keysOf(slow.stops).reverse() });
    expect(best.totals.seconds).toBeLessThanOrEqual(1.03 * first.totals.seconds);
  });

  it('of a route style that contradicts itself is refused with both rules', () => {
    const routeStyle: RouteStyle = { ...USUAL_ROUTE_STYLE, first: 'outside', engine: 'early' };
    expect(() =>
      planWalk({ rig: rigOf('truck'), phase: 'pre-trip', circumstances: [], routeStyle }),
    ).toThrow(
      /No order keeps all the rules: .* because the route style says what comes first; and .* because the route style starts the engine before/,
    );
  });

  it('that a hand turned against the tests of the brakes is refused with both rules', () => {
    const rig = rigOf('truck');
    const task = cutIntoBlocks(rig, USUAL_ROUTE_STYLE, USUAL_PACE, cold);
    const tests = task.blocks.filter(({ zone }) => zone.round === 'brakes').map(({ key }) => key);
    expect(() =>
      planWalk({
        rig,
        phase: 'pre-trip',
        circumstances: [],
        fixed: [tests[2], tests[0]],
      }),
    ).toThrow(/because your own order says so.*tests of the brakes|tests of the brakes.*own order/);
  });

  it('is the same for the same seed', () => {
    const rig = rigOf('plow truck');
    const request = { rig, phase: 'pre-trip', circumstances: [], seed: 7 } as const;
    expect(planWalk(request)).toEqual(planWalk(request));
  });

  it.each(rigNames)(
    'of %s is shorter than the order of the catalogue, and takes no more time',
    (name) => {
      const plan = planWalk({ rig: rigOf(name), phase: 'pre-trip', circumstances: [] });
      expect(plan.totals.metres).toBeLessThanOrEqual(0.75 * plan.catalogueOrder.metres);
      expect(plan.totals.seconds).toBeLessThanOrEqual(plan.catalogueOrder.seconds);
    },
  );

  it.each(rigNames)('of %s looks at what must be cold before it starts the engine', (name) => {
    const { stops, happenings } = planWalk({
      rig: rigOf(name),
      phase: 'pre-trip',
      circumstances: [],
    });
    const start = happenings.find((each) => each.kind === 'change' && each.change === 'start');
    const cold = stops.filter(({ instances }) =>
      instances.some(({ check }) => check.needs.includes('engine-cold')),
    );
    for (const { at } of cold) expect(at).toBeLessThan(start?.at ?? Infinity);
  });

  it('says why each stop stands where it does', () => {
    const { stops } = planWalk({
      rig: rigOf('plow truck', 'pre-trip', ['freezing']),
      phase: 'pre-trip',
      circumstances: ['freezing'],
    });
    for (const { because, instances } of stops) {
      const needs = instances.flatMap(({ check }) => check.needs);
      if (because.code === 'lamps') expect(needs).toContain('lamps-on');
      if (because.code === 'cold') expect(needs).toContain('engine-cold');
    }
    expect(new Set(stops.map(({ key }) => key)).size).toBe(stops.length);
  });

  it('of nothing is empty', () => {
    const rig = { ...rigOf('truck'), instances: [] };
    const { stops, totals } = planWalk({ rig, phase: 'pre-trip', circumstances: [] });
    expect(stops).toEqual([]);
    expect(totals.seconds).toBe(0);
  });
});

it.each(['truck', 'tractor, semi-trailer, liftgate', 'pumper', 'mobile crane'])(
  'a cab is made ready before its engine starts: pedals and floor, seat, belt, mirrors of a %s',
  (name) => {
    const rig = rigOf(name);
    const { stops, happenings } = planWalk({ rig, phase: 'pre-trip', circumstances: [] });
    const started = happenings.find((each) => changesOf(each).includes('start'));
    const ready = stops.filter(({ instances }) =>
      instances.some(({ check }) => /\.(cab\.(pedals|seat|belt)|mirror\.set)$/.test(check.id)),
    );
    expect(ready.length).toBeGreaterThan(0);
    for (const { at } of ready) expect(at).toBeLessThanOrEqual(started?.at ?? 0);
  },
);

describe('what changes a plan', () => {
  const rig = rigOf('truck and trailer');
  const plan = (change: Partial<PlanRequest> = {}) =>
    planWalk({ rig, phase: 'pre-trip', circumstances: [], ...change });

  it('is what is done: it is not planned again', () => {
    const done = new Set(rig.instances.slice(0, 100).map(({ key }) => key));
    const rest = plan({ done });
    const keys = rest.stops.flatMap(({ instances }) => instances.map(({ key }) => key));
    expect(keys.filter((key) => done.has(key))).toEqual([]);
    expect(keys).toHaveLength(rig.instances.length - 100);
  });

  it('is an engine that was started early: what must be cold comes when it is cold again', () => {
    const early = plan({ running: true });
    const shutDown = early.happenings.find(
      (each) => each.kind === 'change' && each.change === 'shut-down',
    );
    const cold = early.stops.filter(({ instances }) =>
      instances.some(({ check }) => check.needs.includes('engine-cold')),
    );
    expect(cold.length).toBeGreaterThan(0);
    for (const { at, seconds } of cold)
      expect(at + seconds).toBeGreaterThanOrEqual((shutDown?.at ?? Infinity) + USUAL_PACE.coolDown);
    expect(early.stops.map(({ key }) => key)).not.toEqual(plan().stops.map(({ key }) => key));
  });

  it('is a check that wants the engine warm: it waits for that, and something useful is done meanwhile', () => {
    const made = plan();
    const start = made.happenings.find((each) => changesOf(each).includes('start'));
    const begun = (start?.at ?? Infinity) + (start?.seconds ?? 0);
    const warm = made.stops.filter(({ instances }) =>
      instances.some(({ check }) => check.needs.includes('engine-warm')),
    );
    expect(warm.length).toBeGreaterThan(0);
    for (const { at, seconds } of warm)
      expect(at + seconds).toBeGreaterThan(begun + USUAL_PACE.engineWarmUp);
    expect(made.totals.waiting).toBeLessThan(USUAL_PACE.engineWarmUp);
  });

  it('is an exhaust that cleans itself: the engine is not shut off under it', () => {
    const off = (cleanIn: number) =>
      plan({ running: true, now: { ...idling, cleanIn } }).happenings.find(
        (each) => each.kind === 'change' && each.change === 'shut-down',
      )?.at ?? Infinity;
    expect(off(0)).toBeLessThan(1200);
    expect(off(1200)).toBeGreaterThanOrEqual(1200);
    expect(off(1200)).toBeLessThan(Infinity);
  });

  it('is a helper: the parts that two are needed for are told', () => {
    const { helped } = plan({ routeStyle: { ...USUAL_ROUTE_STYLE, helper: true } });
    expect(helped.length).toBeGreaterThan(0);
    for (const [index, { from, to }] of helped.entries()) {
      expect(to).toBeGreaterThan(from);
      if (index > 0) expect(from).toBeGreaterThan(helped[index - 1].to);
    }
    expect(plan().helped).toEqual([]);
  });

  it('is the direction of the route style', () => {
    const order = (direction: RouteStyle['direction']) =>
      plan({ routeStyle: { ...USUAL_ROUTE_STYLE, direction } }).stops.map(({ zone }) => zone.id);
    const left = order('counter-clockwise');
    const right = order('clockwise');
    expect(left.indexOf('driver-rear-wheels')).toBeLessThan(left.indexOf('curb-rear-wheels'));
    expect(right.indexOf('curb-rear-wheels')).toBeLessThan(right.indexOf('driver-rear-wheels'));
  });

  it('is what the route style begins with, of all that can be looked at as it stands', () => {
    const first = (routeStyle: RouteStyle['first']) =>
      plan({ routeStyle: { ...USUAL_ROUTE_STYLE, first: routeStyle } }).stops.find(
        ({ instances }) =>
          instances.some(({ check }) => check.needs.every((need) => need === 'secured')),
      )?.zone.round;
    expect(first('engine-bay')).toBe('engine-bay');
    expect(first('cab')).toBe('cab');
    expect(first('outside')).toBe('outside');
  });

  it('is a helper: without one the checks that need two are named', () => {
    const gate = rigOf('tractor, semi-trailer, liftgate');
    const request = { rig: gate, phase: 'pre-trip', circumstances: [] } as const;
    const alone = planWalk(request).helperless;
    expect(alone.every(({ check }) => check.helper === 'needed')).toBe(true);
    expect(
      planWalk({ ...request, routeStyle: { ...USUAL_ROUTE_STYLE, helper: true } }).helperless,
    ).toEqual([]);
  });

  it('is a hand that puts stops into an order: they keep it, and it may cost', () => {
    const { blocks } = cutIntoBlocks(rig, USUAL_ROUTE_STYLE, USUAL_PACE, cold);
    const outside = blocks.filter(
      ({ zone, requirement }) =>
        zone.round === 'outside' && requirement.states.engine === undefined,
    );
    const fixed = [outside[4], outside[0]].map(({ key }) => key);
    const own = plan({ fixed });
    const at = (zoneKey: string) => own.stops.findIndex(({ zone }) => zone.key === zoneKey);
    expect(at(outside[4].zone.key)).toBeLessThan(at(outside[0].zone.key) + own.stops.length);
    // The search is no proof: a bound may even help it by a little.
    expect(own.totals.seconds).toBeGreaterThan(0.99 * plan().totals.seconds);
  });

  it('is what must be carried', () => {
    expect(plan().carry).toEqual(expect.arrayContaining(['tread-gauge', 'pressure-gauge']));
  });
});

describe('contradicting needs', () => {
  it.each([
    ['engine-off', 'engine-idling'],
    ['engine-cold', 'power-take-off'],
    ['parking-brake-set', 'parking-brake-released'],
  ] as const)('%s and %s are named, with the check, and nothing hangs', (one, other) => {
    const rig = rigOf('truck');
    const [first, ...rest] = rig.instances;
    const broken = { ...first, check: { ...first.check, needs: [one, other] } };
    expect(() =>
      planWalk({
        rig: { ...rig, instances: [broken, ...rest] },
        phase: 'pre-trip',
        circumstances: [],
      }),
    ).toThrow(new RegExp(`${first.check.id} needs ${one} and ${other}`));
  });
});

it('knows the least time in which a stop can be walked', () => {
  const [stop] = planWalk({ rig: rigOf('truck'), phase: 'pre-trip', circumstances: [] }).stops;
  const seconds = stop.instances.reduce((sum, { check }) => sum + check.seconds, 0);
  expect(floorOf(stop.instances)).toBeCloseTo(0.6 * seconds);
  expect(floorOf([])).toBe(0);
});
