import { TrowelError } from '@core/errors';
import { idMaker, type IdByKind, type IdMaker, type SubjectKind } from '@core/ids';
import {
  applyAll,
  conflicts,
  emptyState,
  eventsOf,
  fold,
  latestAt,
  resume,
  SCHEMA_VERSION,
  snapshot,
  subjectOf,
  validateEvent,
  type AnyEvent,
  type Draft,
  type State,
} from '@core/ledger';
import type { Random } from '@core/random';
import { toInstant, type Clock } from '@core/time';
import type { Box } from './box';
import type { Neighbours } from './neighbours';

/** Loose batches past this many are packed together at the next opening. */
const PACK_ABOVE = 64;
/** A log shorter than this folds faster than a snapshot reads. */
const SNAPSHOT_ABOVE = 5_000;
const SEAL_AFTER_DAYS = 60;
const UNDO_DEPTH = 20;

export interface StoreOptions {
  readonly box: Box;
  readonly neighbours: Neighbours;
  readonly clock: Clock;
  readonly random: Random;
  readonly device: string;
  readonly by: () => string;
}

/** What the screens see; a new object on every change. */
export interface Ledger {
  readonly state: State;
  /** Entries that can be taken back, latest last: the events of one tap each. */
  readonly undoable: readonly (readonly AnyEvent[])[];
  /** Entries that storage refused; kept here, in the export, and tried again on the next tap. */
  readonly unsaved: readonly AnyEvent[];
  readonly trouble: 'full' | 'refused' | null;
  /** When the latest entry happened by its own clock: past now, some device's clock is wrong. */
  readonly latestAt: string | null;
  /** Keys of stored batches that could not be read; their bytes stay where they are. */
  readonly damaged: readonly string[];
}

/**
 * The grower's log on this device. One stored key per batch of events, so that two tabs never write over each
 * other; an entry counts as recorded only once storage has confirmed it.
 */
export class LedgerStore {
  private current: Ledger = {
    state: emptyState(),
    undoable: [],
    unsaved: [],
    trouble: null,
    latestAt: null,
    damaged: [],
  };
  private readonly listeners = new Set<() => void>();
  private readonly ids: IdMaker;
  private readonly seen = new Set<string>();
  private stopListening: () => void = () => undefined;

  constructor(private readonly options: StoreOptions) {
    this.ids = idMaker(options.random);
  }

  get ledger(): Ledger {
    return this.current;
  }

  subscribe(listener: () => void): () => void {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  }

  newId<Kind extends SubjectKind>(kind: Kind): IdByKind[Kind] {
    return this.ids.subject(kind, this.options.clock.now());
  }

  /** Reads what is stored and listens to other tabs. Rejects only when storage cannot be read at all. */
  async open(): Promise<this> {
    const { neighbours } = this.options;
    await neighbours.locked('shared', () => this.load(true));
    this.stopListening = neighbours.listen((message) => void this.hear(message));
    void this.tidy().catch(() => undefined); // Tidying is a saving of time, never of data.
    return this;
  }

  close(): void {
    this.stopListening();
    this.listeners.clear();
  }

  /**
   * Records one tap's worth of facts: all or none. `at` is when it happened (now, unless said otherwise).
   * Throws `invalid` with the field for a fact that does not pass the ledger's schema. Where storage refuses,
   * the facts stay on screen and in `unsaved`, and `trouble` says so.
   */
  async record(
    drafts: readonly Draft[],
    at: number = this.options.clock.now(),
  ): Promise<readonly AnyEvent[]> {
    const events = this.make(drafts, at);
    await this.take(events);
    const entry = events.filter(({ kind }) => kind !== 'withdrawn');
    if (entry.length > 0) this.change({ undoable: [...this.current.undoable, entry].slice(-UNDO_DEPTH) });
    return events;
  }

  /** Takes in whole events that came checked from a file or the demo. Known ones change nothing. */
  async add(events: readonly AnyEvent[]): Promise<void> {
    await this.unseal();
    const known = new Set(eventsOf(this.current.state).map(({ id }) => id));
    const fresh = events.filter(({ id }) => !known.has(id));
    if (fresh.length > 0) await this.take(fresh);
  }

