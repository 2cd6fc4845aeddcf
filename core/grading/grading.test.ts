import fc from 'fast-check';
import { type Circumstance, type Symptom } from '../catalogue';
import { catalogue } from '../content';
import {
  decideVerdict,
  gradeSymptom,
  policyById,
  twoStepPolicy,
  worseGrade,
  worstSymptom,
  type Finding,
  type Grade,
} from '.';

const policy = twoStepPolicy;
const symptoms = catalogue.modules.flatMap(({ checks }) =>
  checks.flatMap((check) => check.symptoms),
);
const ORDER: readonly Grade[] = ['sound', 'note', 'minor', 'major'];
const rank = (grade: Grade) => ORDER.indexOf(grade);

function symptomOf(checkId: string, symptomId: string): Symptom {
  const check = catalogue.modules.flatMap(({ checks }) => checks).find(({ id }) => id === checkId);
  const found = check?.symptoms.find(({ id }) => id === symptomId);
  if (!found) throw new RangeError(`${checkId} ${symptomId}`);
  return found;
}

function grade(
  checkId: string,
  symptomId: string,
  circumstances: readonly Circumstance[] = [],
  more: Partial<Parameters<typeof gradeSymptom>[0]> = {},
) {
  return gradeSymptom({
    symptom: symptomOf(checkId, symptomId),
    circumstances: new Set(circumstances),
    alike: 1,
    policies: [policy],
    ...more,
  });
}

describe('grades', () => {
  it.each([
    // Coolant of leak class 1, 2 and 3; fuel of any class (49 CFR 396.5(b), 393.67).
    ['truck.engine.leaks', 'block-coolant', [], 'class-1', 'note'],
    ['truck.engine.leaks', 'block-coolant', [], 'class-2', 'minor'],
    ['truck.engine.leaks', 'block-coolant', [], 'class-3', 'major'],
    ['truck.engine.leaks', 'block-fuel', [], 'class-1', 'major'],
    // Milky or glittering oil.
    ['truck.engine.oil-level', 'oil-milky', [], undefined, 'major'],
    // Rust on the surface and through (49 CFR 393.201).
    ['truck.frame.rail', 'frame-rust', [], 'surface', 'minor'],
    ['truck.frame.rail', 'frame-rust', [], 'through', 'major'],
    // Lamps by day and in the dark (49 CFR 393.24, 393.25).
    ['truck.lamp.head', 'lamp-out', [], undefined, 'minor'],
    ['truck.lamp.head', 'lamp-out', ['dark'], undefined, 'major'],
    ['truck.lamp.head', 'lamp-out', ['wet'], undefined, 'major'],
    ['truck.lamp.tail', 'lamp-out', ['dark'], undefined, 'major'],
    // Wipers in the dry and in rain (49 CFR 393.78).
    ['truck.glass.wipers-run', 'wiper-dead', [], undefined, 'minor'],
    ['truck.glass.wipers-run', 'wiper-dead', ['wet'], undefined, 'major'],
    // Wheel nuts (49 CFR 393.205(c)), springs (393.207), belts (393.16).
    ['truck.wheel.nuts', 'nut-one', [], undefined, 'major'],
    ['truck.suspension.spring', 'main-leaf-broken', [], undefined, 'major'],
    ['truck.cab.belt', 'belt-cut', [], undefined, 'major'],
  ] as const)('%s %s %p %s is %s', (check, symptom, circumstances, stepId, expected) => {
    expect(grade(check, symptom, circumstances, { stepId }).grade).toBe(expected);
  });

  it('takes the worst step where the extent was not given', () => {
    const graded = grade('truck.engine.leaks', 'block-oil');
    expect(graded.grade).toBe('major');
    expect(graded.chain.map(({ code }) => code)).toEqual(['symptom', 'worst-step']);
  });

  it('counts several of one sort: one stop lamp by day is minor, two are major', () => {
    expect(grade('truck.lamp.stop', 'lamp-out', [], { alike: 1 }).grade).toBe('minor');
    const both = grade('truck.lamp.stop', 'lamp-out', [], { alike: 2 });
    expect(both.grade).toBe('major');
    expect(both.chain.at(-1)).toEqual({ code: 'many', words: 'nothing warns the one behind' });
  });

  it('explains what the dark did', () => {
    const graded = grade('truck.lamp.head', 'lamp-out', ['dark']);
    expect(graded.chain).toEqual([
      { code: 'symptom', words: 'Headlamp out' },
      { code: 'circumstance', words: 'the road cannot be seen with one headlamp' },
      // The schedule wants both of them out.
      { code: 'house-stricter', words: expect.stringContaining('item 18') as string },
    ]);
  });

  it('lets the driver raise and never lower', () => {
    expect(grade('truck.step.handrail', 'step-loose', [], { raisedTo: 'major' }).grade).toBe(
      'major',
    );
    expect(grade('truck.cab.belt', 'belt-cut', [], { raisedTo: 'note' }).grade).toBe('major');
  });

  it('turns what was put right on the spot into a note, where the driver may', () => {
    const fixed = grade('truck.glass.washer-fluid', 'washer-empty', [], { fixed: 'Fill it' });
    expect(fixed).toMatchObject({ grade: 'note', blocks: [] });
    const refused = grade('truck.cab.belt', 'belt-cut', [], { fixed: 'Taped it' });
    expect(refused.grade).toBe('major');
    expect(refused.chain.at(-1)?.code).toBe('fix-refused');
  });

  it('takes the road away where content forgot to say what is lost', () => {
    const symptom = { ...symptomOf('truck.cab.belt', 'belt-cut'), takes: [] };
    expect(
      gradeSymptom({ symptom, circumstances: new Set(), alike: 1, policies: [policy] }).blocks,
    ).toEqual(['road']);
  });

  it('names a condition only for what may still be driven', () => {
    expect(grade('truck.lamp.head', 'lamp-out').condition).toMatch(/Daylight/);
    expect(grade('truck.lamp.head', 'lamp-out', ['dark']).condition).toBeUndefined();
    expect(grade('truck.fuel.tank', 'fuel-leak').condition).toBeUndefined();
  });

  it('knows its policies by id', () => {
    expect(policyById('two-step')).toBe(twoStepPolicy);
    expect(() => policyById('lenient')).toThrow(RangeError);
  });
});

