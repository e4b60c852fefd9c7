import type { Tag, TagSize } from '@core/tags';
import type { TagMaker } from '../../workers/tags.worker';
import { inWorkerOf, type Job } from '../device/worker';

/** Writes sheets of tags as a PDF; `skip` labels of the first sheet are used up. */
export function makeTags(
  tags: readonly Tag[],
  size: TagSize,
  skip: number,
  onProgress: (share: number) => void,
): Job<ArrayBuffer> {
  return inWorkerOf<TagMaker, ArrayBuffer>(
    () => new Worker(new URL('../../workers/tags.worker', import.meta.url)),
    (worker, report) => worker.pdf(tags, size, skip, report),
    onProgress,
  );
}
