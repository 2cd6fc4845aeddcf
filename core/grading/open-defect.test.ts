import { openFinding, twoStepPolicy, unreadFinding, type KnownDefect, type Policy } from '.';

const DAY = 86_400_000;
const reported = Date.UTC(2026, 10, 20, 5);

const defect = (more: Partial<KnownDefect> = {}): KnownDefect => ({
  id: 'hose',
  key: '214/truck.brake.hose',
  unitId: '214',
  title: 'Brake hose',
  grade: 'minor',
  blocks: ['tow'],
  words: 'Chafed',
  system: 'brakes',
  reportedAt: reported,
  condition: 'Watch the gauges.',
  bars: 'dark',
  mostKmh: 60,
  further: [{ condition: 'Daylight only.' }],
  ...more,
});
/** Minor defects are mended within so many hours. */
const within = (hours: number): Policy => ({
  ...twoStepPolicy,
  deadlines: [{ grade: 'minor', hours, source: 'made up' }],
});
const later = (days: number) => reported + days * DAY;
const never: readonly Policy[] = [{ ...twoStepPolicy, deadlines: [] }];

describe('what is open since an earlier walk', () => {
  it('bears on today with all that it limits', () => {
    expect(openFinding(defect(), undefined, later(1), never)).toEqual({
      kind: 'known-open',
      about: 'hose',
      unitId: '214',
      title: 'Brake hose',
      grade: 'minor',
      blocks: ['tow'],
      chain: [{ code: 'known-open', words: 'Chafed' }],
      condition: 'Watch the gauges.',
      bars: 'dark',
      mostKmh: 60,
      further: [{ condition: 'Daylight only.' }],
      systems: ['brakes'],
    });
  });

  it.each([
    // Found again and no milder: today's own finding speaks.
    ['minor', 'minor', undefined],
    ['minor', 'major', undefined],
    ['major', 'major', undefined],
    ['note', 'minor', undefined],
    // Called milder than it was, or sound: what is open stands until the workshop has had its word.
    ['major', 'minor', 'major'],
    ['minor', 'note', 'minor'],
    ['minor', 'sound', 'minor'],
    ['minor', undefined, 'minor'],
  ] as const)('a %s that today calls %s stands as %s', (was, again, stands) => {
    expect(openFinding(defect({ grade: was }), again, later(1), never)?.grade).toBe(stands);
  });

  it('names no class of parts where none is known', () => {
    expect(
      openFinding(defect({ system: undefined }), undefined, later(1), never),
    ).not.toHaveProperty('systems');
  });
});

describe('past the day it had to be mended by', () => {
  it('a minor is a major, with no condition that could still let it roll', () => {
    const overdue = openFinding(defect(), undefined, later(3), [within(48)]);
    expect(overdue).toMatchObject({ grade: 'major', blocks: ['tow'] });
    expect(overdue?.chain).toEqual([
      { code: 'known-open', words: 'Chafed' },
      { code: 'overdue', words: '' },
    ]);
    for (const field of ['condition', 'bars', 'mostKmh', 'further'] as const)
      expect(overdue?.[field]).toBeUndefined();
  });

  it('takes the road where it took nothing before', () => {
    expect(openFinding(defect({ blocks: [] }), undefined, later(3), [within(48)])?.blocks).toEqual([
      'road',
    ]);
    expect(openFinding(defect({ blocks: [] }), undefined, later(1), never)?.blocks).toEqual([]);
  });

  it('is the hour itself no more than the hour before', () => {
    const grade = (now: number) => openFinding(defect(), undefined, now, [within(48)])?.grade;
    expect(grade(later(2))).toBe('minor');
    expect(grade(later(2) + 1)).toBe('major');
  });

  it('stands beside what today has found of it', () => {
    expect(openFinding(defect(), 'minor', later(3), [within(48)])?.grade).toBe('major');
  });

  it('is the end of the day that it was put off to, whatever the policy says', () => {
    const put = defect({ until: '2026-11-25' });
    const at = (now: number) => openFinding(put, undefined, now, [within(1)]);
    expect(at(Date.UTC(2026, 10, 25, 23, 59))?.grade).toBe('minor');
    expect(at(Date.UTC(2026, 10, 26))?.grade).toBe('major');
    expect(at(Date.UTC(2026, 10, 26))?.chain.at(-1)).toEqual({
      code: 'overdue',
      words: '2026-11-25',
    });
  });

  it('is no matter for a note and for what is a major already', () => {
    for (const grade of ['note', 'major'] as const) {
      const finding = openFinding(defect({ grade }), undefined, later(30), [within(1)]);
      expect(finding?.grade).toBe(grade);
      expect(finding?.condition).toBe('Watch the gauges.');
    }
  });

  it('is not known where nobody knows since when, and where no policy names a time', () => {
    const since = defect({ reportedAt: undefined });
    expect(openFinding(since, undefined, later(99), [within(1)])?.grade).toBe('minor');
    expect(openFinding(defect(), undefined, later(99), never)?.grade).toBe('minor');
  });
});

it('a repair that nobody has read keeps the rig in the yard', () => {
  const repair = { defectId: 'hose', unitId: '214', title: 'Brake hose', words: 'New hose' };
  expect(unreadFinding(repair)).toEqual({
    kind: 'repair-unread',
    about: 'hose',
    unitId: '214',
    title: 'Brake hose',
    grade: 'major',
    blocks: ['road'],
    chain: [{ code: 'repair-unread', words: 'New hose' }],
  });
});
