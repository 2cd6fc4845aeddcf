import fc from 'fast-check';
import { SOMETHING_ELSE } from '../catalogue';
import { catalogue } from '../content';
import {
  gradeSymptom,
  isUnclear,
  OTHER_QUESTIONS,
  policies,
  policiesFor,
  somethingElse,
  type OtherAnswers,
} from '.';

const checks = catalogue.modules.flatMap((module) => module.checks);
const no = Object.fromEntries(OTHER_QUESTIONS.map((each) => [each, false])) as OtherAnswers;
const gradeOf = (
  answers: OtherAnswers,
  policy = 'two-step',
  circumstances: readonly ('dark' | 'wet')[] = [],
) => {
  const symptom = somethingElse(checks[0].symptoms, 'A thing rattles', answers);
  return gradeSymptom({
    symptom,
    alike: 1,
    circumstances: new Set(circumstances),
    policies: policiesFor([policy], []),
  });
};

describe('something that no list names', () => {
  it.each(['stops', 'steers', 'holds', 'leaks', 'hangs'] as const)(
    'keeps it in where it touches what %s',
    (question) => {
      for (const { id } of policies)
        expect(gradeOf({ ...no, [question]: true }, id)).toMatchObject({ grade: 'major' });
      expect(gradeOf({ ...no, [question]: true }).blocks).toContain('road');
    },
  );

  it('is mended in time where it touches none of it', () => {
    expect(gradeOf(no)).toMatchObject({ grade: 'minor', blocks: [] });
  });

  it('that hides a lamp or the view keeps it in in the dark and in the wet', () => {
    const hides = { ...no, hides: true };
    expect(gradeOf(hides).grade).toBe('minor');
    expect(gradeOf(hides, 'two-step', ['dark']).grade).toBe('major');
    expect(gradeOf(hides, 'two-step', ['wet']).grade).toBe('major');
  });

  it('is unclear while one question is open, and weighs at least as what was said', () => {
    fc.assert(
      fc.property(fc.constantFrom(...OTHER_QUESTIONS), fc.boolean(), (open, other) => {
        const answers = Object.fromEntries(
          OTHER_QUESTIONS.flatMap((each) => (each === open ? [] : [[each, other]])),
        );
        expect(isUnclear(answers)).toBe(true);
        expect(isUnclear({ ...answers, [open]: false })).toBe(false);
        expect(gradeOf(answers).grade).toBe(other ? 'major' : 'minor');
      }),
    );
  });

  it('takes with the road whatever the check could take, at every check of the catalogue', () => {
    for (const { symptoms } of checks) {
      const said = somethingElse(symptoms, 'Words', { ...no, holds: true });
      expect(said.id).toBe(SOMETHING_ELSE);
      for (const { takes } of symptoms)
        for (const each of takes) expect(said.takes).toContain(each);
    }
  });
});
