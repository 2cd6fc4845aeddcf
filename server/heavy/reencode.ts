import pLimit from 'p-limit';
import sharp from 'sharp';
import { TooBusy } from './pool';

const MOST_PIXELS = 60_000_000;
/** A line of sixty million columns is no photo. */
const MOST_SIDE = 12_000;
const LONG_SIDE = 1600;
const MOST_WAITING = 30;

// It works in threads of its own; so many pictures at a time, and a core is left for those who wait for something small.
sharp.concurrency(1);
const inLine = pLimit(2);

/** What was sent is no picture, or one that no camera makes. */
export class NotAPicture extends Error {
  override name = 'NotAPicture';
}

/**
 * A picture encoded anew: JPEG, upright, at most 1600 px, without what the camera wrote into it.
 * @throws {NotAPicture}
 * @throws {TooBusy} when too many wait
 */
export async function reencode(bytes: unknown) {
  if (!Buffer.isBuffer(bytes) || bytes.length === 0) throw new NotAPicture();
  if (inLine.pendingCount >= MOST_WAITING) throw new TooBusy('Too many pictures wait.');
  return inLine(async () => {
    try {
      const { width, height } = await sharp(bytes, { limitInputPixels: MOST_PIXELS }).metadata();
      if (Math.max(width ?? Infinity, height ?? Infinity) > MOST_SIDE) throw new NotAPicture();
      return await sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error' })
        .rotate()
        .resize({ width: LONG_SIDE, height: LONG_SIDE, fit: 'inside', withoutEnlargement: true })
        .jpeg({ quality: 78, mozjpeg: true })
        .toBuffer({ resolveWithObject: true });
    } catch {
      throw new NotAPicture();
    }
  });
}
