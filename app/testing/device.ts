import { openDatabase } from '../src/state/database';

const STORES = ['events', 'heard', 'photos', 'drafts', 'values'] as const;

/** A device on which nothing was ever kept. */
export async function clearDevice(): Promise<void> {
  const database = await openDatabase();
  await Promise.all(STORES.map((name) => database.clear(name)));
}
