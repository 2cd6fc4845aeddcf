import { requiredTags, type Payloads } from '@nazar/core/inspection';
import { clocksWanted, type Clock, type VehicleChange } from '@nazar/core/planning';
import {
  findForbidden,
  nextStep,
  settingOf,
  vehicleState,
  type Forbidden,
  type NextStep,
  type VehicleState,
} from '@nazar/core/walking';
import type { CheckInstance } from '@nazar/core/rig';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { appendEntries, timeNow, type Walk } from '@/state';

/** The vehicle as it stands on a walk that is under way, and what follows from it. */
export interface Live {
  readonly state: VehicleState;
  readonly tags: ReadonlySet<string>;
  readonly forbidden: ReadonlyMap<string, Forbidden>;
  /** Clocks that an open check waits for. */
  readonly wanted: ReadonlySet<Clock>;
  /** What must come before this check; undefined when it may be made. */
  readonly stepOf: (instance: CheckInstance) => NextStep | undefined;
  /** Something was done to the vehicle, or said of it. */
  readonly tell: <T extends 'changed' | 'affirmed' | 'turned' | 'dropped' | 'present' | 'asked'>(
    type: T,
    payload: Payloads[T],
  ) => Promise<boolean>;
  readonly change: (change: VehicleChange) => Promise<boolean>;
}

export function useLive(walk: Walk, personId: string): Live {
  const { inspection, rig, assessment } = walk;
  const { begun, course } = inspection;
  const state = useMemo(
    () => vehicleState(course, begun ? settingOf(begun, rig) : { freezing: false, airUp: false }),
    [begun, course, rig],
  );
  const tags = useMemo(
    () => requiredTags(rig, begun?.phase ?? 'pre-trip', begun?.tags),
    [begun, rig],
  );
  const forbidden = useMemo(() => findForbidden(assessment), [assessment]);
  const wanted = useMemo(() => clocksWanted(assessment.missing), [assessment]);
  const now = useClockEnds(state);
  const stepOf = useCallback(
    (instance: CheckInstance) => nextStep({ instance, rig, inspection, state, tags, now }),
    [rig, inspection, state, tags, now],
  );
  const tell = useCallback<Live['tell']>(
    (type, payload) =>
      appendEntries([{ inspectionId: inspection.id, actorId: personId, type, payload }]),
    [inspection.id, personId],
  );
  const change = useCallback((what: VehicleChange) => tell('changed', { change: what }), [tell]);
  return { state, tags, forbidden, wanted, stepOf, tell, change };
}

/** The present moment, anew whenever a clock ends. */
function useClockEnds(state: VehicleState): number {
  const [ended, setEnded] = useState(() => timeNow());
  const { airAt, oilAt, coldAt = 0, settledAt = 0, warmAt, cleanAt = 0 } = state;
  useEffect(() => {
    const now = timeNow();
    // One that has ended by a word since is seen at once.
    const dues = [airAt, oilAt, coldAt, settledAt, warmAt, cleanAt].filter(
      (due) => due > ended && due < Infinity,
    );
    const later = setTimeout(
      () => setEnded(timeNow()),
      // A phone that slept is asked again soon after it wakes.
      Math.min(30_000, Math.max(0, Math.min(...dues, now + 30_000) - now) + 50),
    );
    return () => clearTimeout(later);
  }, [airAt, oilAt, coldAt, settledAt, warmAt, cleanAt, ended]);
  useEffect(() => {
    const awake = () => document.visibilityState === 'visible' && setEnded(timeNow());
    document.addEventListener('visibilitychange', awake);
    return () => document.removeEventListener('visibilitychange', awake);
  }, []);
  return ended;
}
