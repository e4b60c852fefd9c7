import type { AnyEvent, Judge } from '@core/ledger';
import { batchText, readChecked, readSummed } from './batch';
import type { Neighbours } from './neighbours';
import type { Box } from './port';

/** waiting: on its way to storage. refused: storage said no; tried again with the next entry, or when told to. */
export type Saved = 'waiting' | 'stored' | 'refused';

/** One tap's worth of events and how its saving stands. */
export interface Entry {
  readonly key: string;
  readonly events: readonly AnyEvent[];
  readonly saved: Saved;
}

/** tap: an entry made here, which can be taken back here. log: a file taken in, and every entry of older versions. */
export type Origin = 'tap' | 'log';

export const isLoose = (key: string) => key.startsWith('tap/') || key.startsWith('log/');
export const isBatch = (key: string) => isLoose(key) || key.startsWith('pack/');

/** What a reading of some keys brought. */
export interface Reading {
  readonly events: readonly AnyEvent[];
  readonly batches: ReadonlyMap<string, readonly AnyEvent[]>;
  /** Keys that could not be read whole. */
  readonly damaged: readonly string[];
  /** Keys that were read whole and had to be judged: an older version wrote them. */
  readonly old: readonly string[];
  /** Keys that were no longer there: packed by another tab in the meantime. */
  readonly missing: readonly string[];
}

/**
 * The entries of this tab on their way into storage: one key an entry, written one after the other. An entry keeps its key
 * until storage has confirmed it, so trying again can neither lose nor double anything.
 */
export class Journal {
  private pending: { key: string; events: readonly AnyEvent[]; saved: Saved }[] = [];
  private chain: Promise<unknown> = Promise.resolve();
  private lastError: unknown = null;

  constructor(
    private readonly box: Box,
    private readonly neighbours: Neighbours,
    private readonly changed: () => void,
    private readonly judge: () => Promise<Judge>,
  ) {}

  /** Entries that storage has not confirmed, oldest first. */
  get unstored(): readonly Entry[] {
    return this.pending;
  }

  /** Why storage refused; `null` while it refuses nothing. */
  get refusal(): unknown {
    return this.pending.some(({ saved }) => saved === 'refused') ? this.lastError : null;
  }

  /** Runs `work` after all that was asked for before: writes and readings never overlap. */
  serially<T>(work: () => Promise<T>): Promise<T> {
    const run = this.chain.then(work, work);
    this.chain = run.catch(() => undefined);
    return run;
  }

  /** Puts an entry in the queue; it is waiting from this moment on. */
  add(key: string, events: readonly AnyEvent[]): void {
    this.pending.push({ key, events, saved: 'waiting' });
  }

  /** Writes what is not stored yet, after all that was asked for before. Gives the keys that are stored now. Never rejects. */
  save(): Promise<string[]> {
    return this.serially(() => this.write());
  }

  forget(): void {
    this.pending = [];
  }

  private async write(): Promise<string[]> {
    const stored: string[] = [];
    let refusing = false;
    for (const entry of [...this.pending]) {
      // What was refused before is tried until the first refusal; what is new is always tried.
      if (entry.saved === 'refused' && refusing) continue;
      try {
        await this.box.set(entry.key, batchText(entry.events));
        entry.saved = 'stored';
        stored.push(entry.key);
        this.pending = this.pending.filter((each) => each !== entry);
        this.neighbours.tell({ key: entry.key });
      } catch (error) {
        entry.saved = 'refused';
        refusing = true;
        this.lastError = error;
      }
      this.changed();
    }
    return stored;
  }

  async read(keys: readonly string[]): Promise<Reading> {
    const texts = keys.length === 0 ? {} : await this.box.getMany(keys);
    const events: AnyEvent[] = [];
    const batches = new Map<string, readonly AnyEvent[]>();
    const damaged: string[] = [];
    const missing: string[] = [];
    const old: string[] = [];
    for (const key of keys) {
      const text = texts[key];
      if (text === null || text === undefined) {
        missing.push(key);
        continue;
      }
      const summed = readSummed(text);
      const batch = summed ?? readChecked(text, await this.judge());
      for (const event of batch.events) events.push(event);
      if (batch.whole) batches.set(key, batch.events);
      else damaged.push(key);
      if (batch.whole && !summed) old.push(key);
    }
    return { events, batches, damaged, missing, old };
  }

  /** Writes what an older version wrote as this one does, each under its own key: the next opening need not judge it again. */
  async renew(keys: readonly string[]): Promise<void> {
    const { batches, old } = await this.read(keys);
    for (const key of old) await this.box.set(key, batchText(batches.get(key) ?? []));
  }

  /** Packs loose keys into one. The new key first, then the old ones away: a cut in between leaves repeats, which a fold ignores. */
  async pack(keys: readonly string[], packKey: string): Promise<readonly string[]> {
    const { batches } = await this.read(keys);
    const whole = [...batches.keys()];
    if (whole.length === 0) return [];
    await this.box.set(packKey, batchText([...batches.values()].flat()));
    await this.box.remove(whole);
    return whole;
  }
}
