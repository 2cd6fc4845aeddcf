import { FIRST_LINK } from './seal';

/** A report of one unit as it stands in the unit's chain. */
export interface ChainEntry {
  readonly report: string;
  readonly sequence: number;
  readonly previous: string;
  /** Hash of the report itself. */
  readonly hash: string;
  /** Only the link is left: the report was removed when its time to be kept had passed. */
  readonly removed?: boolean;
}

export interface ChainFault {
  readonly code: 'gap' | 'does-not-follow' | 'twice' | 'first-lost';
  /** Sequence number at which it shows. */
  readonly sequence: number;
  readonly report: string;
}

/**
 * Whether the reports of a unit follow each other without a gap: each names the hash of the one before it.
 * Entries may come in any order. Empty when the chain holds.
 * @param head sequence and hash of the newest report as the server keeps it; a cut-off end shows by it
 */
export function findChainFaults(
  entries: readonly ChainEntry[],
  head?: { readonly sequence: number; readonly hash: string },
): ChainFault[] {
  const ordered = [...entries].sort((a, b) => a.sequence - b.sequence);
  const faults: ChainFault[] = [];
  ordered.forEach((entry, index) => {
    const fault = (code: ChainFault['code']) =>
      faults.push({ code, sequence: entry.sequence, report: entry.report });
    if (index === 0) {
      if (entry.sequence !== 1 || entry.previous !== FIRST_LINK) fault('first-lost');
      return;
    }
    const before = ordered[index - 1];
    if (entry.sequence === before.sequence) fault('twice');
    else if (entry.sequence !== before.sequence + 1) fault('gap');
    else if (entry.previous !== before.hash) fault('does-not-follow');
  });
  const last = ordered.at(-1);
  if (head && (last?.sequence !== head.sequence || last.hash !== head.hash))
    faults.push({ code: 'gap', sequence: head.sequence, report: last?.report ?? '' });
  return faults;
}
