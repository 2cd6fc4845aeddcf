import fc from 'fast-check';
import { CIRCUMSTANCES, type Circumstance, type Symptom } from '../catalogue';
import { catalogue } from '../content';
import { symptom as write, worse, worseWhenNeeded } from '../content/write';
import {
  GRADES,
  affectsSafetyPolicy,
  chosenPolicyId,
  dueOf,
  fireServicePolicy,
  gradeSymptom,
  gradingTable,
  nilDefectPolicy,
  policies,
  policiesFor,
  readinessPolicy,
  twoStepPolicy,
  type Grade,
  type GradeRequest,
  type Policy,
} from '.';
import { findPolicyFaults, sayFault } from '../validation';

const rank = (grade: Grade) => GRADES.indexOf(grade);
const symptoms = catalogue.modules.flatMap(({ checks }) =>
  checks.flatMap((check) => check.symptoms),
);

function symptomOf(checkId: string, symptomId: string): Symptom {
  const check = catalogue.modules.flatMap(({ checks }) => checks).find(({ id }) => id === checkId);
  const found = check?.symptoms.find(({ id }) => id === symptomId);
  if (!found) throw new RangeError(`${checkId} ${symptomId}`);
  return found;
}

function grade(symptom: Symptom, policy: Policy, more: Partial<GradeRequest> = {}) {
  return gradeSymptom({
    symptom,
    circumstances: new Set(),
    alike: 1,
    policies: [policy],
    ...more,
  });
}

describe('the table of symptoms and policies', () => {
  const table = gradingTable(catalogue, policies);

  it('has no hole', () => {
    expect(table.length).toBeGreaterThan(symptoms.length);
    for (const row of table) {
      expect(row.grades).toHaveLength(policies.length);
      for (const each of [...row.grades, ...row.atWorst]) expect(GRADES).toContain(each);
      expect(row.holes).toEqual([]);
    }
  });

  it('names the policy that has no rule for a symptom, which then counts as major', () => {
    const { repair, ...rest } = policies[0].gradeOf;
    expect(repair).toBe('minor');
    const holed = { ...policies[0], id: 'holed', gradeOf: rest as Policy['gradeOf'] };
    const row = gradingTable(catalogue, [policies[0], holed]).find(
      ({ check, symptom }) => check.endsWith('wheel.nuts') && symptom === 'nut-streak',
    );
    expect(row).toMatchObject({ grades: ['minor', 'major'], holes: ['holed'] });
  });

  it('never grades what stops a vehicle below major', () => {
    for (const symptom of symptoms.filter(({ harm, scale }) => harm === 'stop' && !scale))
      for (const policy of policies) {
        // A depot that chooses the schedule and nothing stricter has what that says of what it lists, and no less.
        const listed = policy.schedule?.houseStricter === false && symptom.listed !== undefined;
        expect(grade(symptom, policy).grade).toBe(
          listed &&
            !symptom.listed.some((each) => each.grade === 'major' && !each.when && !each.from)
            ? 'minor'
            : 'major',
        );
      }
  });

  it('has policies that differ', () => {
    for (const policy of policies.slice(1))
      expect(
        table.some(({ grades }) => grades[policies.indexOf(policy)] !== grades[0]) ||
          table.some(({ atWorst }) => atWorst[policies.indexOf(policy)] !== atWorst[0]) ||
          policy === readinessPolicy,
      ).toBe(true);
  });
});

type Row = [string, string, string, Grade, (string | undefined)?, Circumstance[]?];

/** A row that is too short would get the test's own callback for what is missing. */
function rows(short: Row[]): [string, string, string, Grade, string | undefined, Circumstance[]][] {
  return short.map(([item, check, symptom, expected, step, circumstances]) => [
    item,
    check,
    symptom,
    expected,
    step,
    circumstances ?? [],
  ]);
}

