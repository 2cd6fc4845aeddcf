import type { Card, DatedItem } from '../catalogue';

/**
 * What stands on a card and is past its date: a paper, an extinguisher, a yearly inspection.
 * @param day today where the vehicle stands, `YYYY-MM-DD`; the last day itself is still good
 */
export function findOutOfDate(card: Card | undefined, day: string): DatedItem[] {
  return (card?.dated ?? []).filter(({ until }) => until < day);
}
