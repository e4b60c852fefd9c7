import type { CodeReader } from '../../workers/reader.worker';
import { startWorker } from '../device/worker';

/** Larger pictures tell a reader no more, and cost it its time: the longer side, px. */
const MOST_PX = 1600;

type Drawable = ImageBitmap | HTMLVideoElement;

/** A picture as the reader takes it, no larger than it needs. */
export function pixelsOf(picture: Drawable): ImageData | null {
  const [width, height] =
    picture instanceof HTMLVideoElement
      ? [picture.videoWidth, picture.videoHeight]
      : [picture.width, picture.height];
  if (width === 0 || height === 0) return null;
  const share = Math.min(1, MOST_PX / Math.max(width, height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(width * share));
  canvas.height = Math.max(1, Math.round(height * share));
  const context = canvas.getContext('2d', { willReadFrequently: true });
  context?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  return context?.getImageData(0, 0, canvas.width, canvas.height) ?? null;
}

let reader: ReturnType<typeof startWorker<CodeReader>> | null = null;

/** The texts of the square codes in a picture; the reader is loaded at the first one, and stays. Rejects when it cannot start. */
export async function readCodes(pixels: ImageData): Promise<readonly string[]> {
  const asked =
    reader ??
    startWorker<CodeReader>(() => new Worker(new URL('../../workers/reader.worker', import.meta.url)));
  reader = asked;
  try {
    return await Promise.race([asked.worker.read(pixels), asked.failed]);
  } catch (error) {
    reader = null;
    asked.stop();
    throw error;
  }
}

/** The texts of the square codes in a picture file. Rejects, in words, for a file that is no picture. */
export async function readCodesIn(file: Blob): Promise<readonly string[]> {
  let picture: ImageBitmap;
  try {
    picture = await createImageBitmap(file);
  } catch {
    throw new Error('This file is no picture that can be opened here.');
  }
  const pixels = pixelsOf(picture);
  picture.close();
  return pixels ? readCodes(pixels) : [];
}
