import type { DefectRecord, DefectStep } from '@nazar/core/repair';
import { create } from 'zustand';
import { callJson } from './api';

interface Page {
  readonly defects: readonly DefectRecord[];
  readonly counts?: Readonly<Record<string, number>>;
  readonly more: boolean;
}

const RANK = { note: 1, minor: 2, major: 3 } as const;

interface WorkshopState {
  readonly defects: readonly DefectRecord[] | undefined;
  readonly counts: Readonly<Record<string, number>>;
  readonly more: boolean;
  readonly load: () => Promise<void>;
  readonly loadMore: () => Promise<void>;
}

/** Open defects of the depot: worst first, then needed soon, then oldest; page by page. */
export const useWorkshop = create<WorkshopState>((set, get) => ({
  defects: undefined,
  counts: {},
  more: false,
  load: async () => {
    const page = await callJson<Page>('/defects?limit=50');
    set({ defects: page.defects, counts: page.counts ?? {}, more: page.more });
  },
  loadMore: async () => {
    const last = get().defects?.at(-1);
    if (!last) return;
    const cursor = new URLSearchParams({
      limit: '50',
      rank: String(RANK[last.grade]),
      needed: String(last.neededAt !== null),
      reportedAt: last.reportedAt,
      id: last.id,
    });
    const page = await callJson<Page>(`/defects?${cursor.toString()}`);
    set(({ defects = [] }) => ({ defects: [...defects, ...page.defects], more: page.more }));
  },
}));

/** A defect with its life so far. */
export interface DefectFile {
  readonly defect: DefectRecord;
  readonly steps: readonly DefectStep[];
  /** The repair on the same part that did not hold. */
  readonly formerRepair: DefectRecord | null;
}

export function loadDefectFile(id: string): Promise<DefectFile> {
  return callJson<DefectFile>(`/defects/${id}`);
}
