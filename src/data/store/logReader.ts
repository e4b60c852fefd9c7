import { TrowelError } from '@core/errors';
import {
  eventsOf,
  fold,
  latestAt,
  judgeBy,
  resume,
  type AnyEvent,
  type Judge,
  type LatePart,
  type State,
} from '@core/ledger';
import { isBatch, Journal } from './journal';
import { applied, beginsPatch, EMPTY, isFull, stands, type Ledger, type Tap } from './ledger';
import { LIMITS, type Limits } from './limits';
import type { Neighbours } from './neighbours';
import type { Box } from './port';

/** What an opening can mostly do without. */
export interface ReaderParts {
  readonly validateEvent: Judge;
}

export interface ReaderOptions {
  readonly box: Box;
  readonly neighbours: Neighbours;
  /** Brings the code that is needed once something was put right or written by an older version, and for each entry. */
  readonly parts: () => Promise<ReaderParts>;
  readonly limits?: Partial<Limits>;
  /** Opens with what stands here now; bygone plants' flowers come with `rest`, and `whole` says when they are here. */
  readonly early?: boolean;
  /** What is waited for between two pieces of long work. */
  readonly pause?: () => Promise<void>;
}

/** Late parts read from storage at a time. */
const PARTS_AT_ONCE = 8;

/**
 * The log as it stands in storage, as a state: read at opening (a snapshot and what came since, or all of it), and kept up with what
 * other tabs store. Reads and never writes; all readings go through one queue.
 */
export class LogReader {
  private current: Ledger = EMPTY;
  private readonly listeners = new Set<() => void>();
  protected readonly journal: Journal;
  protected readonly limits: Limits;
  /** Keys whose events are in the state: what a snapshot of it may say it covers. */
  protected folded = new Set<string>();
  /** Events of the taps made since opening: a reading that was under way when one was made must not drop it. */
  protected taps: AnyEvent[] = [];
  /** Keys under which those were stored. */
  protected stored = new Set<string>();
  /** Events in the state that the snapshot kept last does not cover. */
  protected tailLength = 0;
  /** The parts of the snapshot that the state rests on and that come late. */
  private late: readonly LatePart<unknown>[] = [];
  /** Keys that an older version wrote. */
  protected old: readonly string[] = [];
  /** Keys of own taps that are not in the state yet. */
  protected readonly owed = new Set<string>();
  /** Something stored could not be read when it was wanted; tried again with the next entry. */
  protected behind = false;
  private stopListening: () => void = () => undefined;

  constructor(private readonly source: ReaderOptions) {
    this.limits = { ...LIMITS, ...source.limits };
    this.journal = new Journal(
      source.box,
      source.neighbours,
      () => this.change({}),
      () => this.judge(),
    );
  }

  get ledger(): Ledger {
    return this.current;
  }

  subscribe(listener: () => void): () => void {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  }

  /**
   * Listens to other tabs, then reads what is stored: what one of them writes in between is read or heard, or both. Rejects
   * only when storage cannot be read at all.
   */
  async open(): Promise<this> {
    const { neighbours } = this.source;
    this.stopListening = neighbours.listen(
      (message) =>
        // What could not be read when it was heard of is read with the next entry.
        void this.hear(message).catch(() => (this.behind = true)),
    );
    try {
      await this.journal.serially(() => neighbours.locked('shared', () => this.load(true)));
      if (this.source.early !== true) await this.rest();
    } catch (error) {
      this.close();
      throw error;
    }
    return this;
  }

  close(): void {
    this.stopListening();
    this.listeners.clear();
  }

