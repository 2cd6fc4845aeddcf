import { useCallback, useLayoutEffect, useRef } from 'react';

/** A function that is always the same and always does what the newest one does, for parts that are drawn once. */
export function useStable<A extends unknown[]>(
  newest: (...values: A) => void,
): (...values: A) => void {
  const kept = useRef(newest);
  useLayoutEffect(() => {
    kept.current = newest;
  });
  return useCallback((...values: A) => kept.current(...values), []);
}
