import fc from 'fast-check';
import { GRADES } from '../grading';
import { CLOCKS_DIFFER, standOfDefect, type Certificate, type DefectReport } from './several-walks';

const report = (more: Partial<DefectReport> = {}): DefectReport => ({
  inspectionId: 'walk-1',
  at: 1000,
  receivedAt: more.at ?? 1000,
  grade: 'major',
  mended: false,
  ...more,
});
const repaired: Certificate = { at: 2000, receivedAt: 2000, status: 'repaired', grade: 'major' };

describe('a defect of several walks', () => {
  it('is open while anybody says so, and withdrawn once nobody does', () => {
    expect(standOfDefect([report()], undefined).status).toBe('open');
    expect(standOfDefect([], undefined).status).toBe('withdrawn');
  });

  it('found again after a repair is open again, by a phone that had not heard of it', () => {
    for (const status of ['repaired', 'no-repair-needed', 'closed', 'awaiting-agent'] as const)
      expect(
        standOfDefect([report(), report({ inspectionId: 'walk-2', at: 3000 })], {
          ...repaired,
          status,
        }).status,
      ).toBe('open');
  });

  it('found before the repair and heard of after it is what the repair was for', () => {
    const at = repaired.at - CLOCKS_DIFFER - 1;
    const late = report({ inspectionId: 'walk-2', at, receivedAt: 9000 });
    expect(standOfDefect([report(), late], repaired).status).toBe('repaired');
  });

  it('found about when it was repaired, and heard of after it, is open: the clock of the bench may be ahead', () => {
    const late = report({ inspectionId: 'walk-2', at: repaired.at - 1, receivedAt: 9000 });
    expect(standOfDefect([report(), late], repaired).status).toBe('open');
    // What the bench had heard of when it signed is what it signed for, however short the repair.
    expect(standOfDefect([report({ at: repaired.at - 1 })], repaired).status).toBe('repaired');
  });

  it('found after a repair that the server hears of later is open', () => {
    const found = report({ at: 3000, receivedAt: 3000 });
    expect(standOfDefect([found], { ...repaired, receivedAt: 9000 }).status).toBe('open');
  });

  it('taken back by one walk stays as the other found it', () => {
    const other = report({ inspectionId: 'walk-2', at: 1500, grade: 'minor' });
    expect(standOfDefect([other], undefined)).toEqual({
      status: 'open',
      leading: other,
      first: other,
    });
  });

  it('put off stays put off while it is not found worse', () => {
    const off: Certificate = { at: 2000, receivedAt: 2000, status: 'deferred', grade: 'minor' };
    const minor = report({ grade: 'minor' });
    expect(standOfDefect([minor, { ...minor, inspectionId: 'walk-2', at: 3000 }], off).status).toBe(
      'deferred',
    );
    expect(standOfDefect([minor, report({ inspectionId: 'walk-2', at: 3000 })], off)).toMatchObject(
      {
        status: 'open',
        leading: { grade: 'major' },
      },
    );
  });

  it('put right on the spot by one walk is not mended for the walk that found it as it was', () => {
    const mended = report({ inspectionId: 'walk-2', at: 1500, grade: 'note', mended: true });
    expect(standOfDefect([mended], undefined).status).toBe('fixed');
    expect(standOfDefect([report(), mended], undefined)).toMatchObject({
      status: 'open',
      leading: { grade: 'major' },
    });
  });
});

describe('over all reports and certificates', () => {
  const reports = fc.uniqueArray(
    fc.record({
      inspectionId: fc.constantFrom('a', 'b', 'c', 'd', 'e'),
      at: fc.integer({ min: 0, max: 50 }),
      receivedAt: fc.integer({ min: 0, max: 50 }),
      grade: fc.constantFrom(...GRADES),
      mended: fc.boolean(),
    }),
    { selector: ({ inspectionId }) => inspectionId, maxLength: 5 },
  );
  const certificate = fc.option(
    fc.record({
      at: fc.integer({ min: 0, max: 50 }),
      receivedAt: fc.integer({ min: 0, max: 50 }),
      status: fc.constantFrom(
        'deferred' as const,
        'awaiting-agent' as const,
        'repaired' as const,
        'no-repair-needed' as const,
        'closed' as const,
      ),
      grade: fc.constantFrom(...GRADES),
    }),
    { nil: undefined },
  );

  it('no order of arrival changes how it stands', () => {
    fc.assert(
      fc.property(reports, certificate, fc.nat(), (all, signed, seed) => {
        const shuffled = [...all].sort(
          (x, y) => ((x.at * 7 + seed) % 13) - ((y.at * 7 + seed) % 13),
        );
        expect(standOfDefect(shuffled, signed)).toEqual(standOfDefect(all, signed));
      }),
    );
  });

  it('a major that somebody found after the last certificate, and nobody mended, is open', () => {
    fc.assert(
      fc.property(reports, certificate, (all, signed) => {
        const unmended = all.some(
          ({ at, grade, mended }) =>
            grade === 'major' && !mended && (signed === undefined || at > signed.at),
        );
        // Put off was a major only where the policy puts majors off; then it stays what the supervisor has read.
        fc.pre(signed?.status !== 'deferred' || signed.grade !== 'major');
        if (unmended) {
          const { status, leading } = standOfDefect(all, signed);
          expect(status).toBe('open');
          expect(leading?.grade).toBe('major');
        }
      }),
    );
  });

  it('one more walk that finds it never closes it, and taking that word back leaves it as it was', () => {
    const CLOSED = ['fixed', 'repaired', 'no-repair-needed', 'closed', 'withdrawn'];
    fc.assert(
      fc.property(reports, certificate, fc.integer({ min: 0, max: 60 }), (all, signed, at) => {
        const before = standOfDefect(all, signed);
        const more = {
          inspectionId: 'z',
          at,
          receivedAt: at,
          grade: 'major' as const,
          mended: false,
        };
        const after = standOfDefect([...all, more], signed);
        if (!CLOSED.includes(before.status)) expect(CLOSED).not.toContain(after.status);
        expect(
          standOfDefect(
            [...all, more].filter(({ inspectionId }) => inspectionId !== 'z'),
            signed,
          ),
        ).toEqual(before);
      }),
    );
  });
});
