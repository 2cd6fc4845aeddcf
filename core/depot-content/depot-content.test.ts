import fc from 'fast-check';
import { type Check } from '../catalogue';
import { catalogue } from '../content';
import { judgeReading } from '../measure';
import { toSi } from '../quantity';
import { composeRig } from '../rig';
import { trailer, truck } from '../testing';
import { findDepotContentFaults } from '../validation';
import { AS_SHIPPED, protectionOf, withDepotContent, type DepotContent } from '.';

const HORN = 'truck.cab.radio';
const TREAD = 'truck.tyre.tread-steer';

const content = (change: Partial<DepotContent>): DepotContent => ({
  ...AS_SHIPPED,
  version: 1,
  ...change,
});
const rigOf = (house: DepotContent, units = [truck, trailer]) =>
  composeRig({
    units,
    phase: 'pre-trip',
    circumstances: [],
    catalogue: withDepotContent(catalogue, house),
  });
const keysOf = (house: DepotContent, units = [truck, trailer]) =>
  rigOf(house, units).instances.map(({ key }) => key);

const own: Check = {
  id: 'house.flag',
  title: 'Look at the depot flag',
  zone: 'front',
  method: 'look',
  phases: ['pre-trip'],
  needs: [],
  helper: 'none',
  seconds: 3,
  criterion: 'Hangs straight.',
  symptoms: [
    {
      id: 'flag-gone',
      words: 'Gone',
      system: 'body',
      harm: 'watch',
      takes: ['road'],
    },
  ],
  cautions: [],
  why: 'It tells whose truck it is.',
};

it('is the catalogue itself as it ships', () => {
  expect(withDepotContent(catalogue, AS_SHIPPED)).toBe(catalogue);
});

it('makes the same content once', () => {
  const house = content({ off: [{ check: HORN, reason: 'has none', scope: {} }] });
  expect(withDepotContent(catalogue, house)).toBe(withDepotContent(catalogue, house));
});

it('does not ask what is switched off, and remembers why', () => {
  const house = content({ off: [{ check: HORN, reason: 'has no radio', scope: {} }] });
  const rig = rigOf(house);
  expect(rig.instances.some(({ check }) => check.id === HORN)).toBe(false);
  expect(rig.units[0].module.switchedOff).toEqual([
    { check: HORN, title: expect.any(String), reason: 'has no radio' },
  ]);
  expect(keysOf(house).length).toBe(keysOf(AS_SHIPPED).length - 1);
});

it('holds for one unit alone where it says so', () => {
  const second = { ...truck, id: `${truck.id.slice(0, -2)}7e`, number: '219' };
  const house = content({
    off: [{ check: HORN, reason: 'taken out', scope: { unitId: truck.id } }],
  });
  expect(keysOf(house, [truck])).not.toContain(`${truck.id}/${HORN}`);
  expect(keysOf(house, [second])).toContain(`${second.id}/${HORN}`);
});

it('asks what the house added, after all else, of every unit of that module', () => {
  const house = content({ own: [{ module: truck.moduleId, check: own, scope: {} }] });
  expect(keysOf(house).filter((key) => key.endsWith(own.id))).toEqual([`${truck.id}/${own.id}`]);
});

it('asks a check of one unit only of that unit', () => {
  const house = content({
    own: [{ module: truck.moduleId, check: own, scope: { unitId: trailer.id } }],
  });
  expect(keysOf(house).some((key) => key.endsWith(own.id))).toBe(false);
});

it('asks a module of its own file in place of the one that ships', () => {
  const [shipped] = catalogue.modules;
  const brought = {
    ...shipped,
    checks: shipped.checks.map((check) =>
      check.id === HORN ? { ...check, title: 'Call the depot once' } : check,
    ),
  };
  const rig = rigOf(content({ modules: [brought] }));
  expect(rig.instances.find(({ check }) => check.id === HORN)?.check.title).toBe(
    'Call the depot once',
  );
});

it('takes cycles, lists and combinations along with a check', () => {
  const plow = catalogue.modules.find(({ id }) => id === 'front-plow');
  const house = content({
    off: [
      { check: 'plow.spare-bolts', reason: 'kept in the cab box', scope: {} },
      { check: 'plow.cycle', reason: 'for this test', scope: {} },
    ],
  });
  const adapted = withDepotContent(catalogue, house).modules.find(({ id }) => id === 'front-plow');
  expect(plow?.contents.length).toBeGreaterThan(0);
  expect(adapted?.contents).toEqual([]);
  expect(adapted?.procedures.length).toBeLessThan(plow?.procedures.length ?? 0);
});

describe('a stricter limit', () => {
  const house = content({
    stricter: [
      { check: TREAD, side: 'below', value: 6, unit: '32nds', reason: 'winter', scope: {} },
    ],
  });
  const readingOf = (from: DepotContent) => {
    const reading = rigOf(from).instances.find(({ check }) => check.id === TREAD)?.check.reading;
    if (!reading) throw new RangeError(TREAD);
    return reading;
  };
  const judge = (from: DepotContent, value: number) =>
    judgeReading({
      reading: readingOf(from),
      values: [value, value],
      specification: truck.specification,
      combinationAir: false,
    });

  it('finds what the law lets pass, with the words of the house', () => {
    const value = toSi(5, '32nds');
    expect(judge(AS_SHIPPED, value).outcome).toBe('within');
    expect(judge(house, value)).toMatchObject({ outcome: 'out', limit: { source: 'winter' } });
  });

  it('never lets anything pass that was found before, at any reading', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 0.02, noNaN: true }),
        fc.integer({ min: 0, max: 20 }),
        (value, limit) => {
          const anywhere = content({
            stricter: [
              {
                check: TREAD,
                side: 'below',
                value: limit,
                unit: '32nds',
                reason: 'any',
                scope: {},
              },
            ],
          });
          const before = judge(AS_SHIPPED, value);
          const after = judge(anywhere, value);
          if (before.outcome === 'out') expect(after).toEqual(before);
        },
      ),
    );
  });
});

describe('what may be switched off', () => {
  const checks = catalogue.modules.flatMap((module) => module.checks);

  it('is never what a rule asks for or what can stop a vehicle', () => {
    for (const check of checks.filter(({ source }) => source))
      expect(protectionOf(check)).toMatchObject({ by: 'rule' });
    for (const check of checks.filter(({ symptoms }) =>
      symptoms.some(({ harm }) => harm === 'stop'),
    ))
      expect(protectionOf(check)).toBeDefined();
  });

  it('is something at least', () => {
    expect(checks.filter((check) => !protectionOf(check)).length).toBeGreaterThan(100);
  });

  it('leaves every protected check in place, whatever lawful list a house makes', () => {
    const free = checks.filter((check) => !protectionOf(check)).map(({ id }) => id);
    const guarded = keysOf(AS_SHIPPED).filter((key) => {
      const check = checks.find(({ id }) => id === key.split('/')[1]);
      return check && protectionOf(check);
    });
    fc.assert(
      fc.property(fc.uniqueArray(fc.constantFrom(...free), { maxLength: 40 }), (ids) => {
        const house = content({
          off: ids.map((check) => ({ check, reason: 'not here', scope: {} })),
        });
        expect(findDepotContentFaults(house, catalogue)).toEqual([]);
        expect(keysOf(house)).toEqual(expect.arrayContaining(guarded));
      }),
      { numRuns: 40 },
    );
  });
});
