/** Short forms in which sequences are written: a check that is answered by walking through its steps. */
import type { Check, Procedure, ProcedureStep } from '../../catalogue';
import { check } from '../write';

interface StepDraft extends Partial<Omit<ProcedureStep, 'id' | 'say' | 'gate'>> {
  /** What must be answered with yes, and why it ends here otherwise. */
  readonly ask?: readonly [ask: string, otherwise: string];
}

/** One step: what is done, what good looks like, what stops it. */
export function step(id: string, say: string, { ask, ...more }: StepDraft = {}): ProcedureStep {
  return {
    id,
    say,
    fails: [],
    ...more,
    ...(ask && { gate: { ask: ask[0], otherwise: ask[1] } }),
  };
}

type SequenceDraft = Parameters<typeof check>[0] &
  Pick<Procedure, 'stand' | 'clear' | 'steps'> & { readonly cautions: Check['cautions'] };

export interface Sequence {
  readonly check: Check;
  readonly procedure: Procedure;
}

/** A check with the sequence that answers it. */
export function sequence({ stand, clear, steps, ...draft }: SequenceDraft): Sequence {
  return { check: check(draft), procedure: procedureOf(draft, { stand, clear, steps }) };
}

/** The sequence of a check that is written elsewhere. */
export function procedureOf(
  of: { readonly id: string; readonly title: string; readonly cautions: Check['cautions'] },
  { stand, clear, steps }: Pick<Procedure, 'stand' | 'clear' | 'steps'>,
): Procedure {
  return {
    id: `${of.id}.procedure`,
    title: of.title,
    check: of.id,
    stand,
    clear,
    cautions: of.cautions,
    steps,
  };
}
