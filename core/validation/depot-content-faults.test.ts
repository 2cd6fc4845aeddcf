import { type Check, type Module } from '../catalogue';
import { catalogue } from '../content';
import { AS_SHIPPED, type DepotContent, type OwnCheck } from '../depot-content';
import { findDepotContentFaults, readCatalogueFile, sayFault, toCatalogueFile } from '.';

const TREAD = 'truck.tyre.tread-steer';
const [truck] = catalogue.modules;
const faultsOf = (change: Partial<Record<keyof DepotContent, unknown>>) =>
  findDepotContentFaults({ ...AS_SHIPPED, ...change }, catalogue).map(sayFault);
const off = (check: string, reason = 'we have none') => ({ check, reason, scope: {} });
const stricter = (change: object) => ({
  check: TREAD,
  side: 'below',
  value: 6,
  unit: '32nds',
  reason: 'winter',
  scope: {},
  ...change,
});
const check: Check = {
  ...truck.checks[0],
  id: 'house.flag',
  zone: 'front',
  each: undefined,
  reading: undefined,
};
delete (check as Partial<Record<keyof Check, unknown>>).each;
delete (check as Partial<Record<keyof Check, unknown>>).reading;
const own = (change: object, module = truck.id): OwnCheck => ({
  module,
  check: { ...check, ...change },
  scope: {},
});