  /** Brings in the parts of the snapshot that come late, some at a time. Rejects where storage refuses; then it can be asked again. */
  async rest(): Promise<void> {
    for (;;) {
      const some = this.late.filter((part) => !part.isHere).slice(0, PARTS_AT_ONCE);
      if (some.length === 0) break;
      const sound = await this.source.neighbours.locked('shared', async () => {
        const texts = await this.source.box.getMany(some.map(({ head }) => head.key));
        return some.every((part) => part.bring(texts[part.head.key] ?? ''));
      });
      if (!sound)
        await this.journal.serially(() => this.source.neighbours.locked('shared', () => this.rebuild()));
      await this.source.pause?.();
    }
    if (!this.current.whole) this.change({ whole: true });
  }

  /** Every event, those not stored yet included, in order. */
  allEvents(): Promise<AnyEvent[]> {
    return this.journal.serially(async () => {
      await this.loadAll();
      return eventsOf(this.current.state);
    });
  }

  /** Takes in entries that another thread of this browser makes and stores: they may not be stored yet. */
  async takeIn(events: readonly AnyEvent[]): Promise<void> {
    await this.readyFor(events);
    const heard = new Set(this.taps.map(({ id }) => id));
    const fresh = events.filter(({ id }) => !heard.has(id));
    this.taps.push(...fresh);
    if (fresh.length > 0 && !this.take(fresh)) await this.journal.serially(() => this.loadAll());
  }

  /** Reads what other tabs stored unheard: word between tabs can be missed while this one sleeps. */
  catchUp(): Promise<void> {
    return this.journal.serially(async () => {
      await this.source.neighbours.locked('shared', () => this.readNew());
      this.behind = false;
    });
  }

  /** The stored text of a batch that could not be read, to be saved by hand. */
  async rawText(key: string): Promise<string> {
    return (await this.source.box.getMany([key]))[key] ?? '';
  }

  /** Who judges entries; from here on what was put right can be folded, too. */
  protected async judge(): Promise<Judge> {
    const { validateEvent } = await this.source.parts().catch((cause: unknown) => {
      throw new Error('The part of the app that checks entries could not be fetched.', { cause });
    });
    judgeBy(validateEvent);
    return validateEvent;
  }

  /** Waits for the judge where one of these corrects another. Whatever is folded has come this way. */
  protected async readyFor(events: readonly AnyEvent[]): Promise<void> {
    if (events.some(({ kind }) => kind === 'corrected')) await this.judge();
  }

  /** Applies events to the state; `false` when some speak of what is not here, and the whole log must be read first. */
  protected take(events: readonly AnyEvent[]): boolean {
    try {
      const latest = events.reduce((last, { at }) => (at > last ? at : last), this.current.latestAt ?? '');
      this.change({ state: applied(this.current.state, events), latestAt: latest === '' ? null : latest });
      this.tailLength += events.length;
      return true;
    } catch (error) {
      if (!(error instanceof TrowelError) || (error.reason !== 'sealed' && error.reason !== 'not-here'))
        throw error;
      return false;
    }
  }

  protected change(part: Partial<Ledger>): void {
    const { unstored, refusal } = this.journal;
    const of = (how: string) => unstored.flatMap(({ saved, events }) => (saved === how ? events : []));
    this.current = {
      ...this.current,
      ...part,
      waiting: of('waiting'),
      unsaved: of('refused'),
      trouble: refusal === null ? null : isFull(refusal) ? 'full' : 'refused',
    };
    for (const listener of this.listeners) listener();
  }

  protected reset(): void {
    this.journal.forget();
    this.late = [];
    this.tailLength = 0;
    this.folded = new Set();
    this.taps = [];
    this.stored = new Set();
    this.owed.clear();
    this.change(EMPTY);
  }

  private hear(message: unknown): Promise<void> {
    const { key, cleared } = (message ?? {}) as { key?: unknown; cleared?: unknown };
    return this.journal.serially(async () => {
      if (cleared === true) return this.reset();
      if (typeof key !== 'string' || this.folded.has(key)) return;
      await this.source.neighbours.locked('shared', async () => {
        const missing = await this.readIn([key]);
        // Packed by a third tab before it could be read here: then it lies in a pack.
        if (missing.length > 0) await this.readNew();
      });
    });
  }

