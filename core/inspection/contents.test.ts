import { LIST_SHORT, type ContentsItem } from '../catalogue';
import { catalogue } from '../content';
import { policiesFor } from '../grading';
import { buildReport } from '../report';
import { composeRig } from '../rig';
import {
  answerSound,
  begunOf,
  countedOf,
  faultOf,
  instanceOf,
  makeLog,
  signature,
  trailer,
  truck,
} from '../testing';
import { assess, findShort, fold } from '.';

const list: readonly ContentsItem[] = [
  { id: 'kit', check: 'bus.kit', title: 'First-aid kit', count: 1, expires: true },
  { id: 'triangles', check: 'bus.kit', title: 'Triangles', count: 3 },
];
const DAY = '2026-11-25';

describe('a list held against what was counted', () => {
  const whole = [
    { id: 'kit', found: 1, until: '2027-03-31' },
    { id: 'triangles', found: 3 },
  ];

  it('is complete when all is there and in date', () => {
    expect(findShort(list, whole, DAY)).toEqual([]);
  });

  it('takes more than belongs there as enough', () => {
    expect(findShort(list, [whole[0], { id: 'triangles', found: 4 }], DAY)).toEqual([]);
  });

  it.each([
    ['fewer than belong', [whole[0], { id: 'triangles', found: 2 }], 'triangles', 2, 'missing'],
    ['not counted at all', [whole[0]], 'triangles', 0, 'missing'],
    [
      'a date that passed yesterday',
      [{ ...whole[0], until: '2026-11-24' }, whole[1]],
      'kit',
      1,
      'out-of-date',
    ],
    ['a date that nobody read', [{ id: 'kit', found: 1 }, whole[1]], 'kit', 1, 'date-not-read'],
  ])('names %s', (_, counted, id, found, why) => {
    expect(findShort(list, counted, DAY)).toMatchObject([{ item: { id }, found, why }]);
  });

  it('lets a date of this very day pass', () => {
    expect(findShort(list, [{ ...whole[0], until: DAY }, whole[1]], DAY)).toEqual([]);
  });

  it('ignores what is not on it', () => {
    expect(findShort(list, [...whole, { id: 'umbrella', found: 0 }], DAY)).toEqual([]);
  });
});

describe('a check that is answered by counting', () => {
  const plow = {
    ...trailer,
    id: `${trailer.id.slice(0, -2)}c7`,
    number: '614',
    moduleId: 'front-plow',
    specification: {},
  };
  const host = { ...truck, fitted: ['power-take-off'] };
  const rig = composeRig({
    units: [host, plow],
    phase: 'pre-trip',
    circumstances: [],
    catalogue,
  });
  const instance = instanceOf(rig, 'plow.spare-bolts');
  const begin = () => {
    const log = makeLog();
    log.add('begun', begunOf(rig));
    return log;
  };
  const stateOf = (log: ReturnType<typeof makeLog>) =>
    assess({
      inspection: fold(log.events[0].inspectionId, log.events),
      rig,
      policiesOf: () => policiesFor(['two-step']),
      known: [],
      unread: [],
    }).byKey.get(instance.key)?.state;

  it('carries the list of its module', () => {
    expect(instance.contents?.map(({ id }) => id)).toEqual(['shear-bolts', 'hitch-pins']);
  });

  it('is not sound without a count', () => {
    const log = begin();
    log.add('answered', { key: instance.key, outcome: 'sound' });
    expect(stateOf(log)).toBe('unanswered');
  });

  it('is not sound while the list is short, and is once what was missing is there', () => {
    const log = begin();
    log.add('counted', { key: instance.key, items: [{ id: 'shear-bolts', found: 1 }] });
    log.add('answered', { key: instance.key, outcome: 'sound' });
    expect(stateOf(log)).toBe('unanswered');
    answerSound(log, instance);
    expect(stateOf(log)).toBe('sound');
  });

  it('has a symptom for what is missing, which every policy grades', () => {
    const log = begin();
    log.add('counted', { key: instance.key, items: [] });
    log.add('faulted', faultOf(instance, LIST_SHORT));
    expect(stateOf(log)).toBe('minor');
  });

  it('goes to the report with what was expected and found', () => {
    const log = begin();
    for (const each of rig.instances) answerSound(log, each);
    log.add('counted', {
      key: instance.key,
      items: [
        { id: 'shear-bolts', found: 1 },
        { id: 'hitch-pins', found: 2 },
      ],
    });
    log.add('faulted', faultOf(instance, LIST_SHORT));
    log.add('signed', { signature, headline: 'limits' });
    const inspection = fold(log.events[0].inspectionId, log.events);
    const policies = policiesFor(['two-step']);
    const assessment = assess({
      inspection,
      rig,
      policiesOf: () => policies,
      known: [],
      unread: [],
    });
    const report = buildReport({
      reportIds: new Map(rig.units.map(({ unit }) => [unit.id, unit.id])),
      unitId: plow.id,
      inspection,
      rig,
      assessment,
      policies,
      organisation: 'Halvern',
      depot: 'North',
      driver: { id: 'd', name: 'Imre Dahl' },
      photoHashes: new Map(),
    });
    expect(report.answers.find(({ key }) => key === instance.key)?.counted).toEqual([
      { title: 'Shear bolts', expected: 2, found: 1 },
      { title: 'Hitch pins with keepers', expected: 2, found: 2 },
    ]);
    expect(report.defects.map(({ symptom }) => symptom)).toEqual([
      'Something on its list is missing or past its date',
    ]);
  });

  it('is counted whole by the helper that the tests share', () => {
    expect(findShort(instance.contents ?? [], countedOf(instance).items, DAY)).toEqual([]);
  });
});
