import { TrowelError } from '../errors';
import { hashText } from '../random';

/** Where the parts of a snapshot are kept that come late. */
export const ATTIC = 'attic/';

/** What is known of a late part before its text is there. Plain data, kept with the snapshot. */
export interface PartHead {
  /** Under which its text is kept: made of that text, so that a key never stands for two. */
  readonly key: string;
  readonly size: number;
  /** Its lowest and highest key: no other is in it. */
  readonly first: string;
  readonly last: string;
  /** What `ofPart` made of it when it was frozen. */
  readonly said: Readonly<Record<string, unknown>>;
}

/**
 * Some hundred entries of a table that hardly anybody asks for: kept as text, read when one of them is asked for. Until its text has been
 * brought whoever reads it is told `not-here`.
 */
export class LatePart<V> implements ReadonlyMap<string, V> {
  private text: string | null = null;
  private read: ReadonlyMap<string, V> | null = null;

  constructor(
    readonly head: PartHead,
    private readonly revive: (value: unknown) => V,
  ) {}

  get isHere(): boolean {
    return this.text !== null || this.read !== null;
  }

  /** Takes in the text kept under its key; `false` where that is not the text that was frozen. */
  bring(text: string): boolean {
    if (this.isHere) return true;
    if (keyOf(text) !== this.head.key.split('/').at(-1)) return false;
    this.text = text;
    return true;
  }

  get size(): number {
    return this.head.size;
  }

  get(key: string): V | undefined {
    return this.holds(key) ? this.entriesRead().get(key) : undefined;
  }

  has(key: string): boolean {
    return this.holds(key) && this.entriesRead().has(key);
  }

  entries(): MapIterator<[string, V]> {
    return this.entriesRead().entries();
  }

  keys(): MapIterator<string> {
    return this.entriesRead().keys();
  }

  values(): MapIterator<V> {
    return this.entriesRead().values();
  }

  [Symbol.iterator](): MapIterator<[string, V]> {
    return this.entries();
  }

  forEach(call: (value: V, key: string, map: ReadonlyMap<string, V>) => void): void {
    this.entriesRead().forEach((value, key) => call(value, key, this));
  }

  private holds(key: string): boolean {
    return key >= this.head.first && key <= this.head.last;
  }

  private entriesRead(): ReadonlyMap<string, V> {
    if (this.read) return this.read;
    if (this.text === null) throw new TrowelError('not-here', 'This part of the record is still being read.');
    const entries = JSON.parse(this.text) as [string, unknown][];
    this.read = new Map(entries.map(([key, value]) => [key, this.revive(value)]));
    this.text = null;
    return this.read;
  }
}

/**
 * The end of the key under which a text is kept.
 * @example keyOf('[]') === keyOf('[]') // true
 */
export const keyOf = (text: string): string => `${text.length.toString(36)}-${hashText(text).toString(36)}`;
