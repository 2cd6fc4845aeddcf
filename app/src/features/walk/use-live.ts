import { requiredTags, type Payloads } from '@nazar/core/inspection';
import { clocksWanted, layoutOf } from '@nazar/core/planning';
import type { Clock, Layout, VehicleChange } from '@nazar/core/vehicle';
import {
  findForbidden,
  leftStanding,
  nextStep,
  settingOf,
  vehicleState,
  type Forbidden,
  type LeftOut,
  type NextStep,
  type VehicleState,
} from '@nazar/core/walking';
import type { CheckInstance } from '@nazar/core/rig';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { type Walk, useWalkSession } from '@/state/walk';

/** The vehicle as it stands on a walk that is under way, and what follows from it. */
export interface Live {
  readonly state: VehicleState;
  /** The table of how this rig can stand. */
  readonly layout: Layout;
  /** What is still as this walk may not end. */
  readonly leftOut: readonly LeftOut[];
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
  readonly change: (change: VehicleChange, unitId?: string) => Promise<boolean>;
  /** Nobody did it: it was found to stand so. */
  readonly found: (change: VehicleChange, unitId?: string) => Promise<boolean>;
}

export function useLive(walk: Walk, personId: string): Live {
  const { log } = useWalkSession();
  const { inspection, rig, assessment } = walk;
  const { begun, course, answers } = inspection;
  const layout = layoutOf(rig);
  const state = useMemo(
    () =>
      vehicleState(
        { course, answers },
        begun ? settingOf(begun, rig) : { freezing: false, airUp: false, layout },
      ),
    [begun, course, answers, rig, layout],
  );
  const phase = begun?.phase ?? 'pre-trip';
  const leftOut = useMemo(() => leftStanding(state, layout, phase), [state, layout, phase]);
  const tags = useMemo(
    () => requiredTags(rig, begun?.phase ?? 'pre-trip', begun?.tags),
    [begun, rig],
  );
  const forbidden = useMemo(() => findForbidden(assessment), [assessment]);
  const wanted = useMemo(() => clocksWanted(assessment.missing), [assessment]);
  const { openStops } = assessment;
  const now = useClockEnds(state);
  const stepOf = useCallback(
    (instance: CheckInstance) =>
      nextStep({ instance, rig, inspection, state, tags, openStops, now }),
    [rig, inspection, state, tags, openStops, now],
  );
  const tell = useCallback<Live['tell']>(
    (type, payload) =>
      log.append([{ inspectionId: inspection.id, actorId: personId, type, payload }]),
    [log, inspection.id, personId],
  );
  const change = useCallback(
    (what: VehicleChange, unitId?: string) =>
      tell('changed', { change: what, ...(unitId !== undefined && { unitId }) }),
    [tell],
  );
  const found = useCallback(
    (what: VehicleChange, unitId?: string) =>
      tell('changed', { change: what, found: true, ...(unitId !== undefined && { unitId }) }),
    [tell],
  );
  return { state, layout, leftOut, tags, forbidden, wanted, stepOf, tell, change, found };
}

/** How often it is asked whether a clock has ended, milliseconds. */
const OFTEN = 500;

/**
 * The present moment, anew whenever a clock ends, and when the clock of the phone was put right or back: it is asked again and
 * again, never reckoned ahead.
 */
function useClockEnds(state: VehicleState): number {
  const { clock } = useWalkSession();
  const [ended, setEnded] = useState(() => clock.now());
  const { airAt, oilAt, coldAt = 0, settledAt = 0, warmAt, cleanAt = 0 } = state;
  useEffect(() => {
    const open = [airAt, oilAt, coldAt, settledAt, warmAt, cleanAt].filter((due) => due > ended);
    const look = () => {
      const now = clock.now();
      if (now < ended || open.some((due) => due <= now)) setEnded(now);
    };
    // One that has ended by a word is seen at once.
    const soon = setTimeout(look, 0);
    const again = setInterval(look, OFTEN);
    // A phone that slept sees it as it wakes.
    document.addEventListener('visibilitychange', look);
    return () => {
      clearTimeout(soon);
      clearInterval(again);
      document.removeEventListener('visibilitychange', look);
    };
  }, [clock, airAt, oilAt, coldAt, settledAt, warmAt, cleanAt, ended]);
  return ended;
}