describe('properties of grades', () => {
  const arbitrary = {
    symptom: fc.constantFrom(...symptoms),
    circumstances: fc.subarray<Circumstance>(['dark', 'wet', 'freezing', 'towing']),
    alike: fc.integer({ min: 1, max: 6 }),
  };

  it('a darker, wetter or colder moment never lowers a grade', () => {
    fc.assert(
      fc.property(
        arbitrary.symptom,
        arbitrary.circumstances,
        fc.constantFrom<Circumstance>('dark', 'wet', 'freezing', 'towing'),
        arbitrary.alike,
        (symptom, circumstances, more, alike) => {
          const before = gradeSymptom({
            symptom,
            circumstances: new Set(circumstances),
            alike,
            policies: [policy],
          });
          const after = gradeSymptom({
            symptom,
            circumstances: new Set([...circumstances, more]),
            alike,
            policies: [policy],
          });
          expect(rank(after.grade)).toBeGreaterThanOrEqual(rank(before.grade));
        },
      ),
    );
  });

  it('more of the same never lowers a grade', () => {
    fc.assert(
      fc.property(arbitrary.symptom, arbitrary.alike, (symptom, alike) => {
        const of = (count: number) =>
          rank(
            gradeSymptom({ symptom, circumstances: new Set(), alike: count, policies: [policy] })
              .grade,
          );
        expect(of(alike + 1)).toBeGreaterThanOrEqual(of(alike));
      }),
    );
  });

  it('blocks something exactly when it is major, and says why it is what it is', () => {
    fc.assert(
      fc.property(arbitrary.symptom, arbitrary.circumstances, (symptom, circumstances) => {
        const graded = gradeSymptom({
          symptom,
          circumstances: new Set(circumstances),
          alike: 1,
          policies: [policy],
        });
        expect(graded.blocks.length > 0).toBe(graded.grade === 'major');
        expect(graded.chain.length).toBeGreaterThan(0);
      }),
    );
  });

  it('not looking weighs at least as much as anything that could be seen', () => {
    for (const module of catalogue.modules)
      for (const check of module.checks) {
        const situation = {
          circumstances: new Set<never>(),
          needed: new Set<never>(),
          policies: [policy],
        };
        const worst = worstSymptom(check.symptoms, situation);
        for (const symptom of check.symptoms) {
          const one = gradeSymptom({ symptom, alike: 1, ...situation });
          expect(rank(worst.grade)).toBeGreaterThanOrEqual(rank(one.grade));
          for (const capability of one.blocks) expect(worst.blocks).toContain(capability);
        }
      }
  });

  it('orders grades', () => {
    fc.assert(
      fc.property(fc.constantFrom(...ORDER), fc.constantFrom(...ORDER), (a, b) => {
        expect(rank(worseGrade(a, b))).toBe(Math.max(rank(a), rank(b)));
      }),
    );
  });
});

