import Dexie, { type EntityTable } from 'dexie';
import type { AnyEvent } from '@nazar/core/inspection';

/** An event with how far it has got. */
export interface KeptEvent {
  /** Given by the database when it is added: the device's own order, also over several tabs. */
  readonly sequence: number;
  readonly id: string;
  readonly inspectionId: string;
  readonly actorId: string;
  readonly event: Omit<AnyEvent, 'sequence'>;
  state: 'waiting' | 'sent' | 'refused';
  refusal?: { code: string; detail: string };
}

/** An event that was made on another device of the same walk. */
export interface HeardEvent {
  readonly id: string;
  readonly inspectionId: string;
  readonly event: AnyEvent;
}

export interface KeptPhoto {
  readonly id: string;
  readonly inspectionId: string;
  readonly actorId: string;
  readonly blob: Blob;
  state: 'waiting' | 'sent' | 'refused';
  refusal?: { code: string; detail: string };
}

/** A fault that is being described; kept at every touch so that a killed tab loses nothing. */
export interface KeptDraft {
  /** Inspection id and check instance key. */
  readonly id: string;
  readonly inspectionId: string;
  readonly value: unknown;
}

export interface KeptValue {
  readonly name: string;
  readonly value: unknown;
}

class DeviceDatabase extends Dexie {
  events!: EntityTable<KeptEvent, 'sequence'>;
  heard!: EntityTable<HeardEvent, 'id'>;
  photos!: EntityTable<KeptPhoto, 'id'>;
  drafts!: EntityTable<KeptDraft, 'id'>;
  values!: EntityTable<KeptValue, 'name'>;

  constructor() {
    super('nazar');
    this.version(1).stores({
      events: '++sequence, &id, inspectionId, [actorId+state], state',
      photos: 'id, inspectionId, [actorId+state], state',
      drafts: 'id, inspectionId',
      values: 'name',
    });
    this.version(2).stores({ heard: 'id, inspectionId' });
  }
}

export const database = new DeviceDatabase();

/** A kept event as the log and the server know it. */
export function toEvent({ event, sequence }: KeptEvent): AnyEvent {
  return { ...event, sequence };
}

export async function readValue<T>(name: string): Promise<T | undefined> {
  return (await database.values.get(name))?.value as T | undefined;
}

export async function keepValue(name: string, value: unknown): Promise<void> {
  await database.values.put({ name, value });
}

/** Whether writing failed because the device has no room left. */
export function isDiskFull(error: unknown): boolean {
  const { name, inner, message } = (error ?? {}) as {
    name?: string;
    inner?: unknown;
    message?: string;
  };
  if (name === 'QuotaExceededError' || /quota|disk/i.test(message ?? '')) return true;
  return inner !== undefined && inner !== error && isDiskFull(inner);
}