describe('the changes of a house', () => {
  it('are none as it ships', () => {
    expect(faultsOf({})).toEqual([]);
  });

  it.each([
    [
      'a check of its own whose needs contradict each other',
      {
        own: [
          own({
            does: undefined,
            moves: undefined,
            method: 'look',
            needs: ['secured', 'lamps-on'],
          }),
        ],
      },
      /own\[0\]: .*house\.flag needs secured and lamps-on, and nobody can give it both/,
    ],
    [
      'a check of its own that moves something on a dead machine',
      {
        own: [
          own({
            does: undefined,
            method: 'operate',
            needs: ['area-clear', 'parking-brake-set'],
            moves: {
              part: 'flag',
              by: 'power-take-off',
              held: 'brake',
              clear: 'zone',
              ends: 'as-before',
              proves: [],
            },
          }),
        ],
      },
      /own\[0\]: house\.flag: .*does not need engine and power take-off/,
    ],
    [
      'a check that is not there',
      { off: [off('truck.moon')] },
      'off[0]: there is no check truck.moon',
    ],
    [
      'a check that a rule asks for',
      { off: [off('truck.emergency.triangles')] },
      /off\[0\]: .* cannot be switched off, a public rule asks for it \(49 CFR/,
    ],
    [
      'a check off twice',
      { off: [off('truck.cab.radio'), off('truck.cab.radio')] },
      /off\[1\]: .* twice/,
    ],
    [
      'no reason',
      { off: [off('truck.cab.radio', '')] },
      /off\[0\]\.reason: say in a few words why/,
    ],
    [
      'a limit looser than law',
      { stricter: [stricter({ value: 3 })] },
      /stricter\[0\]: 3 32nds is looser than law, 4 32nds/,
    ],
    [
      'a limit on the side that has none',
      { stricter: [stricter({ side: 'above' })] },
      /has no limit above/,
    ],
    [
      'a limit in a unit of another kind',
      { stricter: [stricter({ value: 6, unit: 'psi' })] },
      /is not measured in psi/,
    ],
    [
      'a limit of a check without reading',
      { stricter: [stricter({ check: 'truck.cab.radio' })] },
      /has no limit/,
    ],
    [
      'a limit that is never measured',
      { stricter: [stricter({ value: 900 })] },
      /never measured at 900/,
    ],
    ['a check without a symptom', { own: [own({ symptoms: [] })] }, /own\[0\]\.check\.symptoms/],
    [
      'a check of an unknown module',
      { own: [own({}, 'hovercraft')] },
      'own[0]: there is no module hovercraft in the catalogue',
    ],
    ['a check in an unknown zone', { own: [own({ zone: 'attic' })] }, /has no zone attic/],
    [
      'a check with an id of the catalogue',
      { own: [own({ id: TREAD })] },
      /must begin with house\./,
    ],
    [
      'the same own check twice',
      { own: [own({}), own({})] },
      /own\[1\]: the check house.flag stands twice/,
    ],
    [
      'a limit without its number',
      {
        own: [
          own({
            reading: {
              kind: 'depth',
              ask: 'How deep?',
              required: true,
              plausible: [0, 40, 'mm'],
              uncertainty: [0.5, 'mm'],
              bands: [
                {
                  side: 'below',
                  limit: { from: 'house', source: 'our own' },
                  symptom: check.symptoms[0].id,
                },
              ],
            },
          }),
        ],
      },
      /own\[0\]\.check\.reading\.bands\[0\]\.limit\.value/,
    ],
    ['a shape that is none', { own: 'everything' }, /own/],
  ])('are refused with the place and the reason: %s', (_, change, words) => {
    const faults = faultsOf(change);
    expect(faults.length).toBeGreaterThan(0);
    if (typeof words === 'string') expect(faults).toContain(words);
    else expect(faults.some((each) => words.test(each))).toBe(true);
  });

  it.each([null, 7, 'text', [], {}])(
    'are refused where they are no changes at all: %j',
    (value) => {
      expect(findDepotContentFaults(value, catalogue).length).toBeGreaterThan(0);
    },
  );
});

describe('a catalogue file', () => {
  const file = () =>
    JSON.parse(JSON.stringify(toCatalogueFile(catalogue, AS_SHIPPED))) as {
      catalogue: string;
      house: Partial<DepotContent>;
      modules: Module[];
    };
  const change = (to: (module: Module) => Partial<Module>) => {
    const made = file();
    made.modules[0] = { ...made.modules[0], ...to(made.modules[0]) };
    return readCatalogueFile(made, catalogue);
  };
  const faultsIn = (read: ReturnType<typeof change>) => (read.ok ? [] : read.faults.map(sayFault));
  const withCheck = (id: string, to: (check: Check) => object) =>
    change(({ checks }) => ({
      checks: checks.map((each) => (each.id === id ? ({ ...each, ...to(each) } as Check) : each)),
    }));

  it('read back unchanged makes no change', () => {
    expect(readCatalogueFile(file(), catalogue)).toEqual({
      ok: true,
      content: { version: 0, off: [], own: [], stricter: [], modules: [] },
    });
  });

  it('brings the rules along, there and back', () => {
    const content: DepotContent = {
      version: 4,
      off: [off('truck.cab.radio')],
      own: [own({})],
      stricter: [stricter({}) as DepotContent['stricter'][number]],
      modules: [],
    };
    const text = JSON.stringify(toCatalogueFile(catalogue, content));
    expect(readCatalogueFile(JSON.parse(text), catalogue)).toEqual({ ok: true, content });
  });

  it('takes in a module with other words and a further check', () => {
    const read = change(({ checks }) => ({
      checks: [...checks, { ...check, id: 'truck.flag' }],
    }));
    expect(read).toMatchObject({ ok: true, content: { modules: [{ id: truck.id }] } });
  });

  it.each<[string, ReturnType<typeof change>, RegExp]>([
    [
      'an unknown module',
      change(() => ({ id: 'hovercraft' })),
      /modules\[0\]: there is no module hovercraft/,
    ],
    [
      'a duplicate check',
      change(({ checks }) => ({ checks: [...checks, checks[0]] })),
      /modules\[0\]: the check .* stands twice/,
    ],
    [
      'a check of another module',
      change(({ checks }) => ({
        checks: [...checks, { ...checks[0], id: catalogue.modules[1].checks[0].id }],
      })),
      /is one of tag-trailer/,
    ],
    [
      'a check without a symptom',
      withCheck('truck.cab.radio', () => ({ symptoms: [] })),
      /symptoms/,
    ],
    [
      'a check that is gone',
      change(({ checks }) => ({ checks: checks.slice(1) })),
      /is missing; switch it off with a reason instead/,
    ],
    [
      'a limit looser than law',
      withCheck(TREAD, (each) => ({
        reading: {
          ...each.reading,
          bands: each.reading?.bands.map((band) => ({
            ...band,
            limit: { ...band.limit, value: 2, from: 'law' },
          })),
        },
      })),
      /tread-steer: its limit is looser than law, 4 32nds/,
    ],
    [
      'a symptom that weighs less',
      withCheck('truck.wheel.nuts', (each) => ({
        symptoms: each.symptoms.map((symptom) => ({ ...symptom, harm: 'watch' })),
      })),
      /nut-one weighs less than stop/,
    ],
    [
      'a wheel that is not asked',
      change(({ places }) => ({ places: places.slice(1) })),
      /of its places is gone/,
    ],
    [
      'a combination that is gone',
      change(() => ({ combinations: [] })),
      /of its combinations is gone/,
    ],
    [
      'a capability that is gone',
      change(() => ({ capabilities: ['road'] })),
      /capabilities is not as it ships/,
    ],
    [
      'a need that is gone',
      withCheck('truck.wheel.nuts', () => ({ needs: [] })),
      /does not need .* any more/,
    ],
    [
      'a limit of the unit that is gone',
      withCheck('truck.tyre.pressure-steer', (each) => ({
        reading: { ...each.reading, bands: [] },
      })),
      /its limit for .* is gone/,
    ],
    [
      'a symptom that may suddenly be put right on the spot',
      withCheck('truck.wheel.nuts', (each) => ({
        symptoms: each.symptoms.map((symptom) => ({ ...symptom, fixes: ['Leave it'] })),
      })),
      /nut-one is not as it ships/,
    ],
    [
      'a check asked more rarely',
      withCheck(TREAD, () => ({ when: ['dark'] })),
      /is asked only when dark/,
    ],
  ])('is refused whole for %s', (_, read, words) => {
    expect(read.ok).toBe(false);
    expect(faultsIn(read).some((each) => words.test(each))).toBe(true);
  });

  it('is refused where a module stands twice', () => {
    const made = file();
    made.modules.push(made.modules[0]);
    expect(faultsIn(readCatalogueFile(made, catalogue))[0]).toMatch(/stands twice/);
  });

  it.each([
    [null, /one JSON object/],
    [[], /one JSON object/],
    [{ format: 'other' }, /format/],
    [{ ...file(), version: 9 }, /version/],
    [{ ...file(), catalogue: '1999.1' }, /export it anew/],
    [{ ...file(), house: undefined }, /house: is missing/],
    [{ ...file(), modules: {} }, /modules: is missing/],
    [{ ...file(), modules: [null] }, /modules/],
    [{ ...file(), modules: [{ id: truck.id, checks: 'none' }] }, /modules/],
  ])('that is none is refused with a sentence', (value, words) => {
    expect(faultsIn(readCatalogueFile(value, catalogue))[0]).toMatch(words);
  });
});
