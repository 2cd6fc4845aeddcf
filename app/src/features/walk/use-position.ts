import type { Stop } from '@nazar/core/planning';
import type { CheckInstance } from '@nazar/core/rig';
import { useCallback, useState } from 'react';
import type { Walk } from '@/state/walk';

export interface Position {
  readonly stopIndex: number;
  readonly stop: Stop;
  readonly current: CheckInstance;
  readonly goToStop: (index: number) => void;
  readonly goToCheck: (key: string) => void;
  /** The next check of this stop without an answer, other than `answered`. */
  readonly moveOn: (answered: string) => void;
  readonly step: (by: 1 | -1) => void;
}

function isOpen(walk: Walk, key: string): boolean {
  const state = walk.assessment.byKey.get(key)?.state;
  return state === 'unanswered' || state === 'again';
}

/** Where the feet stand and what the eyes are on. Opens at the first check without an answer. */
export function usePosition(walk: Walk, at: string | undefined): Position {
  const { stops } = walk;
  const [key, setKey] = useState<string>(
    () => comeBack(stops, walk, at) ?? firstOpen(stops, walk) ?? stops[0].instances[0].key,
  );
  const found = stops.findIndex(({ instances }) => instances.some((each) => each.key === key));
  const stopIndex = Math.max(found, 0);
  const stop = stops[stopIndex];
  const current = stop.instances.find((each) => each.key === key) ?? stop.instances[0];

  const goToStop = useCallback(
    (index: number) => {
      const target = stops[Math.min(Math.max(index, 0), stops.length - 1)];
      const open = target.instances.find((each) => isOpen(walk, each.key));
      setKey((open ?? target.instances[0]).key);
    },
    [stops, walk],
  );
  const moveOn = useCallback(
    (answered: string) => {
      const at = stop.instances.findIndex((each) => each.key === answered);
      const rest = [...stop.instances.slice(at + 1), ...stop.instances.slice(0, at)];
      const next = rest.find((each) => isOpen(walk, each.key));
      setKey(next?.key ?? answered);
    },
    [stop, walk],
  );
  const step = useCallback(
    (by: 1 | -1) => {
      const at = stop.instances.findIndex((each) => each.key === current.key) + by;
      if (stop.instances[at]) setKey(stop.instances[at].key);
    },
    [stop, current],
  );
  return { stopIndex, stop, current, goToStop, goToCheck: setKey, moveOn, step };
}

/** A fault was named there without the number that the check asks for. */
export function asksReading(walk: Walk, key: string | undefined): boolean {
  return key !== undefined && walk.assessment.byKey.get(key)?.asksReading === true;
}

/** Back from a fault: on to the next check of that stop, or stay where the fault was when none is open, or its number is asked. */
function comeBack(stops: readonly Stop[], walk: Walk, at: string | undefined): string | undefined {
  const stop = stops.find(({ instances }) => instances.some(({ key }) => key === at));
  if (!stop || !at) return undefined;
  if (isOpen(walk, at) || asksReading(walk, at)) return at;
  const from = stop.instances.findIndex(({ key }) => key === at);
  const rest = [...stop.instances.slice(from + 1), ...stop.instances.slice(0, from)];
  return rest.find(({ key }) => isOpen(walk, key))?.key ?? at;
}

function firstOpen(stops: readonly Stop[], walk: Walk): string | undefined {
  for (const stop of stops) for (const { key } of stop.instances) if (isOpen(walk, key)) return key;
  return undefined;
}
