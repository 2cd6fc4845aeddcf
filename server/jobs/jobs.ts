import type { Knex } from 'knex';
import type { SealKey } from '../report/seal-key';
import { sealAllPending } from '../report/seal-pending';
import { ensurePartitions } from '../store/partitions';
import { forgetOldCounters } from '../store/rate-counters';
import { runRetention } from './retention';
import type { Job } from './scheduler';

const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
const DAY = 24 * HOUR;

/** Months for which there is room before they come, days. */
export const AHEAD = 70;

/** What the server does by itself, in the order in which it is first done. */
export function ownJobs(db: Knex, key: SealKey): Job[] {
  return [
    {
      name: 'partitions',
      every: 6 * HOUR,
      run: async (now) => {
        const made = await ensurePartitions(db, now, new Date(now.getTime() + AHEAD * DAY));
        return made > 0 ? `${made} made` : undefined;
      },
    },
    {
      // A walk that was stored but not sealed (a crash in between) is sealed within a minute.
      name: 'sealing',
      every: MINUTE,
      run: async (now) => {
        const { sealed, failed } = await sealAllPending(db, key, now);
        if (failed.length > 0)
          throw new AggregateError(
            failed.map(({ error }) => error),
            `Cannot be sealed: ${failed.map(({ inspectionId }) => inspectionId).join(', ')}`,
          );
        return sealed > 0 ? `${sealed} sealed` : undefined;
      },
    },
    {
      name: 'retention',
      every: HOUR,
      run: async (now) => {
        const removed = await runRetention(db, now);
        return removed > 0 ? `${removed} walks removed` : undefined;
      },
    },
    {
      name: 'counters',
      every: MINUTE,
      run: async () => {
        await forgetOldCounters(db);
        return undefined;
      },
    },
  ];
}
