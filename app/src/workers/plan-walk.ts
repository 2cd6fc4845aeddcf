import { wrap, type Remote } from 'comlink';
import type { Planned, PlanQuestion } from './planner.worker';

interface PlannerWorker {
  plan(question: PlanQuestion): Planned;
}

let planner: Remote<PlannerWorker> | undefined;

/** Plans off the main thread, so that no touch ever waits for it; the worker stays for the next question. */
export async function planInWorker(question: PlanQuestion): Promise<Planned> {
  planner ??= wrap<PlannerWorker>(new Worker(new URL('./planner.worker', window.location.href)));
  return planner.plan(question);
}