describe('the two-step schedule (NSC Standard 13, Schedule 1)', () => {
  it.each(
    rows([
      ['item 1', 'truck.air.warning', 'warning-dead', 'major'],
      ['item 1', 'truck.brake.parking', 'parking-slips', 'major'],
      ['item 1', 'truck.air.leak-applied', 'leak-over', 'major'],
      ['item 2', 'truck.cab.door', 'door-pops', 'major'],
      ['item 3', 'truck.load.secured', 'load-loose', 'major'],
      ['item 4', 'truck.coupling.pintle', 'latch-open', 'major'],
      ['item 4', 'tag-trailer.coupling.chain', 'chain-missing', 'major'],
      ['item 6', 'truck.cab.gauges', 'lamp-test-dead', 'minor'],
      ['item 7', 'truck.cab.belt', 'belt-fails', 'major'],
      ['item 9', 'truck.emergency.first-aid', 'kit-missing', 'minor'],
      ['item 10', 'truck.exhaust.system', 'exhaust-leak', 'minor'],
      ['item 10', 'truck.exhaust.system', 'exhaust-cab', 'major'],
      ['item 11', 'truck.frame.rail', 'frame-crack', 'major'],
      ['item 12', 'truck.fuel.tank', 'fuel-leak', 'major', 'class-3'],
      ['item 12', 'truck.fuel.tank', 'strap-loose', 'major'],
      ['item 14', 'truck.mirror.outside', 'mirror-loose', 'minor'],
      ['item 15', 'truck.cab.defroster', 'defroster-dead', 'minor'],
      ['item 15', 'truck.cab.defroster', 'defroster-dead', 'major', undefined, ['freezing']],
      ['item 18', 'truck.lamp.side', 'lamp-out', 'minor'],
      ['item 18', 'truck.lamp.rear-signal', 'lamp-out', 'major'],
      ['item 19', 'truck.steering.free-play', 'free-play-over', 'major'],
      ['item 20', 'truck.suspension.spring', 'leaf-broken', 'minor'],
      ['item 20', 'truck.suspension.spring', 'main-leaf-broken', 'major'],
      ['item 20', 'truck.suspension.spring', 'u-bolt-loose', 'major'],
      ['item 21', 'truck.tyre.walls', 'cord-showing', 'major'],
      ['item 21', 'truck.tyre.tread-steer', 'tread-worn-out', 'major'],
      ['item 21', 'truck.tyre.valve', 'valve-hiss', 'major'],
      ['item 22', 'truck.wheel.hub', 'hub-level-low', 'minor'],
      ['item 22', 'truck.wheel.hub', 'hub-leak', 'minor', 'class-1'],
      ['item 22', 'truck.wheel.nuts', 'nut-one', 'major'],
      ['item 22', 'truck.wheel.rim', 'rim-cracked', 'major'],
      ['item 23', 'truck.glass.wiper-blades', 'blade-torn', 'minor'],
      ['item 23', 'truck.glass.washer-fluid', 'washer-empty', 'major', undefined, ['wet']],
    ]),
  )('%s: %s %s is %s', (_, check, symptom, expected, stepId, circumstances) => {
    const graded = grade(symptomOf(check, symptom), twoStepPolicy, {
      stepId,
      circumstances: new Set(circumstances),
    });
    expect(graded.grade).toBe(expected);
  });
});

describe('the list of parts that affect safety (49 CFR 396.11(a)(1))', () => {
  it.each([
    // (i) to (xi) in the order of the list.
    ['truck.brake.hose', 'hose-rubs'],
    ['truck.steering.tie-rod', 'boot-torn'],
    ['truck.lamp.tail', 'lens-broken'],
    ['truck.tyre.walls', 'object-in'],
    ['truck.glass.wiper-blades', 'blade-torn'],
    ['truck.mirror.outside', 'mirror-loose'],
    ['truck.coupling.pintle', 'pintle-worn'],
    ['truck.wheel.nuts', 'nut-streak'],
    ['truck.emergency.extinguisher', 'extinguisher-date'],
  ])('%s %s must be certified before it is driven', (check, symptom) => {
    const of = symptomOf(check, symptom);
    const graded = grade(of, affectsSafetyPolicy);
    expect(graded.grade).toBe('major');
    expect(graded.chain.at(-1)).toMatchObject({ code: 'policy' });
    expect(graded.chain.at(-1)?.words).toContain('396.11(a)(1)');
    expect(grade(of, twoStepPolicy).grade).toBe('minor');
  });

  it('leaves what is not on the list to its time', () => {
    expect(grade(symptomOf('truck.body.mud-flap', 'flap-gone'), affectsSafetyPolicy).grade).toBe(
      'minor',
    );
  });

  it('takes a bus whose lift is dead out of passenger service (49 CFR 37.163(d))', () => {
    const lift = write('lift-dead', 'Lift does not move', 'lift', 'stop', {
      takes: ['passenger-lift'],
    });
    expect(grade(lift, affectsSafetyPolicy).blocks).toEqual(['passenger-lift', 'passengers']);
    expect(grade(lift, twoStepPolicy).blocks).toEqual(['passenger-lift']);
  });
});

