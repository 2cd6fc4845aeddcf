import type { Band, Reading } from '../../catalogue';
import { toSi } from '../../quantity';
import { applicableLimits, judgeReading, soundRange, unitOf } from '..';

const psi = (value: number) => toSi(value, 'psi');
const band = (more: Partial<Band> & Pick<Band, 'limit'>): Band => ({
  side: 'below',
  symptom: 'low',
  ...more,
});
const reading = (bands: readonly Band[]): Reading => ({
  kind: 'pressure',
  ask: 'Pressure',
  required: true,
  bands,
  plausible: [0, 200, 'psi'],
  uncertainty: [2, 'psi'],
});
const house = (value: number): Band['limit'] => ({
  from: 'house',
  value,
  unit: 'psi',
  source: 'own',
});
const card = (field: string, share?: number): Band['limit'] => ({
  from: 'specification',
  field,
  ...(share !== undefined && { share }),
});
const judge = (of: Reading, values: readonly number[], specification = {}) =>
  judgeReading({
    reading: of,
    values: values.map(psi),
    specification,
    combinationAir: false,
  });

describe('where a limit comes from', () => {
  it('is the card, by a share of it where content says so, under the name of its field', () => {
    expect(
      applicableLimits(reading([band({ limit: card('cold', 0.5) })]), { cold: psi(100) }, false),
    ).toEqual([
      { side: 'below', value: expect.closeTo(psi(50)), from: 'specification', source: 'cold' },
    ]);
  });

  it('is the law where the card is laxer than it, and says which field was too lax', () => {
    // 49 CFR 393.51: the warning comes at 55 psi or before; a card that says 40 is not followed.
    const [limit] = applicableLimits(
      reading([band({ limit: card('lowPressureWarning') })]),
      { lowPressureWarning: psi(40), governorCutOutHigh: psi(130) },
      false,
    );
    expect(limit).toMatchObject({ from: 'law', instead: 'lowPressureWarning' });
    expect(limit.value).toBeCloseTo(psi(55));
    expect(limit.source).toContain('393.51');
  });

  it('is the law where the card is silent, and then no field was too lax', () => {
    // 49 CFR 393.47(d): drum linings 1/4 in away from the steering axle.
    const of = { ...reading([band({ limit: card('liningLeast') })]), kind: 'depth' as const };
    const [limit] = applicableLimits(of, {}, false);
    expect(limit.from).toBe('law');
    expect(limit.value).toBeCloseTo(toSi(0.25, 'in'));
    expect(limit.source).toContain('393.47');
    expect(limit.instead).toBeUndefined();
  });

  it('is none where the card is silent and no law speaks: the reading cannot be called sound', () => {
    const of = reading([band({ limit: card('cold') })]);
    expect(applicableLimits(of, {}, false)).toEqual([]);
    expect(judge(of, [100])).toEqual({ outcome: 'no-limit', symptom: 'low', field: 'cold' });
    expect(judge(of, [100], { cold: Infinity }).outcome).toBe('no-limit');
  });
});

describe('which of several limits', () => {
  const four = reading([
    band({ limit: house(20), symptom: 'flat' }),
    band({ limit: house(90), symptom: 'low' }),
    band({ limit: house(130), symptom: 'burst', side: 'above' }),
    band({ limit: house(120), symptom: 'high', side: 'above' }),
  ]);

  it('stands beside the keypad: the tightest of each side', () => {
    const { least, most } = soundRange(four, {}, false);
    expect(least).toMatchObject({ side: 'below', value: expect.closeTo(psi(90)) });
    expect(most).toMatchObject({ side: 'above', value: expect.closeTo(psi(120)) });
  });

  it('stands beside it on the one side where there is only one', () => {
    const below = reading([band({ limit: house(90) })]);
    expect(soundRange(below, {}, false).most).toBeUndefined();
    const above = reading([band({ limit: house(90), side: 'above' })]);
    expect(soundRange(above, {}, false).least).toBeUndefined();
  });

  it('is told of a reading within all of them: the nearest', () => {
    expect(judge(four, [95])).toMatchObject({ outcome: 'within', limit: { value: psi(90) } });
    expect(judge(four, [117])).toMatchObject({ outcome: 'within', limit: { value: psi(120) } });
  });

  it('is the worst that is passed', () => {
    expect(judge(four, [10, 10])).toMatchObject({ outcome: 'out', symptom: 'flat' });
    expect(judge(four, [80, 80])).toMatchObject({ outcome: 'out', symptom: 'low' });
    expect(judge(four, [125, 125])).toMatchObject({ outcome: 'out', symptom: 'high' });
  });
});

describe('at the very limit', () => {
  const of = reading([band({ limit: house(90) })]);

  it('one reading asks again as far as the instrument is out by, and no further', () => {
    expect(judge(of, [92]).outcome).toBe('again');
    expect(judge(of, [88]).outcome).toBe('again');
    expect(judge(of, [92.1]).outcome).toBe('within');
    expect(judge(of, [87.9]).outcome).toBe('out');
  });

  it('two readings that are equal to it are within it', () => {
    expect(judge(of, [90, 90]).outcome).toBe('within');
    expect(judge(of, [90, 89.99]).outcome).toBe('out');
  });
});

it('asks in the unit that the reading names, else in that of the reader', () => {
  const of = reading([]);
  expect(unitOf(of, 'metric')).toBe('kPa');
  expect(unitOf(of, 'customary')).toBe('psi');
  const typedIn = { metric: 'bar', customary: 'psi' } as const;
  expect(unitOf({ ...of, typedIn }, 'metric')).toBe('bar');
});
