import { useEffect, useMemo, useState } from 'react';
import { planInWorker } from '@/workers/plan-walk';
import type { Planned, PlanQuestion } from '@/workers/planner.worker';

/** The plan of a question; the former one stays in sight until the new one is made. */
export function usePlan(question: PlanQuestion | undefined) {
  const [made, setMade] = useState<{ readonly name: string; readonly planned: Planned }>();
  // A version of the catalogue never changes: its name says as much as its modules.
  const name = useMemo(
    () => (question ? JSON.stringify({ ...question, catalogue: question.catalogue.version }) : ''),
    [question],
  );
  useEffect(() => {
    if (!question) return undefined;
    let gone = false;
    void planInWorker(question).then((planned) => {
      if (!gone) setMade({ name, planned });
    });
    return () => {
      gone = true;
    };
    // The same question in other words is not asked again.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [name]);
  return { planned: made?.planned, busy: made?.name !== name };
}
