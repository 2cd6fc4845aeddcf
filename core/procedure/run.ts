import type { Procedure, ProcedureStep } from '../catalogue';

/** A guided sequence on its way: which step, since when, and how it ended, if it has. */
export interface Run {
  /** Index of the present step; -1 while the clear zone is still being looked at. */
  readonly at: number;
  /** When the present step began, milliseconds. */
  readonly since: number;
  readonly ended?: RunEnd;
}

export type RunEnd =
  | { readonly how: 'good' }
  /** A gate was answered with no: nothing goes on, and this says why. */
  | { readonly how: 'stopped'; readonly stepId: string; readonly words: string }
  /** Something showed in a step: a symptom of the check. */
  | { readonly how: 'failed'; readonly stepId: string; readonly symptomId: string };

/** Why the next step may not begin yet. */
export type Wait =
  | { readonly code: 'hold'; readonly seconds: number }
  /** It took longer than it may: timed again, or called a fault. */
  | { readonly code: 'too-slow'; readonly seconds: number; readonly within: number };

export const startRun = (now: number): Run => ({ at: -1, since: now });

export function stepOf(procedure: Procedure, run: Run): ProcedureStep | undefined {
  return run.ended ? undefined : procedure.steps[run.at];
}

/** What keeps the present step from being called good at `now` (milliseconds); undefined when nothing does. */
export function waitOf(procedure: Procedure, run: Run, now: number): Wait | undefined {
  const step = stepOf(procedure, run);
  if (!step) return undefined;
  const seconds = Math.max(0, (now - run.since) / 1000);
  if (step.holdSeconds !== undefined && seconds < step.holdSeconds)
    return { code: 'hold', seconds: Math.ceil(step.holdSeconds - seconds) };
  if (step.withinSeconds !== undefined && seconds > step.withinSeconds)
    return { code: 'too-slow', seconds: Math.round(seconds), within: step.withinSeconds };
  return undefined;
}

/**
 * The present step was good: on to the next, or to the end. A gate counts as answered with yes.
 * While something keeps it (see {@link waitOf}) the run stays as it is.
 */
export function goOn(procedure: Procedure, run: Run, now: number): Run {
  if (run.ended || waitOf(procedure, run, now)) return run;
  const at = run.at + 1;
  return at < procedure.steps.length ? { at, since: now } : { ...run, ended: { how: 'good' } };
}

/** The present step is timed anew. */
export function timeAgain(run: Run, now: number): Run {
  return run.ended ? run : { ...run, since: now };
}

/** The gate of the present step was answered with no. */
export function stopAtGate(procedure: Procedure, run: Run): Run {
  const step = stepOf(procedure, run);
  if (!step?.gate) return run;
  return { ...run, ended: { how: 'stopped', stepId: step.id, words: step.gate.otherwise } };
}

/** Something from outside ends it: whoever had to watch has gone. Nothing of it is sound. */
export function breakOff(procedure: Procedure, run: Run, words: string): Run {
  const step = stepOf(procedure, run);
  return step ? { ...run, ended: { how: 'stopped', stepId: step.id, words } } : run;
}

/** A symptom showed in the present step; only those that the step may show. */
export function failStep(procedure: Procedure, run: Run, symptomId: string): Run {
  const step = stepOf(procedure, run);
  if (!step?.fails.includes(symptomId)) return run;
  return { ...run, ended: { how: 'failed', stepId: step.id, symptomId } };
}
