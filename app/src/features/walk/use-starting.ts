import type { CheckInstance } from '@nazar/core/rig';
import { type Walk, useWalkSession } from '@/state/walk';

interface Starting {
  /** It idles, with its oil pressure in time. */
  readonly runs: () => void;
  /** Its oil pressure did not come: it was shut down, and that is a fault. */
  readonly shut: () => void;
  /** It does not start, or should not be. */
  readonly report: () => void;
}

/** What a start that was made step by step writes to the log; it answers the check that asks for it. */
export function useStarting(
  walk: Walk,
  personId: string,
  onFault: (key: string, symptomId?: string) => void,
  close: () => void,
): Starting {
  const { log } = useWalkSession();
  const { inspection, rig, assessment } = walk;
  const own = { inspectionId: inspection.id, actorId: personId };
  const starts: CheckInstance | undefined = rig.instances.find(
    ({ check }) => check.guide === 'engine-start',
  );
  const runs = () => {
    const open = starts && assessment.byKey.get(starts.key)?.state === 'unanswered';
    const sound = starts && {
      ...own,
      type: 'answered' as const,
      payload: { key: starts.key, outcome: 'sound' as const },
    };
    void log.append<'changed' | 'answered'>([
      { ...own, type: 'changed', payload: { change: 'set-brake' } },
      { ...own, type: 'changed', payload: { change: 'start' } },
      ...(sound && open ? [sound] : []),
    ]);
  };
  const shut = () => {
    void log
      .append([
        { ...own, type: 'changed', payload: { change: 'start' } },
        { ...own, type: 'changed', payload: { change: 'shut-down' } },
      ])
      .then((kept) => {
        if (kept && starts) onFault(starts.key, starts.check.symptoms[0].id);
      });
  };
  const report = () => (starts ? onFault(starts.key) : close());
  return { runs, shut, report };
}
