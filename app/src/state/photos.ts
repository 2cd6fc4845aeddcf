import { v7 as newId } from 'uuid';
import { callApi } from './api';
import { isDiskFull, openDatabase } from './database';
import { useLog } from './log';

export interface PreparedPicture {
  readonly blob: Blob;
  readonly width: number;
  readonly height: number;
}

/** Keeps a picture until it is sent; undefined when the device had no room. */
export async function keepPhoto(
  inspectionId: string,
  actorId: string,
  picture: PreparedPicture,
): Promise<{ id: string; width: number; height: number } | undefined> {
  const id = newId();
  try {
    const database = await openDatabase();
    const { blob } = picture;
    await database.add('photos', { id, inspectionId, actorId, blob, state: 'waiting' });
    return { id, width: picture.width, height: picture.height };
  } catch (error) {
    useLog.setState({ trouble: isDiskFull(error) ? 'disk-full' : 'not-kept' });
    return undefined;
  }
}

/** A picture from this device, or else from the server. */
export async function loadPhoto(id: string): Promise<Blob | undefined> {
  const kept = await (await openDatabase()).get('photos', id);
  if (kept) return kept.blob;
  try {
    return await (await callApi(`/photos/${id}`)).blob();
  } catch {
    return undefined;
  }
}
