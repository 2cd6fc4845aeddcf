import { twoStepPolicy } from '../grading';
import { acknowledge, certify, type CertifyRequest, type DefectStatus } from '.';

const request = (more: Partial<CertifyRequest>): CertifyRequest => ({
  status: 'open',
  grade: 'minor',
  outcome: 'repaired',
  today: '2026-11-25',
  policy: twoStepPolicy,
  ...more,
});

describe('certifying', () => {
  it.each(['repaired', 'no-repair-needed'] as const)(
    '%s closes an open defect for the shop',
    (outcome) => {
      expect(certify(request({ outcome }))).toBe(outcome);
    },
  );

  it('puts a minor defect off until a day to come', () => {
    expect(certify(request({ outcome: 'deferred', until: '2026-12-01' }))).toBe('deferred');
  });

  it.each(['2026-11-25', '2026-11-01', undefined])('does not put off until %s', (until) => {
    expect(certify(request({ outcome: 'deferred', until }))).toEqual({ refused: 'until-passed' });
  });

  it('never puts off a major defect', () => {
    expect(certify(request({ grade: 'major', outcome: 'deferred', until: '2026-12-01' }))).toEqual({
      refused: 'grade-not-deferrable',
    });
  });

  it('mends what was put off', () => {
    expect(certify(request({ status: 'deferred' }))).toBe('repaired');
  });

  it.each(['fixed', 'repaired', 'no-repair-needed', 'closed'] as const)(
    'refuses what is %s already',
    (status) => {
      expect(certify(request({ status }))).toEqual({ refused: 'not-open' });
    },
  );
});

describe('acknowledging', () => {
  it.each(['repaired', 'no-repair-needed'] as const)('closes what is %s', (status) => {
    expect(acknowledge(status)).toBe('closed');
  });

  it.each<DefectStatus>(['open', 'deferred', 'fixed', 'closed'])(
    'does nothing to what is %s',
    (status) => {
      expect(acknowledge(status)).toBeUndefined();
    },
  );
});