describe('the other policies', () => {
  it('nil-defect: any defect of the brakes keeps it off the road (SI 1986/1078 reg. 100)', () => {
    expect(grade(symptomOf('truck.brake.hose', 'hose-rubs'), nilDefectPolicy).grade).toBe('major');
  });

  it('nil-defect: a broken lens is minor by day and major in the dark (SI 1989/1796)', () => {
    const lens = symptomOf('truck.lamp.tail', 'lens-broken');
    expect(grade(lens, nilDefectPolicy).grade).toBe('minor');
    expect(grade(lens, nilDefectPolicy, { circumstances: new Set(['dark']) }).grade).toBe('major');
  });

  it('readiness: the same fault keeps it from a task that needs the part, and from no other', () => {
    const worn = symptomOf('truck.coupling.pintle', 'pintle-worn');
    expect(grade(worn, readinessPolicy).grade).toBe('minor');
    expect(grade(worn, readinessPolicy, { needed: new Set(['plow']) }).grade).toBe('minor');
    expect(grade(worn, readinessPolicy, { needed: new Set(['tow']) })).toMatchObject({
      grade: 'major',
      blocks: ['tow'],
    });
  });

  it('each names its deadlines', () => {
    const reported = Date.UTC(2026, 10, 25);
    for (const policy of policies) {
      expect(dueOf([policy], 'major', 'brakes', reported)?.at).toBe(reported);
      expect(dueOf([policy], 'minor', 'body', reported)?.at).toBeGreaterThan(reported);
    }
    expect(dueOf([twoStepPolicy], 'note', 'body', reported)).toBeUndefined();
    // The earliest of several counts.
    expect(dueOf([twoStepPolicy, fireServicePolicy], 'minor', 'body', reported)?.at).toBe(
      reported + 72 * 3_600_000,
    );
  });
});

