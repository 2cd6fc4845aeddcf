import { useEffect, useState } from 'react';
import { useWalkSession } from '@/state/walk';

/** The present moment, four times a second while something runs; milliseconds since 1970, as entries are stamped. */
export function useTick(on: boolean): number {
  const { clock } = useWalkSession();
  return useRunning(clock.now, on);
}

/** A clock that nobody can set, for what is counted in one go; milliseconds. */
export function useStopwatch(on: boolean): number {
  return useRunning(stopwatch, on);
}

export const stopwatch = () => performance.now();

function useRunning(read: () => number, on: boolean): number {
  const [now, setNow] = useState(read);
  useEffect(() => {
    if (!on) return undefined;
    const clock = setInterval(() => setNow(read()), 250);
    return () => clearInterval(clock);
  }, [on, read]);
  return now;
}

/** Seconds as minutes and seconds. */
export function formatLeft(seconds: number): string {
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
}
