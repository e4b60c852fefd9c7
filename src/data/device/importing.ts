import { MOST_BYTES, tooLarge, type ReadFile } from '@core/formats';
import { inWorker, type Job } from './worker';

/** Reads and checks a file off the main thread. Size is looked at before a byte is read. */
export function readFile(file: File, onProgress: (share: number) => void): Job<ReadFile> {
  if (file.size > MOST_BYTES)
    return { result: Promise.resolve(tooLarge(file.size)), cancel: () => undefined };
  return inWorker(async (trade, report) => trade.readFile(await file.text(), report), onProgress);
}