describe('awkward cases from other equipment', () => {
  it('an aerial that may not rise though the apparatus may roll', () => {
    const seep = write('cylinder-seep', 'Lift cylinder seeps', 'hydraulics', 'repair', {
      takes: ['aerial'],
    });
    expect(grade(seep, fireServicePolicy)).toMatchObject({ grade: 'major', blocks: ['aerial'] });
    expect(grade(seep, twoStepPolicy)).toMatchObject({ grade: 'minor', blocks: [] });
  });

  it('a liftgate needed for the deliveries of today', () => {
    const slow = write('gate-slow', 'Rises slowly', 'lift', 'repair', {
      takes: ['lift-gate'],
      worse: [worseWhenNeeded('lift-gate', 'stop', 'it may not come up again at the third stop')],
    });
    expect(grade(slow, twoStepPolicy).grade).toBe('minor');
    const today = grade(slow, twoStepPolicy, { needed: new Set(['lift-gate']) });
    expect(today).toMatchObject({ grade: 'major', blocks: ['lift-gate'] });
    expect(today.chain.at(-1)).toMatchObject({ code: 'needed' });
  });

  it('a spreader lamp covered in salt at night, wiped on the spot', () => {
    const salt = write('lens-dirty', 'Covered in salt', 'lamps', 'repair', {
      worse: [worse('dark', 'stop', 'a covered lamp is no lamp in the dark')],
      fixes: ['Wipe the lens'],
    });
    const night = { circumstances: new Set<Circumstance>(['dark', 'wet']) };
    for (const policy of policies) {
      expect(grade(salt, policy, night).grade).toBe('major');
      expect(grade(salt, policy, { ...night, fixed: 'Wipe the lens' }).grade).toBe('note');
    }
  });

  it('a wheelchair lift that jerks is nothing to be put right in the yard', () => {
    const jerks = write('lift-jerks', 'Jerks on the way', 'lift', 'stop', {
      takes: ['passenger-lift'],
    });
    const graded = grade(jerks, twoStepPolicy, { fixed: 'Greased it' });
    expect(graded).toMatchObject({ grade: 'major', blocks: ['passenger-lift'] });
    expect(graded.chain.at(-1)?.code).toBe('fix-refused');
  });

  it('a worn sling laid aside leaves something to replace (29 CFR 1910.184(d))', () => {
    const worn = write('sling-worn', 'Sling worn or cut', 'rigging', 'stop', {
      takes: ['crane'],
      fixes: ['Cut up and laid aside'],
      fixLeaves: 'repair',
    });
    expect(grade(worn, twoStepPolicy)).toMatchObject({ grade: 'major', blocks: ['crane'] });
    expect(grade(worn, twoStepPolicy, { fixed: 'Cut up and laid aside' }).grade).toBe('minor');
  });

  it('a share of the brakes: half of the slack adjusters uneven', () => {
    const uneven = symptomOf('truck.brake.slack', 'slack-uneven');
    const of = (alike: number) => grade(uneven, twoStepPolicy, { alike, places: 4 }).grade;
    expect([of(1), of(2)]).toEqual(['minor', 'major']);
  });

  it('one policy that names the very symptom', () => {
    const named = write('hose-soft', 'Soft hose', 'engine', 'repair', {
      exceptions: [
        { policy: 'two-step', harm: 'stop', because: 'listed as major', source: 'Schedule 9' },
      ],
    });
    expect(grade(named, twoStepPolicy).chain.at(-1)).toEqual({
      code: 'exception',
      words: 'listed as major (Schedule 9)',
    });
    expect(grade(named, nilDefectPolicy).grade).toBe('minor');
  });
});

describe('when rules disagree or are missing', () => {
  const lens = symptomOf('truck.lamp.tail', 'lens-broken');

  it('the stricter wins and says so', () => {
    const both = gradeSymptom({
      symptom: lens,
      circumstances: new Set(),
      alike: 1,
      policies: [twoStepPolicy, affectsSafetyPolicy],
    });
    expect(both).toMatchObject({ grade: 'major', policyId: 'affects-safety' });
    expect(both.chain.at(-1)).toEqual({ code: 'stricter', words: affectsSafetyPolicy.title });
  });

  it('a table with a hole counts as major', () => {
    const holed = {
      ...twoStepPolicy,
      gradeOf: { watch: 'note', stop: 'major' },
    } as never as Policy;
    const graded = grade(lens, holed);
    expect(graded.grade).toBe('major');
    expect(graded.chain.at(-1)?.code).toBe('rule-missing');
  });

  it('no policy at all is the strictest', () => {
    expect(
      gradeSymptom({ symptom: lens, circumstances: new Set(), alike: 1, policies: [] }).grade,
    ).toBe('major');
  });

  it('a policy that is not known here leaves it to all that are', () => {
    expect(policiesFor(['two-step'])).toEqual([twoStepPolicy]);
    expect(policiesFor(['two-step', 'halvern-special'])).toEqual(policies);
    expect(policiesFor([])).toEqual(policies);
  });

  it('a depot picks by class of vehicle', () => {
    const choice = { usual: 'two-step', byClass: { fire: 'fire-service' } } as const;
    expect(chosenPolicyId(choice, 'fire')).toBe('fire-service');
    expect(chosenPolicyId(choice, 'trailer')).toBe('two-step');
  });
});

