import type { Logbook, LogbookPage } from '@nazar/core/wire';
import { callJson } from './api';
import { useServerPages, type ServerPages } from './server-reads';

interface UnitLogbook extends Omit<ServerPages<LogbookPage>, 'pages'> {
  /** Undefined until it is read. */
  readonly logbook: Logbook | undefined;
  /** The newest walks and defects, and those before them as far as they were asked for. */
  readonly pages: readonly LogbookPage[];
}

export function useLogbook(unitId: string): UnitLogbook {
  const { pages = [], ...rest } = useServerPages<LogbookPage, string>(
    ['logbook', unitId],
    (before) =>
      callJson<LogbookPage>(
        `/units/${unitId}/logbook${before ? `?before=${encodeURIComponent(before)}` : ''}`,
      ),
    ({ more, walks }) => (more ? walks.at(-1)?.begunAt : undefined),
  );
  // Only the first has all else that is known of the unit.
  return { ...rest, pages, logbook: pages[0] as Logbook | undefined };
}

export async function recordService(
  unitId: string,
  serviceId: string,
  words: string,
): Promise<void> {
  await callJson(`/units/${unitId}/services/${serviceId}`, { method: 'POST', json: { words } });
}
