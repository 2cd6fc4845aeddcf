import { LAW, type Check, type Module } from '../catalogue';
import { catalogue } from '.';
import { findCatalogueFaults, sayFault } from '../validation';

const [truck, trailer] = catalogue.modules;
const all = catalogue.modules.flatMap((module) =>
  module.checks.map((check) => ({ module, check })),
);

function withCheck(module: Module, change: (check: Check) => object): Module {
  const [first, ...rest] = module.checks;
  return { ...module, checks: [{ ...first, ...change(first) } as Check, ...rest] };
}

describe('the catalogue that ships', () => {
  it('has no fault', () => {
    expect(findCatalogueFaults(catalogue)).toEqual([]);
  });

  it('asks enough of a truck and of a tag trailer', () => {
    expect(truck.checks.length).toBeGreaterThanOrEqual(75);
    expect(trailer.checks.length).toBeGreaterThanOrEqual(35);
  });

  it('has ids that are its own', () => {
    const ids = all.map(({ check }) => check.id);
    expect(new Set(ids).size).toBe(ids.length);
  });

  it.each(all.map(({ check }) => [check.id, check] as const))(
    '%s says what good looks like, why, and what can be wrong',
    (_, check) => {
      expect(check.criterion.length).toBeGreaterThan(8);
      expect(check.why).toMatch(/\.$/);
      expect(check.symptoms.length).toBeGreaterThan(0);
      // An imperative title, without exclamation marks anywhere.
      expect(check.title).toMatch(/^[A-Z][^.!]*$/);
      expect(JSON.stringify(check)).not.toContain('!');
    },
  );

  it.each(all.map(({ check }) => [check.id, check] as const))(
    '%s takes a capability away with every symptom that stops',
    (_, check) => {
      for (const symptom of check.symptoms) expect(symptom.takes.length).toBeGreaterThan(0);
    },
  );

  it('treats fuel of any leak class as a stop', () => {
    const fuel = all
      .flatMap(({ check }) => check.symptoms)
      .filter(({ system, scale }) => system === 'fuel' && scale?.question.includes('leak'));
    expect(fuel.length).toBeGreaterThan(3);
    for (const symptom of fuel)
      expect(symptom.scale?.steps.map(({ harm }) => harm)).toEqual(['stop', 'stop', 'stop']);
  });

  it('treats a crack in frame, coupling or rim as a stop', () => {
    const cracks = all
      .flatMap(({ check }) => check.symptoms)
      .filter(
        ({ system, words }) =>
          ['frame', 'coupling', 'wheels'].includes(system) && /crack/i.test(words),
      );
    expect(cracks.length).toBeGreaterThan(5);
    for (const { harm } of cracks) expect(harm).toBe('stop');
  });

  it('judges by no legal number but those of the one table, each with its paragraph', () => {
    const table = Object.values(LAW).map((each) => JSON.stringify(each));
    const used = all.flatMap(({ check }) =>
      (check.reading?.bands ?? []).flatMap(({ limit }) =>
        limit.from === 'law'
          ? [JSON.stringify({ value: limit.value, unit: limit.unit, source: limit.source })]
          : [],
      ),
    );
    expect(used.length).toBeGreaterThan(20);
    for (const each of used) expect(table).toContain(each);
  });

  it.each([
    // Worked from the rules, not from the table.
    ['treadSteer', 4, '32nds', '393.75'],
    ['treadOther', 2, '32nds', '393.75'],
    ['springValveLeast', 20, 'psi', '393.43'],
    ['springValveMost', 45, 'psi', '393.43'],
    ['buildUp', 45, 's', 'licence manual'],
    ['lowAirWarning', 55, 'psi', '393.51'],
    ['cutInTruck', 100, 'psi', 'licence manual'],
    ['cutInBus', 85, 'psi', 'licence manual'],
  ] as const)('has %s as %p %s by %s', (name, value, unit, source) => {
    expect(LAW[name]).toEqual({ value, unit, source: expect.stringContaining(source) as string });
  });

  it('lets no driver put a stop right with a touch unless it says so', () => {
    const fixable = all
      .flatMap(({ check }) => check.symptoms.map((symptom) => ({ check, symptom })))
      .filter(({ symptom }) => symptom.harm === 'stop' && symptom.fixes !== undefined);
    expect(fixable.length).toBeGreaterThan(10);
    expect(fixable.map(({ symptom }) => symptom.id)).not.toContain('pressure-half');
  });

  it('gives each wheel and lamp its own place on the drawing', () => {
    // What is fitted has its places on the vehicle that carries it (rig.test.ts).
    for (const module of catalogue.modules.filter(({ build }) => build === 'chassis'))
      for (const place of module.places) {
        expect(place.x).toBeGreaterThanOrEqual(0);
        expect(place.x).toBeLessThanOrEqual(module.length);
        expect(Math.abs(place.y)).toBeLessThanOrEqual(module.width / 2 + 0.2);
      }
  });

  it('keeps the feet off the vehicle', () => {
    for (const module of catalogue.modules)
      for (const zone of module.zones.filter(({ round }) => round === 'outside')) {
        const beside = Math.abs(zone.y) > module.width / 2;
        const beyond = zone.x < 0 || zone.x > module.length;
        expect({ zone: zone.id, clear: beside || beyond }).toEqual({ zone: zone.id, clear: true });
      }
  });

  it('needs chocks before anybody reaches under', () => {
    const under = all.filter(({ check }) =>
      /suspension\.spring|hanger|shaft|frame\.rail/.test(check.id),
    );
    expect(under.length).toBeGreaterThan(3);
    // Secured: engine off, key in the pocket, brake set, chocks in.
    for (const { check } of under) expect(check.needs).toContain('secured');
  });

  it('lets a house limit only warn, and only above what the law asks, where the law asks anything', () => {
    const banded = all.flatMap(({ check }) =>
      (check.reading?.bands ?? []).map((band) => ({ check, band })),
    );
    const house = banded.filter(
      ({ check, band }) =>
        band.limit.from === 'house' &&
        check.reading?.bands.some(({ limit }) => limit.from === 'law'),
    );
    expect(house.length).toBeGreaterThan(0);
    for (const { check, band } of house) {
      const law = check.reading?.bands.find(({ limit }) => limit.from === 'law')?.limit;
      expect(check.symptoms.find(({ id }) => id === band.symptom)?.harm).toBe('watch');
      if (band.limit.from !== 'house' || law?.from !== 'law') throw new Error(check.id);
      expect(
        band.side === 'below' ? band.limit.value > law.value : band.limit.value < law.value,
      ).toBe(true);
    }
  });

  it('cites a public rule by its section wherever a limit comes from law', () => {
    const limits = all
      .flatMap(({ check }) => check.reading?.bands ?? [])
      .map(({ limit }) => limit)
      .filter((limit) => limit.from === 'law');
    expect(limits.length).toBeGreaterThan(5);
    for (const limit of limits)
      // The build-up of 45 s is what drivers are examined by; no paragraph has it, and it says so.
      expect(limit.from === 'law' && limit.source).toMatch(
        /^(49 CFR \d{3}\.\d+|Commercial driver licence manual, section \d+\.\d+)/,
      );
  });
});

