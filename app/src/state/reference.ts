import type { Phase, Capability } from '@nazar/core/catalogue';
import type { Policy, PolicyChoice } from '@nazar/core/grading';
import type { DepotContent } from '@nazar/core/depot-content';
import type { UnitHabit, UnitName } from '@nazar/core/quantity';
import type { DefectRecord, WeakSpot } from '@nazar/core/repair';
import type { Unit } from '@nazar/core/rig';
import { create } from 'zustand';
import { callJson } from './api';
import { keepValue, readValue } from './database';

export interface LastReport {
  readonly unitId: string;
  readonly reportId: string | null;
  readonly phase: Phase;
  readonly headline: 'rolls' | 'limits' | 'stays';
  readonly signedAt: string;
  readonly driver: string;
}

export interface PlannedJob {
  readonly id: string;
  readonly title: string;
  readonly needs: readonly Capability[];
  readonly unitIds: readonly string[];
  readonly startsAt: string;
}

/** The tag of one stop of one unit. */
export interface Tag {
  readonly unitId: string;
  readonly zoneId: string;
  readonly code: string;
  /** The house wants it read on every walk. */
  readonly required: boolean;
}

/** A rig that is out and has not come back. */
export interface Outing {
  readonly inspectionId: string;
  readonly unitIds: readonly string[];
  readonly purpose: 'job' | 'workshop';
  readonly needs: readonly Capability[];
  readonly title: string | null;
  readonly outAt: string;
  readonly by: string;
  readonly byId: string;
}

export interface Reference {
  readonly catalogueVersion: string;
  readonly organisation: string;
  readonly habit: UnitHabit;
  readonly depot: { readonly id: string; readonly name: string; readonly choice: PolicyChoice };
  /** What the depot changed of the catalogue; missing in what an older version kept. */
  readonly content?: DepotContent;
  /** Policies that the organisation brought itself. */
  readonly ownPolicies: readonly Policy[];
  readonly weakSpots: readonly WeakSpot[];
  readonly jobs: readonly PlannedJob[];
  readonly outings: readonly Outing[];
  readonly mechanics: readonly { readonly id: string; readonly name: string }[];
  readonly units: readonly Unit[];
  /** What is printed at each stop; missing in what an older version kept. */
  readonly tags?: readonly Tag[];
  readonly rigs: readonly {
    readonly id: string;
    readonly title: string;
    readonly unitIds: readonly string[];
  }[];
  readonly sealKeys: readonly string[];
  readonly defects: readonly DefectRecord[];
  readonly lastReadings: readonly {
    readonly key: string;
    readonly value: number;
    readonly unit: UnitName;
    readonly at: string;
  }[];
  readonly lastReports: readonly LastReport[];
  readonly serverTime: number;
}

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
