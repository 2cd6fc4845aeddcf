import { symptom } from '../content/write';
import { allOf, nameSituation, worstSymptom, type Graded, type Situation, twoStepPolicy } from '.';

const graded = (more: Partial<Graded>): Graded => ({
  grade: 'minor',
  blocks: [],
  chain: [],
  policyId: 'two-step',
  systems: ['lamps'],
  ...more,
});

describe('several grades of one check at once', () => {
  it('are the one where there is only one', () => {
    const one = graded({ condition: 'Mend it soon.' });
    expect(allOf([one])).toBe(one);
  });

  it('are the worst of them, with all that any of them takes and all classes of parts', () => {
    const all = allOf([
      graded({ grade: 'major', blocks: ['tow'], systems: ['brakes'] }),
      graded({ grade: 'major', blocks: ['road', 'tow'], systems: ['lamps', 'brakes'] }),
      graded({ grade: 'note' }),
    ]);
    expect(all).toMatchObject({
      grade: 'major',
      blocks: ['tow', 'road'],
      systems: ['brakes', 'lamps'],
    });
    expect(all).not.toHaveProperty('further');
  });

  it('let no condition of a minor go, beside a major that has none', () => {
    const all = allOf([
      graded({ grade: 'major', blocks: ['road'] }),
      graded({ condition: 'Daylight only.', bars: 'dark', mostKmh: 50 }),
    ]);
    expect(all.further).toEqual([{ condition: 'Daylight only.', bars: 'dark', mostKmh: 50 }]);
    expect(all.condition).toBeUndefined();
  });

  it('say each thing to heed once, and what the worst says itself not again', () => {
    const first = graded({ condition: 'Daylight only.', bars: 'dark' });
    const all = allOf([
      first,
      graded({ condition: 'Daylight only.', bars: 'dark' }),
      graded({ condition: 'Daylight only.' }),
      graded({ mostKmh: 50 }),
      graded({ bars: 'wet', further: [{ mostKmh: 50 }, { condition: 'Watch it.' }] }),
    ]);
    expect(all.condition).toBe('Daylight only.');
    expect(all.further).toEqual([
      { condition: 'Daylight only.' },
      { mostKmh: 50 },
      { bars: 'wet' },
      { condition: 'Watch it.' },
    ]);
  });

  it('keep what must be done before leaving, whatever it weighs', () => {
    const all = allOf([
      graded({ grade: 'major', blocks: ['road'] }),
      graded({ grade: 'note', bars: 'before-leaving', condition: 'Wipe it.' }),
      graded({ grade: 'note', condition: 'Tell the shop.' }),
    ]);
    expect(all.further).toEqual([{ condition: 'Wipe it.', bars: 'before-leaving' }]);
  });
});

describe('the worst that a check could show', () => {
  const dim = symptom('dim', 'Dim', 'lamps', 'watch');
  const dark = symptom('dark', 'Dark', 'lamps', 'repair', {
    many: { from: 2, harm: 'stop', because: 'two of them' },
  });
  const situation = (more: Partial<Situation> = {}): Situation => ({
    circumstances: new Set(),
    needed: new Set(),
    policies: [twoStepPolicy],
    ...more,
  });
  const counted = (alike: number, together = 0) => ({
    alike: () => alike,
    places: 4,
    together: () =>
      Array.from({ length: together }, () => ({
        id: 'both',
        harm: 'stop' as const,
        takes: ['road' as const],
        because: 'worse together',
        parts: [],
      })),
  });

  it('grows with how many are unseen', () => {
    expect(worstSymptom([dim, dark], situation(), counted(1)).grade).toBe('minor');
    expect(worstSymptom([dim, dark], situation(), counted(2)).grade).toBe('major');
    // And is what it was where it is asked again, in whatever order.
    expect(worstSymptom([dim, dark], situation(), counted(1)).grade).toBe('minor');
  });

  it('is worse together with what else stands on the unit', () => {
    const symptoms = [dim, dark];
    expect(worstSymptom(symptoms, situation(), counted(1)).grade).toBe('minor');
    expect(worstSymptom(symptoms, situation(), counted(1, 1)).grade).toBe('major');
    expect(worstSymptom(symptoms, situation(), counted(1)).grade).toBe('minor');
  });

  it('has a name for each situation that weighs otherwise, and one for those that weigh alike', () => {
    const name = (more: Partial<Situation>) => nameSituation(situation(more));
    const names = [
      name({}),
      name({ circumstances: new Set(['dark']) }),
      name({ needed: new Set(['tow']) }),
      name({ policies: [] }),
      name({ circumstances: new Set(['dark', 'wet']) }),
    ];
    expect(new Set(names).size).toBe(names.length);
    expect(name({ circumstances: new Set(['wet', 'dark']) })).toBe(names[4]);
    expect(name({ needed: new Set(['plow', 'tow']) })).toBe(
      name({ needed: new Set(['tow', 'plow']) }),
    );
  });
});
