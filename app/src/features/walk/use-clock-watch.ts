import { clockMove, type ClockSample } from '@nazar/core/walking';
import { useEffect, useState } from 'react';
import { useWalkSession } from '@/state/walk';

const EVERY = 1_000;

/**
 * Watches whether the clock of this phone is changed during a walk, and enters it where it was: so no clock of the walk runs
 * faster or slower for it. @returns seconds of the last change, until it is put away
 */
export function useClockWatch(inspectionId: string, personId: string) {
  const { log, clock } = useWalkSession();
  const [moved, setMoved] = useState<number>();
  useEffect(() => {
    let slept = false;
    // As entries are stamped: a server that corrects the clock is a change like any other.
    const take = (): ClockSample => ({
      wall: clock.now(),
      monotonic: performance.now(),
      slept,
    });
    let before = take();
    const look = () => {
      const after = take();
      // A timer that came much too late was asleep.
      const late = after.monotonic - before.monotonic > 5 * EVERY;
      const by = clockMove(before, { ...after, slept: slept || late });
      before = after;
      slept = document.visibilityState !== 'visible';
      if (by === 0) return;
      setMoved(Math.round(by / 1000));
      void log.append([
        {
          inspectionId,
          actorId: personId,
          type: 'clock-moved',
          payload: { seconds: by / 1000 },
        },
      ]);
    };
    const hidden = () => {
      slept = true;
    };
    const regularly = setInterval(look, EVERY);
    document.addEventListener('visibilitychange', hidden);
    return () => {
      clearInterval(regularly);
      document.removeEventListener('visibilitychange', hidden);
    };
  }, [clock, log, inspectionId, personId]);
  return { moved, putAway: () => setMoved(undefined) };
}
