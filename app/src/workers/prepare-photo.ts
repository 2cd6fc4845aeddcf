import type { PhotoAnswer } from './photo.worker';

interface PhotoWorker {
  preparePhoto(file: Blob): Promise<PhotoAnswer>;
}

/** Prepares a picture off the main thread; one worker a picture, so that its memory goes at once. */
export async function preparePhoto(file: Blob): Promise<PhotoAnswer> {
  const { wrap } = await import('comlink');
  const worker = new Worker(new URL('./photo.worker', window.location.href));
  try {
    return await wrap<PhotoWorker>(worker).preparePhoto(file);
  } finally {
    worker.terminate();
  }
}
