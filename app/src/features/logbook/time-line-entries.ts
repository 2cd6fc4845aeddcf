import type { Logbook, LogbookPage, LogbookWalk } from '@nazar/core/wire';
import type { DefectRecord } from '@nazar/core/repair';

export type TimeLineEntry =
  | { readonly kind: 'walk'; readonly at: string; readonly walk: LogbookWalk }
  | { readonly kind: 'defect'; readonly at: string; readonly defect: DefectRecord }
  | { readonly kind: 'repair'; readonly at: string; readonly defect: DefectRecord }
  | { readonly kind: 'outing'; readonly at: string; readonly outing: Logbook['outings'][number] }
  | { readonly kind: 'rig'; readonly at: string; readonly change: Logbook['rigChanges'][number] };

/** Walks, defects, repairs, outings and changes of the rig in one line, newest first. */
export function toEntries(
  pages: readonly LogbookPage[],
  { outings, rigChanges }: Pick<Logbook, 'outings' | 'rigChanges'>,
): TimeLineEntry[] {
  const oldest = pages[pages.length - 1]?.walks.at(-1)?.begunAt ?? '';
  const all: TimeLineEntry[] = [
    ...pages.flatMap(({ walks }) =>
      walks.map((walk): TimeLineEntry => ({ kind: 'walk', at: walk.begunAt, walk })),
    ),
    ...pages.flatMap(({ defects }) =>
      defects.flatMap((defect): TimeLineEntry[] => [
        { kind: 'defect', at: defect.reportedAt, defect },
        ...(defect.certifiedAt
          ? [{ kind: 'repair' as const, at: defect.certifiedAt, defect }]
          : []),
      ]),
    ),
    ...outings.map((outing): TimeLineEntry => ({ kind: 'outing', at: outing.outAt, outing })),
    ...rigChanges.map((change): TimeLineEntry => ({ kind: 'rig', at: change.at, change })),
  ];
  // What is older than the pages read so far would leave holes; it comes with its page.
  return all.filter(({ at }) => at >= oldest).sort((a, b) => (a.at < b.at ? 1 : -1));
}
