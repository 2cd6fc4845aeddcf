import type { Bar, Capability, Circumstance } from '../catalogue';
import { decideVerdict, findObjections, type Finding, type Grade } from '.';

const finding = (grade: Grade, more: Partial<Finding> = {}): Finding => ({
  kind: 'fault',
  about: 'truck/check',
  unitId: 'truck',
  title: 'Run wipers and washer',
  grade,
  blocks: grade === 'major' ? ['road'] : [],
  chain: [],
  ...more,
});

function object(
  findings: readonly Finding[],
  more: {
    needs?: readonly Capability[];
    circumstances?: readonly Circumstance[];
    officerReleases?: boolean;
    released?: boolean;
    toWorkshop?: boolean;
    coupled?: boolean;
    met?: readonly string[];
  } = {},
) {
  const verdict = decideVerdict({
    capabilities: ['road', 'tow', 'plow', 'spread'],
    towed: new Set(more.coupled ? ['trailer'] : []),
    findings,
  });
  return findObjections({
    verdict,
    findings,
    needs: more.needs ?? [],
    circumstances: new Set(more.circumstances),
    officerReleases: more.officerReleases ?? false,
    released: more.released ?? false,
    toWorkshop: more.toWorkshop,
    met: new Set(more.met),
  });
}

describe('a rig that is wanted for a job', () => {
  it('may leave when nothing is against it', () => {
    expect(object([], { needs: ['plow', 'spread'] })).toEqual([]);
  });

  it('may not leave with the road blocked, whatever the job', () => {
    const broken = finding('major');
    expect(object([broken])).toEqual([{ code: 'blocked', capability: 'road', findings: [broken] }]);
  });

  it('may leave for one job and not for another', () => {
    const hoist = finding('major', { blocks: ['spread'] });
    expect(object([hoist], { needs: ['plow'] })).toEqual([]);
    expect(object([hoist], { needs: ['plow', 'spread'] })).toMatchObject([
      { code: 'blocked', capability: 'spread', findings: [hoist] },
    ]);
  });

  it('may not do what it cannot do at all', () => {
    expect(object([], { needs: ['crane'] })).toEqual([
      { code: 'missing-capability', capability: 'crane' },
    ]);
  });

  it.each<[Bar, readonly Circumstance[], boolean]>([
    ['dark', [], false],
    ['dark', ['dark'], true],
    ['wet', ['dark'], false],
    ['wet', ['wet', 'dark'], true],
    ['job', [], true],
  ])('with a condition that bars %s, in %p: objection %p', (bars, circumstances, expected) => {
    const limited = finding('minor', { condition: 'Only so.', bars });
    expect(object([limited], { circumstances }).length > 0).toBe(expected);
  });

  it('a trailer left behind by a condition', () => {
    const limited = finding('minor', { condition: 'Without a trailer.', bars: 'towing' });
    expect(object([limited])).toEqual([]);
    expect(object([limited], { needs: ['tow'] })).toMatchObject([
      { code: 'condition', bar: 'towing' },
    ]);
  });

  it('stays with a trailer that may not be towed, whatever the job and also to the workshop', () => {
    const trailer = finding('major', { unitId: 'trailer', about: 'trailer/check' });
    for (const more of [{}, { toWorkshop: true }, { needs: ['plow'] as const }])
      expect(object([trailer], { coupled: true, ...more })).toEqual([
        { code: 'blocked', capability: 'tow', findings: [trailer] },
      ]);
    // Dropped, it is another rig.
    expect(object([finding('major', { blocks: ['tow'] })])).toEqual([]);
    expect(object([finding('major', { blocks: ['tow'] })], { coupled: true })).toHaveLength(1);
  });

  it('tells a fault of the truck once, though it keeps the trailer too', () => {
    const truck = finding('major');
    const trailer = finding('major', { unitId: 'trailer', about: 'trailer/check' });
    expect(object([truck], { coupled: true })).toEqual([
      { code: 'blocked', capability: 'road', findings: [truck] },
    ]);
    expect(object([truck, trailer], { coupled: true })).toEqual([
      { code: 'blocked', capability: 'road', findings: [truck] },
      { code: 'blocked', capability: 'tow', findings: [trailer] },
    ]);
  });

  it('is held by what must be done before leaving, until the driver has looked again', () => {
    const loose = finding('minor', {
      condition: 'Tighten it before leaving.',
      bars: 'before-leaving',
    });
    for (const more of [{}, { toWorkshop: true }])
      expect(object([loose], more)).toEqual([{ code: 'before-leaving', finding: loose }]);
    expect(object([loose], { met: ['truck/check'] })).toEqual([]);
    expect(object([loose], { met: ['truck/other'] })).toHaveLength(1);
  });

  it('may go to the nearest repair when the job is to get there', () => {
    const limited = finding('minor', { condition: 'To the nearest repair.', bars: 'job' });
    expect(object([limited], { toWorkshop: true })).toEqual([]);
    expect(object([finding('major')], { toWorkshop: true })).toHaveLength(1);
  });

  it('goes when a supervisor took the condition off', () => {
    const lifted = finding('minor', {
      bars: 'job',
      lifted: { by: 'supervisor', at: 0, words: 'Follows another truck.' },
    });
    expect(object([lifted])).toEqual([]);
  });

  it('waits for the officer where equipment is out of service and the policy wants it', () => {
    const out = finding('major', { blocks: ['spread'] });
    expect(object([out], { officerReleases: true })).toEqual([
      { code: 'officer', capabilities: ['spread'] },
    ]);
    expect(object([out], { officerReleases: true, released: true })).toEqual([]);
    expect(object([finding('major')], { officerReleases: true, released: true })).toMatchObject([
      { code: 'blocked', capability: 'road' },
    ]);
  });
});

describe('speed and conditions of a verdict', () => {
  it('the lowest speed counts', () => {
    const verdict = decideVerdict({
      capabilities: ['road'],
      towed: new Set(['trailer']),
      findings: [finding('minor', { mostKmh: 60 }), finding('minor', { mostKmh: 40, about: 'b' })],
    });
    expect(verdict.mostKmh).toBe(40);
  });

  it('a lifted condition is not named, and the capability stays limited', () => {
    const verdict = decideVerdict({
      capabilities: ['road'],
      towed: new Set(['trailer']),
      findings: [
        finding('minor', {
          condition: 'Dry only.',
          lifted: { by: 's', at: 0, words: 'Short way' },
        }),
      ],
    });
    expect(verdict).toMatchObject({ conditions: [], headline: 'limits' });
  });
});
