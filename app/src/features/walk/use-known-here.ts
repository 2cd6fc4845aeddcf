import type { Stop } from '@nazar/core/planning';
import { useCallback, useMemo } from 'react';
import { useReference, weakSpotAt } from '@/state';
import type { Walk } from '@/state/walk';

/** What is known of the checks of a walk before they are answered: open defects, repairs, weak spots, last readings. */
export function useKnownHere({ known, rig }: Walk, stop: Stop, key: string) {
  const reference = useReference((state) => state.reference);
  const isWeak = useCallback(
    (each: string) => weakSpotAt(reference, each) !== undefined,
    [reference],
  );
  const watched = useMemo(
    () =>
      new Set([
        ...known.map((each) => each.key),
        ...(reference?.defects ?? []).filter((each) => each.outcomeWords).map((each) => each.key),
        ...stop.instances.filter((each) => isWeak(each.key)).map((each) => each.key),
      ]),
    [known, reference, stop, isWeak],
  );
  const weakInstances = useMemo(
    () => rig.instances.filter((each) => isWeak(each.key)),
    [rig, isWeak],
  );
  return {
    isWeak,
    weakInstances,
    /** Not called sound together with others: something is known of each. */
    watched,
    defect: known.find((each) => each.key === key),
    last: reference?.lastReadings.find((reading) => reading.key === key),
    repaired:
      reference?.defects.find((each) => each.key === key && each.outcomeWords)?.outcomeWords ??
      undefined,
    weak: weakSpotAt(reference, key),
  };
}
