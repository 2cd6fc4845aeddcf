import { kindOf, isEventType, type AnyEvent } from '../inspection';
import { hashOf } from './seal';

/**
 * Hex SHA-256 of all that was entered on a walk up to its signature, in the order of the ids of the entries. Nothing of it may come later,
 * so a log that was altered since does not fit any more.
 */
export function digestOfLog(events: readonly AnyEvent[]): string {
  const walked = events
    .filter(({ type }) => {
      if (!isEventType(type)) return false;
      const { when } = kindOf(type);
      return when === 'not-begun' || when === 'walking';
    })
    .map(({ id, deviceId, actorId, at, sequence, type, payload }) => ({
      id,
      deviceId,
      actorId,
      at,
      sequence,
      type,
      payload,
    }))
    .sort((a, b) => (a.id < b.id ? -1 : a.id > b.id ? 1 : 0));
  return hashOf(walked);
}
