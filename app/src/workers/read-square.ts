import jsQR from 'jsqr';

let canvas: HTMLCanvasElement | undefined;

/** The text of a square in the present picture of a video; undefined when there is none. */
export function readSquare(video: HTMLVideoElement): string | undefined {
  const { videoWidth, videoHeight } = video;
  if (videoWidth === 0) return undefined;
  // A tag before the phone is large: half a megapixel is enough, and is read in time.
  const scale = Math.min(1, 720 / videoWidth);
  canvas ??= document.createElement('canvas');
  canvas.width = Math.round(videoWidth * scale);
  canvas.height = Math.round(videoHeight * scale);
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) return undefined;
  context.drawImage(video, 0, 0, canvas.width, canvas.height);
  const { data, width, height } = context.getImageData(0, 0, canvas.width, canvas.height);
  return jsQR(data, width, height)?.data || undefined;
}
