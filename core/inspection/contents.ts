import type { ContentsItem } from '../catalogue';
import type { CountedItem } from './payloads';

/** What a list lacks, and why it is not good. */
export interface Short {
  readonly item: ContentsItem;
  readonly found: number;
  readonly why: 'missing' | 'out-of-date' | 'date-not-read';
}

/**
 * Holds what was counted against a list; what was not counted is missing.
 * @param day ISO date on which it was counted; a date of that very day is still good
 * @returns every item that is short, in the order of the list; empty when all is there and in date
 */
export function findShort(
  list: readonly ContentsItem[],
  counted: readonly CountedItem[],
  day: string,
): Short[] {
  return list.flatMap((item): Short[] => {
    const entry = counted.find(({ id }) => id === item.id);
    const found = entry?.found ?? 0;
    if (found < item.count) return [{ item, found, why: 'missing' }];
    if (!item.expires) return [];
    if (entry?.until === undefined) return [{ item, found, why: 'date-not-read' }];
    return entry.until < day ? [{ item, found, why: 'out-of-date' }] : [];
  });
}