  /** Takes back the last entry by withdrawing its events; nothing is deleted. */
  async undo(): Promise<void> {
    const last = this.current.undoable[this.current.undoable.length - 1];
    if (!last) return;
    const drafts = last.flatMap((event): Draft[] => {
      const subject = subjectOf(event);
      return subject === null ? [] : [{ kind: 'withdrawn', subject, target: event.id }];
    });
    await this.take(this.make(drafts, this.options.clock.now()));
    this.change({ undoable: this.current.undoable.filter((entry) => entry !== last) });
  }

  /** Every event, unsaved ones included, in order. */
  async allEvents(): Promise<AnyEvent[]> {
    await this.unseal();
    return eventsOf(this.current.state);
  }

  /** What an import would add, or the ids that clash. */
  async preview(events: readonly AnyEvent[]): Promise<{ fresh: AnyEvent[]; clashing: string[] }> {
    const own = await this.allEvents();
    const known = new Set(own.map(({ id }) => id));
    return { fresh: events.filter(({ id }) => !known.has(id)), clashing: conflicts(own, events) };
  }

  /** Tries again to store what storage refused. */
  async saveAgain(): Promise<void> {
    await this.store([]);
  }

  /** Deletes the whole log of this box. The one deletion there is; the screen asks for an export first. */
  async clear(): Promise<void> {
    const { box, neighbours } = this.options;
    await neighbours.locked('exclusive', async () => box.remove(await box.keys()));
    this.seen.clear();
    this.change({ state: emptyState(), undoable: [], unsaved: [], trouble: null, damaged: [] });
    neighbours.tell({ cleared: true });
  }

  /** The stored text of a batch that could not be read, to be saved by hand. */
  async rawText(key: string): Promise<string> {
    return (await this.options.box.getMany([key]))[key] ?? '';
  }

  private make(drafts: readonly Draft[], at: number): AnyEvent[] {
    const { device, by, clock } = this.options;
    return drafts.map((draft) => {
      const id = this.ids.event(clock.now());
      const result = validateEvent({ id, v: SCHEMA_VERSION, at: toInstant(at), by: by(), device, ...draft });
      if (!result.ok) throw new TrowelError('invalid', result.message, { field: result.field });
      return result.event;
    });
  }

  private async take(events: readonly AnyEvent[]): Promise<void> {
    const key = await this.store(events);
    try {
      // One tap: the log is not gone through for it.
      const latest = events.reduce((last, { at }) => (at > last ? at : last), this.current.latestAt ?? '');
      this.change({ state: this.applied(events), latestAt: latest === '' ? null : latest });
    } catch (error) {
      if (!(error instanceof TrowelError) || error.reason !== 'sealed') throw error;
      // A snapshot had left out the earlier events of this flower; the full log has them, and the new one.
      await this.unseal();
    }
    if (key) this.seen.add(key);
  }

  private applied(events: readonly AnyEvent[]): State {
    if (events.length > 500) return fold([...eventsOf(this.current.state), ...events]);
    return applyAll(this.current.state, events);
  }

  /** Gives the key under which the events are stored, or `null` when storage refused. */
  private async store(events: readonly AnyEvent[]): Promise<string | null> {
    const { box, clock, neighbours } = this.options;
    const batch = [...this.current.unsaved, ...events];
    if (batch.length === 0) return null;
    const key = `log/${this.ids.event(clock.now())}`;
    try {
      await box.set(key, JSON.stringify(batch));
      this.change({ unsaved: [], trouble: null });
      neighbours.tell({ key });
      return key;
    } catch (error) {
      const full = /quota|full|space/i.test(`${(error as Error)?.name} ${(error as Error)?.message}`);
      this.change({ unsaved: batch, trouble: full ? 'full' : 'refused' });
      return null;
    }
  }

  private change(part: Partial<Ledger>): void {
    this.current = { ...this.current, ...part };
    if (part.state && part.latestAt === undefined)
      this.current = { ...this.current, latestAt: latestAt(part.state) };
    for (const listener of this.listeners) listener();
  }

  private async hear(message: unknown): Promise<void> {
    const { key, cleared } = (message ?? {}) as { key?: unknown; cleared?: unknown };
    if (cleared === true) {
      this.change({ state: emptyState(), undoable: [], unsaved: [], damaged: [] });
      return;
    }
    if (typeof key !== 'string' || this.seen.has(key)) return;
    const { events } = await this.read([key]);
    try {
      this.change({ state: this.applied(events) });
    } catch {
      await this.unseal();
    }
    this.seen.add(key);
  }

