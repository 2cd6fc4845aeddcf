import type { Logbook, LogbookPage, LogbookWalk } from '@nazar/core/wire';
import type { DefectRecord } from '@nazar/core/repair';

import { toEntries } from './time-line-entries';

const walk = (begunAt: string) => ({ inspectionId: begunAt, begunAt }) as LogbookWalk;
const defect = (reportedAt: string, certifiedAt: string | null = null) =>
  ({ id: reportedAt, reportedAt, certifiedAt }) as DefectRecord;
const outing = (outAt: string) => ({ inspectionId: outAt, outAt }) as Logbook['outings'][number];
const joined = (at: string) => ({ id: at, at, what: 'joined' }) as Logbook['rigChanges'][number];
const page = (walks: string[], defects: DefectRecord[], more = false): LogbookPage => ({
  walks: walks.map(walk),
  defects,
  more,
});

it('is one line, newest first, a repair apart from its defect', () => {
  const entries = toEntries(
    [page(['2026-11-05', '2026-11-01'], [defect('2026-11-02', '2026-11-04')])],
    { outings: [outing('2026-11-03')], rigChanges: [joined('2026-11-03T12')] },
  );
  expect(entries.map(({ kind, at }) => `${at} ${kind}`)).toEqual([
    '2026-11-05 walk',
    '2026-11-04 repair',
    '2026-11-03T12 rig',
    '2026-11-03 outing',
    '2026-11-02 defect',
    '2026-11-01 walk',
  ]);
});

it('leaves what is older than the pages read so far to their pages', () => {
  const first = page(['2026-11-05', '2026-11-03'], [], true);
  const out = [outing('2026-11-04'), outing('2026-11-02')];
  expect(toEntries([first], { outings: out, rigChanges: [] })).toHaveLength(3);
  expect(
    toEntries([first, page(['2026-11-01'], [])], { outings: out, rigChanges: [] }),
  ).toHaveLength(5);
});
