import { database } from './database';

const draftId = (inspectionId: string, key: string) => `${inspectionId} ${key}`;

/** What has been said about a fault that is not finished yet. */
export async function readDraft<T>(inspectionId: string, key: string): Promise<T | undefined> {
  return (await database.drafts.get(draftId(inspectionId, key)))?.value as T | undefined;
}

export async function keepDraft(inspectionId: string, key: string, value: unknown): Promise<void> {
  await database.drafts.put({ id: draftId(inspectionId, key), inspectionId, value });
}

export async function dropDraft(inspectionId: string, key: string): Promise<void> {
  await database.drafts.delete(draftId(inspectionId, key));
}

/** Keys of checks with a draft, so that the walk can offer to go on. */
export async function listDrafts(inspectionId: string): Promise<string[]> {
  const drafts = await database.drafts.where({ inspectionId }).toArray();
  return drafts.map(({ id }) => id.slice(inspectionId.length + 1));
}