describe('properties over all policies', () => {
  const arbitrary = {
    symptom: fc.constantFrom(...symptoms),
    policies: fc.subarray([...policies], { minLength: 1 }),
    circumstances: fc.subarray<Circumstance>([...CIRCUMSTANCES]),
    needed: fc.subarray(['tow', 'plow', 'lift-gate'] as const),
    alike: fc.integer({ min: 1, max: 6 }),
    places: fc.integer({ min: 1, max: 6 }),
  };

  it('a darker, wetter, colder, fuller moment, another need or another policy never lowers a grade', () => {
    fc.assert(
      fc.property(
        fc.record(arbitrary),
        fc.constantFrom(...CIRCUMSTANCES),
        fc.constantFrom('tow', 'plow', 'lift-gate' as const),
        fc.constantFrom(...policies),
        (request, circumstance, need, policy) => {
          const of = (more: {
            circumstances?: readonly Circumstance[];
            needed?: readonly ('tow' | 'plow' | 'lift-gate')[];
            policies?: readonly Policy[];
          }) =>
            rank(
              gradeSymptom({
                ...request,
                policies: more.policies ?? request.policies,
                circumstances: new Set(more.circumstances ?? request.circumstances),
                needed: new Set(more.needed ?? request.needed),
              }).grade,
            );
          const before = of({});
          expect(
            of({ circumstances: [...request.circumstances, circumstance] }),
          ).toBeGreaterThanOrEqual(before);
          expect(of({ needed: [...request.needed, need as 'tow'] })).toBeGreaterThanOrEqual(before);
          expect(of({ policies: [...request.policies, policy] })).toBeGreaterThanOrEqual(before);
        },
      ),
    );
  });

  it('what one policy blocks, it blocks beside others as well', () => {
    fc.assert(
      fc.property(fc.record(arbitrary), fc.constantFrom(...policies), (request, policy) => {
        const of = (list: readonly Policy[]) =>
          gradeSymptom({
            ...request,
            policies: list,
            circumstances: new Set(request.circumstances),
            needed: new Set(request.needed),
          });
        const more = of([...request.policies, policy]).blocks;
        for (const capability of of(request.policies).blocks) expect(more).toContain(capability);
      }),
    );
  });
});

describe('a policy that somebody brings', () => {
  const own = { ...twoStepPolicy, id: 'halvern-winter' };
  const [listedPart] = affectsSafetyPolicy.rules;

  it('is taken when it is whole', () => {
    expect(findPolicyFaults(own)).toEqual([]);
  });

  it('that ships passes its own check but for the name', () => {
    for (const policy of policies)
      expect(findPolicyFaults(policy).map(sayFault)).toEqual([
        expect.stringContaining('choose another'),
      ]);
  });

  it.each<[string, object, RegExp]>([
    ['a missing rule', { ...own, gradeOf: { watch: 'note', stop: 'major' } }, /gradeOf\.repair/],
    ['a softer stop', { ...own, gradeOf: { ...own.gradeOf, stop: 'minor' } }, /must be major/],
    ['a softer repair', { ...own, gradeOf: { ...own.gradeOf, repair: 'note' } }, /is no note/],
    ['a missing deadline', { ...own, deadlines: [] }, /no deadline for minor/],
    ['a major put off', { ...own, deferrable: ['major'] }, /cannot be put off/],
    ['too short a keep', { ...own, keepDays: 30 }, /at least 92/],
    ['an unknown part', { ...own, rules: [{ ...listedPart, systems: ['wings'] }] }, /systems/],
    ['a rule twice', { ...own, rules: [listedPart, listedPart] }, /stands twice/],
    ['a stray field', { ...own, lenient: true }, /lenient/],
  ])('with %s is refused, with the place', (_, policy, sentence) => {
    expect(findPolicyFaults(policy).map(sayFault).join('\n')).toMatch(sentence);
  });

  it.each([[null], [[]], ['text'], [7]])('that is %p is no policy', (value) => {
    expect(findPolicyFaults(value)).toHaveLength(1);
  });
});
