import { expose } from 'comlink';

const LONG_SIDE = 1600;
const MOST_BYTES = 60 * 1024 * 1024;
const MOST_PIXELS = 80_000_000;

export type PhotoAnswer =
  | { readonly ok: true; readonly blob: Blob; readonly width: number; readonly height: number }
  | { readonly ok: false; readonly problem: 'not-a-picture' | 'huge' };

/**
 * Decodes a picture, turns it upright, makes it at most 1600 px long and encodes it anew as
 * JPEG; what the camera wrote beside the picture stays behind.
 */
export async function preparePhoto(file: Blob): Promise<PhotoAnswer> {
  if (file.size > MOST_BYTES) return { ok: false, problem: 'huge' };
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' });
  } catch {
    return { ok: false, problem: 'not-a-picture' };
  }
  if (bitmap.width * bitmap.height > MOST_PIXELS) {
    bitmap.close();
    return { ok: false, problem: 'huge' };
  }
  const scale = Math.min(1, LONG_SIDE / Math.max(bitmap.width, bitmap.height));
  const width = Math.max(1, Math.round(bitmap.width * scale));
  const height = Math.max(1, Math.round(bitmap.height * scale));
  const canvas = new OffscreenCanvas(width, height);
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, width, height);
  bitmap.close();
  const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.82 });
  return { ok: true, blob, width, height };
}

expose({ preparePhoto });
