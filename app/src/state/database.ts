import type { AnyEvent } from '@nazar/core/inspection';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

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

interface Stores extends DBSchema {
  events: {
    key: number;
    value: KeptEvent;
    indexes: {
      id: string;
      inspectionId: string;
      state: string;
      '[actorId+state]': [string, string];
    };
  };
  heard: { key: string; value: HeardEvent; indexes: { inspectionId: string } };
  photos: {
    key: string;
    value: KeptPhoto;
    indexes: { inspectionId: string; state: string; '[actorId+state]': [string, string] };
  };
  drafts: { key: string; value: KeptDraft; indexes: { inspectionId: string } };
  values: { key: string; value: KeptValue };
}

export type DeviceDatabase = IDBPDatabase<Stores>;

/** Phones in the yard have it under these numbers: 10 is the first, 20 has what other devices added. */
const VERSION = 20;

let opened: Promise<DeviceDatabase> | undefined;

/** The database of this device. It is opened once, and again after the browser has closed it. */
export function openDatabase(): Promise<DeviceDatabase> {
  const forget = () => {
    opened = undefined;
  };
  opened ??= openDB<Stores>('nazar', VERSION, {
    upgrade(database, from) {
      if (from < 10) {
        const events = database.createObjectStore('events', {
          keyPath: 'sequence',
          autoIncrement: true,
        });
        events.createIndex('id', 'id', { unique: true });
        events.createIndex('inspectionId', 'inspectionId');
        events.createIndex('[actorId+state]', ['actorId', 'state']);
        events.createIndex('state', 'state');
        const photos = database.createObjectStore('photos', { keyPath: 'id' });
        photos.createIndex('inspectionId', 'inspectionId');
        photos.createIndex('[actorId+state]', ['actorId', 'state']);
        photos.createIndex('state', 'state');
        const drafts = database.createObjectStore('drafts', { keyPath: 'id' });
        drafts.createIndex('inspectionId', 'inspectionId');
        database.createObjectStore('values', { keyPath: 'name' });
      }
      if (from < 20) {
        const heard = database.createObjectStore('heard', { keyPath: 'id' });
        heard.createIndex('inspectionId', 'inspectionId');
      }
    },
    // A newer version of the app in another tab wants to open it.
    blocking: (_current, _blocked, event) => {
      (event.target as IDBDatabase).close();
      forget();
    },
    terminated: forget,
  });
  opened.catch(forget);
  return opened;
}

/** A kept event as the log and the server know it. */
export function toEvent({ event, sequence }: KeptEvent): AnyEvent {
  return { ...event, sequence };
}

export async function readValue<T>(name: string): Promise<T | undefined> {
  return (await (await openDatabase()).get('values', name))?.value as T | undefined;
}

export async function keepValue(name: string, value: unknown): Promise<void> {
  await (await openDatabase()).put('values', { name, value });
}

/** Whether writing failed because the device has no room left. */
export function isDiskFull(error: unknown): boolean {
  const { name, message } = (error ?? {}) as { name?: string; message?: string };
  return name === 'QuotaExceededError' || /quota|disk/i.test(message ?? '');
}
