import type { FaultedPayload, PhotoReference } from '@nazar/core/inspection';
import { useCallback, useEffect, useState } from 'react';
import { dropDraft, keepDraft, readDraft } from '@/state';

/** A fault as far as it has been described. */
export interface FaultDraft {
  readonly defectId: string;
  readonly symptomId?: string;
  readonly stepId?: string;
  readonly spot?: { readonly x: number; readonly y: number };
  readonly note: string;
  readonly photos: readonly PhotoReference[];
  readonly fixed?: string;
  readonly raisedTo?: FaultedPayload['raisedTo'];
  /** What something touches that no list names. */
  readonly other?: FaultedPayload['other'];
  readonly page: 'what' | 'other' | 'how-much' | 'where';
}

/**
 * The draft of a fault; every touch is in the device's database before the next, so that a
 * killed tab loses at most the field being typed.
 */
export function useFaultDraft(inspectionId: string, key: string, fresh: () => FaultDraft) {
  const [draft, setDraft] = useState<FaultDraft>();
  useEffect(() => {
    void readDraft<FaultDraft>(inspectionId, key).then((kept) => setDraft(kept ?? fresh()));
    // The starting value is taken once for a check.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [inspectionId, key]);
  const change = useCallback(
    (part: Partial<FaultDraft>) => {
      setDraft((before) => {
        if (!before) return before;
        const next = { ...before, ...part };
        void keepDraft(inspectionId, key, next);
        return next;
      });
    },
    [inspectionId, key],
  );
  const drop = useCallback(() => dropDraft(inspectionId, key), [inspectionId, key]);
  return { draft, change, drop };
}
