import type { KnownDefect, UnreadRepair } from '@nazar/core/inspection';
import type { UnitHabit, UnitName } from '@nazar/core/quantity';
import type { DefectRecord } from '@nazar/core/repair';
import type { Unit } from '@nazar/core/rig';
import { create } from 'zustand';
import { callJson } from './api';
import { keepValue, readValue } from './database';

export interface LastReport {
  readonly unitId: string;
  readonly reportId: string | null;
  readonly phase: 'pre-trip' | 'post-trip';
  readonly headline: 'rolls' | 'limits' | 'stays';
  readonly signedAt: string;
  readonly driver: string;
}

export interface Reference {
  readonly catalogueVersion: string;
  readonly organisation: string;
  readonly habit: UnitHabit;
  readonly depot: { readonly id: string; readonly name: string; readonly policyId: string };
  readonly units: readonly Unit[];
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

const nameFor = (personId: string) => `reference ${personId}`;

/** What the phone keeps of the depot, so that a walk needs no network. */
export const useReference = create<ReferenceState>((set) => ({
  reference: undefined,
  offset: 0,
  load: async (personId) => {
    const reference = await readValue<Reference>(nameFor(personId));
    const offset = (await readValue<number>('offset')) ?? 0;
    set({ reference, offset });
  },
  refresh: async (personId) => {
    const reference = await callJson<Reference>('/reference');
    const offset = reference.serverTime - Date.now();
    await keepValue(nameFor(personId), reference);
    await keepValue('offset', offset);
    set({ reference, offset });
  },
}));

function titleOf({ title, place }: DefectRecord): string {
  return place ? `${title} (${place})` : title;
}

/** Open defects of the units, as the assessment wants them; what this very walk reported is left out. */
export function knownDefects(
  reference: Reference | undefined,
  unitIds: readonly string[],
  inspectionId: string,
): KnownDefect[] {
  return (reference?.defects ?? [])
    .filter(({ status }) => status === 'open' || status === 'deferred')
    .filter((defect) => unitIds.includes(defect.unitId) && defect.inspectionId !== inspectionId)
    .map((defect) => ({
      id: defect.id,
      key: defect.key,
      unitId: defect.unitId,
      title: titleOf(defect),
      grade: defect.grade,
      blocks: defect.blocks,
      words: defect.symptom,
    }));
}

export function unreadRepairs(
  reference: Reference | undefined,
  unitIds: readonly string[],
): UnreadRepair[] {
  return (reference?.defects ?? [])
    .filter(({ status }) => status === 'repaired' || status === 'no-repair-needed')
    .filter((defect) => unitIds.includes(defect.unitId))
    .map((defect) => ({
      defectId: defect.id,
      unitId: defect.unitId,
      title: titleOf(defect),
      words: defect.outcomeWords ?? '',
    }));
}
