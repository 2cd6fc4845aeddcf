import type { Reference } from '@nazar/core/wire';
import type { WeakSpot } from '@nazar/core/repair';
import { create } from 'zustand';
import { callJson } from './api';
import { keepValue, readValue } from './database';

interface ReferenceState {
  readonly reference: Reference | undefined;
  /** Server time minus device time, milliseconds, seen at the last answer. */
  readonly offset: number;
  readonly load: (personId: string) => Promise<void>;
  readonly refresh: (personId: string) => Promise<void>;
}

/** Milliseconds. */
const LONG = 10_000;

const nameFor = (personId: string) => `reference ${personId}`;

/** What the phone keeps of the depot, so that a walk needs no network. */
export const useReference = create<ReferenceState>((set) => ({
  reference: undefined,
  offset: 0,
  load: async (personId) => {
    const kept = await readValue<Reference>(nameFor(personId));
    // What an older version kept lacks what this one reads; the next answer of the server brings it.
    const reference = kept && 'choice' in kept.depot ? kept : undefined;
    const offset = (await readValue<number>('offset')) ?? 0;
    set({ reference, offset });
  },
  refresh: async (personId) => {
    const asked = Date.now();
    const reference = await callJson<Reference>('/reference');
    const took = Date.now() - asked;
    // The answer was on its way for about half of the time. One that took long, or over which the phone slept or its clock was
    // set, tells nothing.
    const known = useReference.getState().offset;
    const offset = took < 0 || took > LONG ? known : reference.serverTime - asked - took / 2;
    await keepValue(nameFor(personId), reference);
    if (reference.content && reference.content.version > 0)
      await keepValue(`content ${reference.content.version}`, reference.content);
    await keepValue('offset', offset);
    set({ reference, offset });
  },
}));

/** The weak spot at a check instance, if it is one. A part is what follows the unit in the key. */
export function weakSpotAt(reference: Reference | undefined, key: string): WeakSpot | undefined {
  const [unitId] = key.split('/');
  const part = key.slice(unitId.length + 1);
  return reference?.weakSpots.find((spot) => spot.unitId === unitId && spot.part === part);
}
