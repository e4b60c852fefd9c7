import { expose, transfer } from 'comlink';
import { tagPdf } from '@core/sheets';
import type { Tag, TagSize } from '@core/tags';

/** Text that JSON could hold, of a file of the app's own. */
async function base64Of(path: string): Promise<string> {
  const response = await fetch(path);
  if (!response.ok) throw new Error(`The typeface for tags could not be read (${response.status}).`);
  const bytes = new Uint8Array(await response.arrayBuffer());
  let text = '';
  // Not all at once: a call takes only so many arguments.
  for (let i = 0; i < bytes.length; i += 8192) text += String.fromCharCode(...bytes.subarray(i, i + 8192));
  return btoa(text);
}

/** Sheets of tags, off the interface's thread. A worker of its own, as the package that writes the file is large. */
const tags = {
  async pdf(
    list: readonly Tag[],
    size: TagSize,
    skip: number,
    onProgress: (share: number) => void,
  ): Promise<ArrayBuffer> {
    const [regular, bold] = await Promise.all([
      base64Of('/fonts/tag-regular.ttf'),
      base64Of('/fonts/tag-bold.ttf'),
    ]);
    const file = tagPdf(list, size, { regular, bold }, { skip, onProgress });
    return transfer(file, [file]);
  },
};

export type TagMaker = typeof tags;
expose(tags);