  private async load(useSnapshot: boolean): Promise<void> {
    const { box } = this.options;
    const keys = (await box.keys()).sort();
    const logKeys = keys.filter((key) => key.startsWith('log/') || key.startsWith('pack/'));
    for (const key of logKeys) this.seen.add(key);
    if (useSnapshot && keys.includes('snapshot') && (await this.resumeFrom(logKeys))) return;
    const { events, damaged, batches } = await this.read(logKeys);
    const unsaved = this.current.unsaved;
    this.change({
      state: fold([...events, ...unsaved]),
      damaged,
      undoable: undoableOf(batches, this.options.device),
    });
  }

  private async resumeFrom(logKeys: readonly string[]): Promise<boolean> {
    const { box } = this.options;
    try {
      const text = (await box.getMany(['snapshot']))['snapshot'] ?? 'null';
      const stored = JSON.parse(text) as { covers: string[]; snapshot: unknown } | null;
      const present = new Set(logKeys);
      if (!stored || !stored.covers.every((key) => present.has(key))) throw new Error('stale');
      const covered = new Set(stored.covers);
      const { events, damaged, batches } = await this.read(logKeys.filter((key) => !covered.has(key)));
      const resumed = resume(stored.snapshot, events);
      if (!resumed.ok) throw new Error(resumed.reason);
      this.change({ state: resumed.state, damaged, undoable: undoableOf(batches, this.options.device) });
      return true;
    } catch {
      // A snapshot is only a shortcut: thrown away and rebuilt, the log is the record.
      await box.remove(['snapshot']).catch(() => undefined);
      return false;
    }
  }

  private async read(keys: readonly string[]) {
    const texts = await this.options.box.getMany(keys);
    const events: AnyEvent[] = [];
    const damaged: string[] = [];
    const batches: AnyEvent[][] = [];
    for (const key of keys) {
      const text = texts[key];
      if (text === null || text === undefined) continue;
      try {
        const batch = JSON.parse(text) as AnyEvent[];
        if (!Array.isArray(batch)) throw new Error('not a batch');
        for (const event of batch) events.push(event);
        if (key.startsWith('log/')) batches.push(batch);
      } catch {
        damaged.push(key);
      }
    }
    return { events, damaged, batches };
  }

  private async unseal(): Promise<void> {
    if (this.current.state.sealed.size === 0) return;
    const { undoable } = this.current;
    await this.options.neighbours.locked('shared', () => this.load(false));
    this.change({ undoable });
  }

  /** Packs many small batches into one and keeps a snapshot, when no other tab is reading. */
  private async tidy(): Promise<void> {
    const { box, neighbours, clock } = this.options;
    if (!neighbours.canLock) return;
    await neighbours.locked('exclusive', async () => {
      const keys = (await box.keys()).sort();
      const loose = keys.filter((key) => key.startsWith('log/'));
      if (loose.length > PACK_ABOVE) {
        const { events, damaged } = await this.read(loose);
        const pack = `pack/${this.ids.event(clock.now())}`;
        // The new key first, then the old ones away: a cut in between leaves repeats, which the fold ignores.
        this.seen.add(pack);
        await box.set(pack, JSON.stringify(events));
        await box.remove(loose.filter((key) => !damaged.includes(key)));
      }
      const { state, damaged, unsaved } = this.current;
      if (state.count < SNAPSHOT_ABOVE || damaged.length > 0 || unsaved.length > 0) return;
      const now = (await box.keys()).filter((key) => key.startsWith('log/') || key.startsWith('pack/'));
      if (now.some((key) => !this.seen.has(key))) return;
      const sealBefore = toInstant(clock.now() - SEAL_AFTER_DAYS * 86_400_000);
      await box.set(
        'snapshot',
        JSON.stringify({ covers: now, snapshot: snapshot(this.current.state, sealBefore) }),
      );
    });
  }
}

function undoableOf(batches: readonly AnyEvent[][], device: string): AnyEvent[][] {
  const withdrawn = new Set(
    batches.flat().flatMap((event) => (event.kind === 'withdrawn' ? [event.target as string] : [])),
  );
  return batches
    .map((batch) =>
      batch.filter(
        ({ id, kind, device: from }) => from === device && kind !== 'withdrawn' && !withdrawn.has(id),
      ),
    )
    .filter((batch) => batch.length > 0 && batch.length < 200)
    .slice(-UNDO_DEPTH);
}
