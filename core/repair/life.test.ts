import { affectsSafetyPolicy, nilDefectPolicy, readinessPolicy, twoStepPolicy } from '../grading';
import type { DefectStatus } from '../catalogue';
import { acknowledge, certify, countersign, type CertifyRequest } from '.';

const request = (more: Partial<CertifyRequest>): CertifyRequest => ({
  status: 'open',
  grade: 'minor',
  outcome: 'repaired',
  today: '2026-11-25',
  policies: [twoStepPolicy],
  reportedBy: 'driver',
  by: 'mechanic',
  revision: 0,
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

  it.each(['repaired', 'no-repair-needed', 'closed', 'awaiting-agent'] as const)(
    'refuses what is %s already',
    (status) => {
      expect(certify(request({ status }))).toEqual({ refused: 'already-certified' });
    },
  );

  it.each(['fixed', 'withdrawn'] as const)('refuses what is %s', (status) => {
    expect(certify(request({ status }))).toEqual({ refused: 'not-open' });
  });
});

describe('what a policy wants of signatures', () => {
  it('some forbid to certify what one reported', () => {
    const own = { by: 'mechanic', reportedBy: 'mechanic' };
    expect(certify(request(own))).toBe('repaired');
    expect(certify(request({ ...own, policies: [nilDefectPolicy] }))).toEqual({
      refused: 'own-report',
    });
    expect(certify(request({ ...own, policies: [twoStepPolicy, nilDefectPolicy] }))).toEqual({
      refused: 'own-report',
    });
  });

  it('some do not know "no repair needed"', () => {
    expect(certify(request({ outcome: 'no-repair-needed', policies: [readinessPolicy] }))).toEqual({
      refused: 'no-repair-not-allowed',
    });
  });

  it('some want the carrier’s agent beside the mechanic (49 CFR 396.11(a)(3))', () => {
    expect(certify(request({ policies: [affectsSafetyPolicy] }))).toBe('awaiting-agent');
    const second = {
      status: 'awaiting-agent',
      outcome: 'repaired',
      certifiedBy: 'mechanic',
    } as const;
    expect(countersign({ ...second, by: 'agent' })).toBe('repaired');
    expect(countersign({ ...second, by: 'mechanic' })).toEqual({ refused: 'own-repair' });
    expect(countersign({ ...second, status: 'open', by: 'agent' })).toEqual({
      refused: 'not-awaiting',
    });
  });
});

describe('two benches at once', () => {
  it('the one who read an older state is told', () => {
    expect(certify(request({ revision: 2, seen: 1 }))).toEqual({ refused: 'changed-meanwhile' });
    expect(certify(request({ revision: 2, seen: 2 }))).toBe('repaired');
  });
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

describe('where two policies hold on one unit, each must allow it', () => {
  const both = [twoStepPolicy, affectsSafetyPolicy, nilDefectPolicy, readinessPolicy];
  const pairs = both.flatMap((one) => both.map((other) => [one.id, other.id, one, other] as const));

  it.each(pairs)('%s and %s', (_, __, one, other) => {
    const policies = [one, other];
    const agent = policies.some(({ signatures }) => signatures.repair === 'mechanic-and-agent');
    expect(certify(request({ policies }))).toBe(agent ? 'awaiting-agent' : 'repaired');
    const none = certify(request({ policies, outcome: 'no-repair-needed' }));
    const refuses = policies.some(({ signatures }) => !signatures.noRepairNeeded);
    expect(none).toEqual(
      refuses
        ? { refused: 'no-repair-not-allowed' }
        : agent
          ? 'awaiting-agent'
          : 'no-repair-needed',
    );
    const later = certify(request({ policies, outcome: 'deferred', until: '2026-12-01' }));
    const stays = policies.some(({ deferrable }) => !deferrable.includes('minor'));
    expect(later).toEqual(stays ? { refused: 'grade-not-deferrable' } : 'deferred');
  });
});

it('is stale only for a signer who had read an earlier state', () => {
  expect(certify(request({ revision: 3, seen: 2 }))).toEqual({ refused: 'changed-meanwhile' });
  expect(certify(request({ revision: 3, seen: 3 }))).toBe('repaired');
  expect(certify(request({ revision: 3, seen: undefined }))).toBe('repaired');
});

it.each(['repaired', 'no-repair-needed', 'deferred'] as const)(
  'countersigned, what was certified as %s is what it stands as',
  (outcome) => {
    expect(
      countersign({ status: 'awaiting-agent', outcome, certifiedBy: 'mechanic', by: 'agent' }),
    ).toBe(outcome);
  },
);
