import type { Capability, System } from '../catalogue';
import { conditionsThatStand, decideVerdict, findObjections, type Finding } from '.';

/*
 * From the rules (docs/grading.md), worked by hand: a major takes what it blocks, a minor limits the road; what may not go on the road
 * tows nothing and carries nobody there; what cannot stop, steer or stand does no work that is driving.
 */

const finding = (more: Partial<Finding> = {}): Finding => ({
  kind: 'fault',
  about: 'a',
  unitId: 'truck',
  title: 'A',
  grade: 'minor',
  blocks: [],
  chain: [],
  ...more,
});
const ALL: readonly Capability[] = [
  'road',
  'tow',
  'highway',
  'passengers',
  'yard',
  'plow',
  'crane',
];
const verdictOf = (
  findings: readonly Finding[],
  capabilities: readonly Capability[] = ALL,
  towed: readonly string[] = [],
) => decideVerdict({ capabilities, towed: new Set(towed), findings });
const states = (...args: Parameters<typeof verdictOf>) =>
  Object.fromEntries(
    verdictOf(...args).capabilities.map(({ capability, state }) => [capability, state]),
  );
const of = (systems: readonly System[], more: Partial<Finding> = {}) =>
  finding({ grade: 'major', blocks: ['road'], systems, ...more });

describe('what a finding weighs on', () => {
  it('is nothing where there is none, and where it is a note', () => {
    expect(verdictOf([]).headline).toBe('rolls');
    expect(verdictOf([finding({ grade: 'note' })])).toMatchObject({ headline: 'rolls' });
    expect(verdictOf([finding({ grade: 'note' })]).capabilities[0].findings).toEqual([]);
  });

  it('is the road, which a minor limits, and nothing else', () => {
    expect(states([finding({ blocks: ['crane'] })])).toEqual({
      road: 'limited',
      tow: 'clear',
      highway: 'clear',
      passengers: 'clear',
      yard: 'clear',
      plow: 'clear',
      crane: 'clear',
    });
    expect(verdictOf([finding()]).headline).toBe('limits');
  });

  it('is what a major blocks: without the crane it still rolls', () => {
    const crane = finding({ grade: 'major', blocks: ['crane'] });
    expect(states([crane])).toMatchObject({ road: 'clear', crane: 'blocked' });
    expect(verdictOf([crane]).headline).toBe('limits');
  });

  it('is the road where a major does not say what it blocks', () => {
    expect(verdictOf([finding({ grade: 'major' })]).headline).toBe('stays');
  });

  it('is with the road all that is done on one', () => {
    expect(states([of(['lamps'])])).toEqual({
      road: 'blocked',
      tow: 'blocked',
      highway: 'blocked',
      passengers: 'blocked',
      // A lamp that is out stops nobody in the yard.
      yard: 'clear',
      plow: 'clear',
      crane: 'clear',
    });
  });

  it.each(['brakes', 'steering', 'wheels', 'tyres', 'suspension', 'frame'] as const)(
    'is with %s also the work that is done by driving',
    (system) => {
      expect(states([of([system])])).toMatchObject({ yard: 'blocked', plow: 'blocked' });
      expect(states([of(['lamps', system])])).toMatchObject({ yard: 'blocked', crane: 'clear' });
    },
  );

  it('is that work too where nobody knows what part it is', () => {
    expect(states([finding({ grade: 'major', blocks: ['road'] })])).toMatchObject({
      yard: 'blocked',
    });
  });
});

describe('of what is towed', () => {
  const rig = ['road', 'tow'] as const;

  it('the road is the towing: the rig stays as coupled, and rolls without it', () => {
    const verdict = verdictOf([finding({ grade: 'major', unitId: 'trailer' })], rig, ['trailer']);
    expect(verdict).toMatchObject({ headline: 'stays', coupled: true, uncoupled: 'limits' });
    expect(states([finding({ grade: 'major', unitId: 'trailer' })], rig, ['trailer'])).toEqual({
      road: 'clear',
      tow: 'blocked',
    });
  });

  it('a minor limits the towing alone', () => {
    expect(states([finding({ unitId: 'trailer' })], rig, ['trailer'])).toEqual({
      road: 'clear',
      tow: 'limited',
    });
  });

  it('it is of the road where nothing of the rig speaks of towing', () => {
    expect(states([finding({ grade: 'major', unitId: 'trailer' })], ['road'], ['trailer'])).toEqual(
      { road: 'blocked' },
    );
  });

  it('a fault of the one that drives keeps both, and dropping the trailer helps nothing', () => {
    const verdict = verdictOf([finding({ grade: 'major', blocks: ['road'] })], rig, ['trailer']);
    expect(verdict.headline).toBe('stays');
    expect(verdict).not.toHaveProperty('uncoupled');
  });

  it('a blocked coupling of what tows nothing today keeps nobody', () => {
    const verdict = verdictOf([finding({ grade: 'major', blocks: ['tow'] })], rig);
    expect(verdict).toMatchObject({ headline: 'limits', coupled: false });
  });
});

