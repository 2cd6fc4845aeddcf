import { SOMETHING_ELSE, type Capability, type Symptom, type System } from '../catalogue';

/**
 * What a driver is asked of a fault that no list names: does it touch stopping, does it touch steering, does it touch what holds
 * (a load, a coupling, a pin), does it leak, does something hang that can fall or drag, does it hide a lamp, a plate or the view.
 */
export const OTHER_QUESTIONS = ['stops', 'steers', 'holds', 'leaks', 'hangs', 'hides'] as const;
export type OtherQuestion = (typeof OTHER_QUESTIONS)[number];
export type OtherAnswers = Readonly<Partial<Record<OtherQuestion, boolean>>>;

const STOPS: readonly OtherQuestion[] = ['stops', 'steers', 'holds', 'leaks', 'hangs'];
const SYSTEM_OF: Readonly<Partial<Record<OtherQuestion, System>>> = {
  stops: 'brakes',
  steers: 'steering',
};

/** While a question has no answer nobody knows what it is: it weighs as the worst of the check, and as what was said. */
export function isUnclear(answers: OtherAnswers): boolean {
  return OTHER_QUESTIONS.some((each) => answers[each] === undefined);
}

/**
 * The symptom that was told in words, weighing as the answers say; nothing that a driver finds worth telling is less than a repair.
 * @param symptoms of the check at which it was found
 */
export function somethingElse(
  symptoms: readonly Symptom[],
  words: string,
  answers: OtherAnswers,
): Symptom {
  const yes = OTHER_QUESTIONS.filter((each) => answers[each]);
  const stopping = yes.filter((each) => STOPS.includes(each));
  const own = symptoms.flatMap(({ takes }) => takes);
  const takes = new Set<Capability>(stopping.length > 0 ? ['road', ...own] : own);
  const hidden = 'what it hides is not seen';
  return {
    id: SOMETHING_ELSE,
    words,
    system: yes.map((each) => SYSTEM_OF[each]).find(Boolean) ?? symptoms[0].system,
    harm: stopping.length > 0 ? 'stop' : 'repair',
    takes: [...takes],
    ...(yes.includes('hides') && {
      worse: [
        { in: 'dark', harm: 'stop', because: hidden },
        { in: 'wet', harm: 'stop', because: hidden },
      ],
    }),
  };
}
