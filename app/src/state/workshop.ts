import type { DefectFile, DefectPage } from '@nazar/core/wire';
import type { DefectRecord } from '@nazar/core/repair';
import { useEffect } from 'react';
import { callJson } from './api';
import { useServerPages, useServerRead, type ServerPages, type ServerRead } from './server-reads';

const RANK = { note: 1, minor: 2, major: 3 } as const;

interface Workshop extends Omit<ServerPages<DefectPage>, 'pages'> {
  readonly defects: readonly DefectRecord[] | undefined;
  readonly counts: Readonly<Record<string, number>>;
}

/**
 * Open defects of the depot: worst first, then needed soon, then oldest; page by page.
 * @param arrivals how often entries of this phone have reached the server: what they changed is read again
 */
export function useWorkshop(arrivals: number): Workshop {
  const { pages, ...rest } = useServerPages<DefectPage, DefectRecord>(
    ['defects'],
    readPage,
    ({ defects, more }) => (more ? defects.at(-1) : undefined),
  );
  const { reload } = rest;
  // What is shown stays until the answer is here: somebody may be typing beside it.
  useEffect(() => {
    if (arrivals > 0) reload();
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [arrivals]);
  return {
    ...rest,
    defects: pages?.flatMap(({ defects }) => defects),
    counts: pages?.[0]?.counts ?? {},
  };
}

function readPage(last: DefectRecord | undefined): Promise<DefectPage> {
  if (!last) return callJson<DefectPage>('/defects?limit=50');
  const cursor = new URLSearchParams({
    limit: '50',
    rank: String(RANK[last.grade]),
    needed: String(last.neededAt !== null),
    reportedAt: last.reportedAt,
    id: last.id,
  });
  return callJson<DefectPage>(`/defects?${cursor.toString()}`);
}

export function useDefectFile(id: string): ServerRead<DefectFile> {
  return useServerRead(['defect', id], () => callJson<DefectFile>(`/defects/${id}`));
}
