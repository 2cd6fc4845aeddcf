import { openDatabase } from './database';

const draftId = (inspectionId: string, key: string) => `${inspectionId} ${key}`;

/** What has been said about a fault that is not finished yet. */
export async function readDraft<T>(inspectionId: string, key: string): Promise<T | undefined> {
  const database = await openDatabase();
  return (await database.get('drafts', draftId(inspectionId, key)))?.value as T | undefined;
}

export async function keepDraft(inspectionId: string, key: string, value: unknown): Promise<void> {
  await (
    await openDatabase()
  ).put('drafts', { id: draftId(inspectionId, key), inspectionId, value });
}

export async function dropDraft(inspectionId: string, key: string): Promise<void> {
  await (await openDatabase()).delete('drafts', draftId(inspectionId, key));
}

/** Keys of checks with a draft, so that the walk can offer to go on. */
export async function listDrafts(inspectionId: string): Promise<string[]> {
  const database = await openDatabase();
  const drafts = await database.getAllFromIndex('drafts', 'inspectionId', inspectionId);
  return drafts.map(({ id }) => id.slice(inspectionId.length + 1));
}
