import { openOnUnits, type DefectOnUnit } from '.';

const defect = (more: Partial<DefectOnUnit> = {}): DefectOnUnit => ({
  id: 'hose',
  unitId: '214',
  inspectionId: 'yesterday',
  key: '214/truck.brake.hose/steer-right',
  title: 'Brake hose',
  place: 'steer axle, right',
  grade: 'minor',
  blocks: ['tow'],
  symptom: 'Chafed',
  symptomId: 'hose-chafed',
  system: 'brakes',
  condition: 'Watch the gauges.',
  bars: null,
  mostKmh: 60,
  reportedAt: '2026-11-20T05:00:00.000Z',
  until: '2026-12-01',
  status: 'open',
  outcomeWords: null,
  ...more,
});
const bearing = (...defects: readonly DefectOnUnit[]) =>
  openOnUnits(['214', '931'], 'today', defects);

describe('what bears on a walk', () => {
  it('is what is open on its units, with all that its grade rests on', () => {
    expect(bearing(defect())).toEqual({
      known: [
        {
          id: 'hose',
          key: '214/truck.brake.hose/steer-right',
          unitId: '214',
          title: 'Brake hose, steer axle, right',
          grade: 'minor',
          blocks: ['tow'],
          words: 'Chafed',
          symptomId: 'hose-chafed',
          system: 'brakes',
          condition: 'Watch the gauges.',
          bars: undefined,
          mostKmh: 60,
          reportedAt: Date.UTC(2026, 10, 20, 5),
          until: undefined,
        },
      ],
      unread: [],
    });
  });

  it('is not what another unit has, nor what this very walk has found', () => {
    expect(bearing(defect({ unitId: '218' })).known).toEqual([]);
    expect(bearing(defect({ inspectionId: 'today' })).known).toEqual([]);
    expect(bearing(defect({ unitId: '931' })).known).toHaveLength(1);
  });

  it.each([
    ['open', 1, 0],
    ['deferred', 1, 0],
    // Mended, but the carrier's agent has not signed: for a driver it is still open.
    ['awaiting-agent', 1, 0],
    ['repaired', 0, 1],
    ['no-repair-needed', 0, 1],
    ['closed', 0, 0],
    ['fixed', 0, 0],
    ['withdrawn', 0, 0],
  ] as const)('of what is %s: %p open, %p to be read', (status, known, unread) => {
    const of = bearing(defect({ status }));
    expect([of.known.length, of.unread.length]).toEqual([known, unread]);
  });

  it('is a day only where it was put off', () => {
    expect(bearing(defect({ status: 'deferred' })).known[0].until).toBe('2026-12-01');
    expect(bearing(defect({ status: 'awaiting-agent' })).known[0].until).toBeUndefined();
    expect(bearing(defect({ status: 'deferred', until: null })).known[0].until).toBeUndefined();
  });

  it('is every further limit, and no empty list of them', () => {
    const further = [{ condition: 'Daylight only.', bars: 'dark' as const }];
    expect(bearing(defect({ further })).known[0].further).toEqual(further);
    expect('further' in bearing(defect({ further: [] })).known[0]).toBe(false);
    expect('further' in bearing(defect()).known[0]).toBe(false);
  });

  it('has no title in brackets where the part has no place', () => {
    expect(bearing(defect({ place: null })).known[0].title).toBe('Brake hose');
  });

  it('is what the workshop wrote, for whoever reads it', () => {
    const status = 'repaired';
    expect(bearing(defect({ status, outcomeWords: 'New hose' })).unread).toEqual([
      {
        defectId: 'hose',
        unitId: '214',
        title: 'Brake hose, steer axle, right',
        words: 'New hose',
      },
    ]);
    expect(bearing(defect({ status })).unread[0].words).toBe('');
  });

  it('stands in the order of its report, then of its id, however it was told', () => {
    const defects = [
      defect({ id: 'c', reportedAt: '2026-11-21T05:00:00.000Z' }),
      defect({ id: 'b', reportedAt: '2026-11-20T05:00:00.000Z' }),
      defect({ id: 'a', reportedAt: '2026-11-21T05:00:00.000Z' }),
      defect({ id: 'd', reportedAt: '2026-11-19T05:00:00.000Z' }),
    ];
    for (const told of [defects, [...defects].reverse()])
      expect(bearing(...told).known.map(({ id }) => id)).toEqual(['d', 'b', 'a', 'c']);
  });
});
