import { chosenPolicyId, dueOf, policies, policiesFor, twoStepPolicy, type Policy } from '.';

const HOUR = 3_600_000;
const made = (id: string, deadlines: Policy['deadlines']): Policy => ({
  ...twoStepPolicy,
  id,
  deadlines,
});

describe('the policy of a class of vehicle', () => {
  const choice = { usual: 'two-step', byClass: { bus: 'affects-safety' } } as const;

  it('is the one chosen for it, else the usual one', () => {
    expect(chosenPolicyId(choice as never, 'bus' as never)).toBe('affects-safety');
    expect(chosenPolicyId(choice as never, 'goods')).toBe('two-step');
  });

  it('is found by its id, also among those that the organisation brought', () => {
    const own = made('own', []);
    expect(policiesFor(['two-step']).map(({ id }) => id)).toEqual(['two-step']);
    expect(policiesFor(['own', 'two-step', 'own'], [own]).map(({ id }) => id)).toEqual([
      'own',
      'two-step',
    ]);
  });

  it('is every one that is known where one of them is not, or none is named: the strictest of all counts', () => {
    const all = policies.map(({ id }) => id);
    expect(policiesFor(['two-step', 'gone']).map(({ id }) => id)).toEqual(all);
    expect(policiesFor([]).map(({ id }) => id)).toEqual(all);
    expect(policiesFor(['gone'], [made('own', [])]).map(({ id }) => id)).toEqual(['own', ...all]);
  });
});

describe('until when a defect must be mended', () => {
  const any = made('any', [
    { grade: 'minor', hours: 48, source: 'of all' },
    { grade: 'major', hours: 1, source: 'of majors' },
  ]);
  const brakes = made('brakes', [
    { grade: 'minor', hours: 24, source: 'of brakes', systems: ['brakes', 'air'] },
  ] as unknown as Policy['deadlines']);

  it('is counted in hours from its report', () => {
    expect(dueOf([any], 'minor', 'lamps', 1000)).toEqual({
      at: 1000 + 48 * HOUR,
      source: 'of all',
    });
  });

  it('is the earliest that any policy names for its class of parts', () => {
    expect(dueOf([any, brakes], 'minor', 'brakes', 0)).toEqual({
      at: 24 * HOUR,
      source: 'of brakes',
    });
    expect(dueOf([brakes, any], 'minor', 'lamps', 0)?.source).toBe('of all');
    // Nobody knows of what: only what holds for everything holds for it.
    expect(dueOf([any, brakes], 'minor', undefined, 0)?.source).toBe('of all');
    expect(dueOf([brakes], 'minor', undefined, 0)).toBeUndefined();
  });

  it('is the first told where two are equally early', () => {
    const same = made('same', [{ grade: 'minor', hours: 48, source: 'of another' }]);
    expect(dueOf([any, same], 'minor', 'lamps', 0)?.source).toBe('of all');
  });

  it('is no time where no policy names one', () => {
    expect(dueOf([any, brakes], 'note', 'brakes', 0)).toBeUndefined();
    expect(dueOf([], 'minor', 'brakes', 0)).toBeUndefined();
  });
});