describe('what is to be heeded', () => {
  const two = finding({
    condition: 'Daylight only.',
    mostKmh: 80,
    further: [{ condition: 'Not in rain.', mostKmh: 50 }, { condition: 'Daylight only.' }],
  });

  it('is each condition once, and the lowest speed', () => {
    expect(verdictOf([two])).toMatchObject({
      conditions: ['Daylight only.', 'Not in rain.'],
      mostKmh: 50,
    });
    expect(verdictOf([finding()])).not.toHaveProperty('mostKmh');
    expect(verdictOf([finding()]).conditions).toEqual([]);
  });

  it('stands as a minor of its own for each further limit, of the same part', () => {
    const [own, first, second] = conditionsThatStand([two]);
    expect(own).toBe(two);
    expect(first).toMatchObject({
      kind: 'fault',
      about: 'a',
      unitId: 'truck',
      title: 'A',
      grade: 'minor',
      blocks: [],
      condition: 'Not in rain.',
    });
    expect(second.condition).toBe('Daylight only.');
  });

  it('limits the road by each of them beside a major that takes something else', () => {
    const crane = finding({
      grade: 'major',
      blocks: ['crane'],
      further: [{ condition: 'Not in rain.' }],
    });
    expect(states([crane])).toMatchObject({ road: 'limited', crane: 'blocked' });
  });

  it('is of minors, and of whatever must be done before leaving', () => {
    const notes = [
      finding({ grade: 'note', condition: 'Tell the shop.' }),
      finding({ grade: 'major', condition: 'Mend it.' }),
      finding({ grade: 'note', bars: 'before-leaving', condition: 'Wipe it.' }),
    ];
    expect(conditionsThatStand(notes).map(({ condition }) => condition)).toEqual(['Wipe it.']);
  });

  it('is nothing any more once a supervisor has lifted it, while the road stays limited', () => {
    const lifted = { ...two, lifted: { by: 'ilka', at: 7, words: 'Seen' } };
    expect(verdictOf([lifted]).conditions).toEqual([]);
    expect(states([lifted])).toMatchObject({ road: 'limited' });
  });
});

describe('whether it may leave for a job', () => {
  const objections = (
    findings: readonly Finding[],
    more: Partial<Parameters<typeof findObjections>[0]> = {},
    towed: readonly string[] = [],
  ) =>
    findObjections({
      verdict: verdictOf(findings, ALL, towed),
      findings,
      needs: [],
      circumstances: new Set(),
      officerReleases: false,
      released: false,
      ...more,
    });

  it('is objected by nothing but what its job needs', () => {
    const crane = finding({ grade: 'major', blocks: ['crane'] });
    expect(objections([crane])).toEqual([]);
    expect(objections([crane], { needs: ['crane'] })).toMatchObject([
      { code: 'blocked', capability: 'crane', findings: [crane] },
    ]);
    expect(objections([], { needs: ['pump'] })).toEqual([
      { code: 'missing-capability', capability: 'pump' },
    ]);
  });

  it('names majors alone, and what keeps the first from the road once', () => {
    const major = of(['lamps']);
    const [only, ...others] = objections([major, finding({ about: 'b' })], {}, ['trailer']);
    expect(only).toMatchObject({ code: 'blocked', capability: 'road', findings: [major] });
    expect(others).toEqual([]);
    // Asked for by itself it is told again.
    expect(objections([major], { needs: ['tow'] })).toHaveLength(2);
  });

  it('is objected by what was left out, and only where something was', () => {
    expect(objections([], { leftOut: [] })).toEqual([]);
    const items = [{ change: 'outriggers-in', unitId: 'truck' }] as never;
    expect(objections([], { leftOut: items })).toEqual([{ code: 'left-out', items }]);
  });

  it('waits for an officer only where the policy wants one, and something is out that the job does not need', () => {
    const crane = finding({ grade: 'major', blocks: ['crane'] });
    expect(objections([crane], { officerReleases: true })).toEqual([
      { code: 'officer', capabilities: ['crane'] },
    ]);
    expect(objections([crane], { officerReleases: true, released: true })).toEqual([]);
    expect(objections([], { officerReleases: true })).toEqual([]);
  });

  it.each([
    ['dark', [], [], false, 0],
    ['dark', ['dark'], [], false, 1],
    ['towing', [], [], false, 0],
    ['towing', [], ['tow'], false, 1],
    ['dark', [], ['tow'], false, 0],
    ['job', [], [], false, 1],
    ['job', [], [], true, 0],
    ['before-leaving', [], [], false, 1],
  ] as const)(
    'a condition that bars %s, in %j, for %j, to the workshop %p: %p objections',
    (bars, circumstances, needs, toWorkshop, count) => {
      const found = objections([finding({ bars, condition: 'C' })], {
        circumstances: new Set(circumstances),
        needs,
        toWorkshop,
      });
      expect(found).toHaveLength(count);
    },
  );

  it('takes the driver’s word for what is done before leaving, about that very thing', () => {
    const wipe = finding({ bars: 'before-leaving' });
    expect(objections([wipe], { met: new Set(['a']) })).toEqual([]);
    expect(objections([wipe], { met: new Set(['b']) })).toHaveLength(1);
  });
});