  /** Takes in every stored key that is not in the state yet. */
  protected async readNew(): Promise<void> {
    const { damaged } = this.current;
    const keys = (await this.source.box.keys()).filter(isBatch).sort();
    await this.readIn(keys.filter((key) => !this.folded.has(key) && !damaged.includes(key)));
  }

  private async readIn(keys: readonly string[]): Promise<readonly string[]> {
    const { events, batches, damaged, missing } = await this.journal.read(keys);
    if (damaged.length > 0) this.change({ damaged: [...new Set([...this.current.damaged, ...damaged])] });
    await this.readyFor(events);
    if (events.length > 0 && !this.take(events)) await this.load(false);
    else for (const key of batches.keys()) this.folded.add(key);
    return missing;
  }

  /** The whole log in the state, where a snapshot had left the events of old flowers out. */
  protected async loadAll(): Promise<void> {
    if (this.current.state.sealed > 0) await this.source.neighbours.locked('shared', () => this.load(false));
  }

  /** Reads the log anew. What was tapped here while it was read is put on top of it. */
  protected async load(opening: boolean): Promise<void> {
    const { box } = this.source;
    const keys = (await box.keys()).sort();
    const logKeys = keys.filter(isBatch);
    const resumed = opening && keys.includes('snapshot') ? await this.resumed(logKeys) : null;
    const { events, batches, damaged, old } = await this.journal.read(
      logKeys.filter((key) => !resumed?.covered.has(key)),
    );
    if (resumed?.corrected) await this.judge();
    await this.readyFor(events);
    let state: State | null = null;
    this.late = [];
    if (resumed) {
      const tail = resume(resumed.snapshot, [...events, ...this.taps]);
      if (!tail.ok) return this.rebuild();
      ({ state, late: this.late } = tail);
    }
    state ??= fold([...events, ...this.taps]);
    this.folded = new Set([...(resumed?.covered ?? []), ...batches.keys(), ...this.stored]);
    this.owed.clear();
    this.old = old;
    this.tailLength = events.length;
    this.change({ state, damaged, latestAt: latestAt(state), whole: this.late.length === 0 });
    if (opening) this.change({ undoable: await this.tapsToUndo(logKeys, state) });
  }

  /** A snapshot is only a shortcut: thrown away and rebuilt, the log is the record. */
  private async rebuild(): Promise<void> {
    await this.source.box.remove(['snapshot']).catch(() => undefined);
    await this.load(false);
  }

  private async resumed(
    logKeys: readonly string[],
  ): Promise<{ covered: ReadonlySet<string>; corrected: boolean; snapshot: unknown } | null> {
    const { box } = this.source;
    try {
      const text = (await box.getMany(['snapshot']))['snapshot'] ?? 'null';
      const stored = JSON.parse(text) as {
        covers: string[];
        corrected?: boolean;
        snapshot: unknown;
      } | null;
      const present = new Set(logKeys);
      if (!stored || !stored.covers.every((key) => present.has(key))) throw new Error('stale');
      // One that does not say may have something put right in it.
      return {
        covered: new Set(stored.covers),
        corrected: stored.corrected !== false,
        snapshot: stored.snapshot,
      };
    } catch {
      await box.remove(['snapshot']).catch(() => undefined);
      return null;
    }
  }

  /** The last taps made in this browser that still stand, also those that a snapshot covers. */
  protected async tapsToUndo(logKeys: readonly string[], state: State): Promise<Tap[]> {
    const keys = logKeys.filter((key) => key.startsWith('tap/')).slice(-2 * this.limits.undoDepth);
    const { batches } = await this.journal.read(keys);
    return [...batches]
      .map(([key, events]): Tap => ({ key, events: events.filter((event) => stands(state, event)) }))
      .filter(({ events }) => events.length > 0 && !beginsPatch(state, events))
      .slice(-this.limits.undoDepth);
  }
}