describe('the verdict', () => {
  const finding = (unitId: string, gradeOf: Grade, more: Partial<Finding> = {}): Finding => ({
    kind: 'fault',
    about: `${unitId} ${gradeOf}`,
    unitId,
    title: 'Something',
    grade: gradeOf,
    blocks: gradeOf === 'major' ? ['road'] : [],
    chain: [],
    ...more,
  });
  const decide = (...findings: Finding[]) =>
    decideVerdict({ capabilities: ['road', 'tow'], towed: new Set(['trailer']), findings });
  const states = (...findings: Finding[]) =>
    decide(...findings).capabilities.map(({ state }) => state);

  it('rolls when nothing was found, and with notes', () => {
    expect(decide().headline).toBe('rolls');
    expect(decide(finding('truck', 'note')).headline).toBe('rolls');
  });

  it('stays for a major fault on the truck, and the trailer with it', () => {
    expect(decide(finding('truck', 'major')).headline).toBe('stays');
    expect(states(finding('truck', 'major'))).toEqual(['blocked', 'blocked']);
  });

  it('stays as coupled when only its trailer may not go, and could go without it', () => {
    const held = decide(finding('trailer', 'major'));
    expect(held).toMatchObject({ headline: 'stays', uncoupled: 'limits', coupled: true });
    const also = decide(finding('trailer', 'major'), finding('truck', 'major'));
    expect(also).not.toHaveProperty('uncoupled');
    expect(states(finding('trailer', 'major'))).toEqual(['clear', 'blocked']);
  });

  it('keeps the truck on the road when only its hitch is at fault', () => {
    const hitch = finding('truck', 'major', { blocks: ['tow'] });
    expect(states(hitch)).toEqual(['clear', 'blocked']);
  });

  it('rolls with limits for a minor fault, and names its conditions once', () => {
    const twice = [
      finding('truck', 'minor', { condition: 'Daylight only.' }),
      finding('truck', 'minor', { condition: 'Daylight only.', about: 'other' }),
    ];
    expect(decide(...twice)).toMatchObject({ headline: 'limits', conditions: ['Daylight only.'] });
  });

  it('takes the road for a major finding that forgot to say what it blocks', () => {
    expect(decide(finding('truck', 'major', { blocks: [] })).headline).toBe('stays');
  });

  it('does not roll without a road to speak of', () => {
    expect(
      decideVerdict({ capabilities: [], towed: new Set(['trailer']), findings: [] }).headline,
    ).toBe('stays');
  });

  it('is never improved by one finding more', () => {
    const HEADLINES = ['rolls', 'limits', 'stays'];
    const STATES = ['clear', 'limited', 'blocked'];
    const any = fc
      .record({
        unitId: fc.constantFrom('truck', 'trailer'),
        grade: fc.constantFrom<Grade>('note', 'minor', 'major'),
        blocks: fc.subarray(['road', 'tow'] as const, { minLength: 1 }),
      })
      .map(({ unitId, grade: of, blocks }) =>
        finding(unitId, of, { blocks: of === 'major' ? blocks : [] }),
      );
    fc.assert(
      fc.property(fc.array(any, { maxLength: 6 }), any, (findings, more) => {
        const before = decide(...findings);
        const after = decide(...findings, more);
        expect(HEADLINES.indexOf(after.headline)).toBeGreaterThanOrEqual(
          HEADLINES.indexOf(before.headline),
        );
        after.capabilities.forEach(({ state }, index) =>
          expect(STATES.indexOf(state)).toBeGreaterThanOrEqual(
            STATES.indexOf(before.capabilities[index].state),
          ),
        );
      }),
    );
  });
});
