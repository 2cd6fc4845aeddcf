import { create } from 'zustand';
import { callJson } from './api';
import type { DefectRecord } from '@nazar/core/repair';

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

/** Open defects of the depot, worst first, then oldest; page by page. */
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
      reportedAt: last.reportedAt,
      id: last.id,
    });
    const page = await callJson<Page>(`/defects?${cursor.toString()}`);
    set(({ defects = [] }) => ({ defects: [...defects, ...page.defects], more: page.more }));
  },
}));
