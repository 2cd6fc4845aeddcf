import { useReference } from './reference';

/**
 * The present moment as entries are stamped with it: the clock of this phone, corrected by the offset seen at the last sync.
 * Everything that is held against the time of an entry goes by it. Milliseconds since 1970.
 */
export function timeNow(): number {
  return Date.now() + useReference.getState().offset;
}