describe('a faulty catalogue', () => {
  const faultsOf = (module: Module) =>
    findCatalogueFaults({ version: 'x', modules: [module] })
      .map(sayFault)
      .join('\n');

  it('names a check without a symptom', () => {
    expect(faultsOf(withCheck(truck, () => ({ symptoms: [] })))).toMatch(/symptoms/);
  });
  it('names an unknown zone', () => {
    expect(faultsOf(withCheck(truck, () => ({ zone: 'roof' })))).toMatch(/no zone roof/);
  });
  it('names places that do not exist', () => {
    expect(faultsOf(withCheck(truck, () => ({ each: 'propeller' })))).toMatch(/propeller/);
  });
  it('names a check that stands twice', () => {
    const twice = { ...truck, checks: [...truck.checks, truck.checks[0]] };
    expect(faultsOf(twice)).toMatch(/stands twice/);
  });
  it('names a service that stands twice, of which one record would count for both', () => {
    const [first] = truck.services;
    const module = { ...truck, services: [...truck.services, { ...first, title: 'Other work' }] };
    expect(faultsOf(module)).toMatch(/the service truck\..* stands twice/);
  });
  it('names a symptom that stands twice', () => {
    const change = (check: Check) => ({ symptoms: [check.symptoms[0], check.symptoms[0]] });
    expect(faultsOf(withCheck(truck, change))).toMatch(/the symptom chocks-missing stands twice/);
  });
  it('names a band without its symptom', () => {
    const measured = truck.checks.find(({ reading }) => reading);
    const broken = {
      ...truck,
      checks: [{ ...measured, symptoms: [{ ...measured?.symptoms[0], id: 'other' }] } as Check],
    };
    expect(faultsOf(broken)).toMatch(/limit names no symptom tread-worn-out/);
  });
  it('refuses a field that nobody knows', () => {
    expect(faultsOf(withCheck(truck, () => ({ colour: 'red' })))).toMatch(/colour/);
  });
  it('refuses an id that is not dotted words', () => {
    expect(faultsOf(withCheck(truck, () => ({ id: 'Not An Id' })))).not.toBe('');
  });
});
