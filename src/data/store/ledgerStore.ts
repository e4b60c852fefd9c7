import { TrowelError } from '@core/errors';
import { idMaker, type IdByKind, type IdMaker, type SubjectKind } from '@core/ids';
import {
  applyAll,
  conflicts,
  emptyState,
  eventsOf,
  fold,
  isKnown,
  latestAt,
  resume,
  SCHEMA_VERSION,
  snapshot,
  standings,
  subjectOf,
  validateEvent,
  type AnyEvent,
  type Draft,
  type State,
} from '@core/ledger';
import type { Random } from '@core/random';
import { toInstant, type Clock } from '@core/time';
import { isBatch, isLoose, Journal, type Origin } from './journal';
import type { Neighbours } from './neighbours';
import type { Box } from './port';

export interface Limits {
  /** Loose batches past this many are packed together at the next opening. */
  readonly packAbove: number;
  /** A log shorter than this folds faster than a snapshot reads. */
  readonly snapshotAbove: number;
  /** A snapshot is written anew when so many events have come since. */
  readonly snapshotEvery: number;
  readonly sealAfterDays: number;
  /** Taps that can be taken back; as many stay loose, so that this is so after a reload too. */
  readonly undoDepth: number;
}

const LIMITS: Limits = {
  packAbove: 64,
  snapshotAbove: 5_000,
  snapshotEvery: 500,
  sealAfterDays: 60,
  undoDepth: 20,
};

export interface StoreOptions {
  readonly box: Box;
  readonly neighbours: Neighbours;
  readonly clock: Clock;
  readonly random: Random;
  readonly device: string;
  readonly by: () => string;
  readonly limits?: Partial<Limits>;
}

/** The events of one tap made in this browser. */
export interface Tap {
  readonly key: string;
  readonly events: readonly AnyEvent[];
}

/** What the screens see; a new object on every change. */
export interface Ledger {
  readonly state: State;
  /** Taps made here that can be taken back, latest last. Never what came from a file. */
  readonly undoable: readonly Tap[];
  /** Entries on the screen that storage has not answered for yet. */
  readonly waiting: readonly AnyEvent[];
  /** Entries that storage refused; kept here, in the export, and tried again on the next tap. */
  readonly unsaved: readonly AnyEvent[];
  readonly trouble: 'full' | 'refused' | null;
  /** When the latest entry happened by its own clock: past now, some device's clock is wrong. */
  readonly latestAt: string | null;
  /** Keys of stored batches that could not be read whole; their bytes stay where they are. */
  readonly damaged: readonly string[];
}

const EMPTY: Ledger = {
  state: emptyState(),
  undoable: [],
  waiting: [],
  unsaved: [],
  trouble: null,
  latestAt: null,
  damaged: [],
};

/**
 * The grower's log on this device. An entry is on the screen at once and says "waiting" until storage has confirmed it; one
 * stored key an entry, so that two tabs never write over each other. All writing, reading and undoing goes through one queue.
 */
export class LedgerStore {
  private current: Ledger = EMPTY;
  private readonly listeners = new Set<() => void>();
  private readonly ids: IdMaker;
  private readonly journal: Journal;
  private readonly limits: Limits;
  /** Keys whose events are in the state: what a snapshot of it may say it covers. */
  private folded = new Set<string>();
  /** Events of the taps made since opening: a reading that was under way when one was made must not drop it. */
  private taps: AnyEvent[] = [];
  /** Keys under which those were stored. */
  private stored = new Set<string>();
  /** Events read at opening that no snapshot covered. */
  private tailLength = 0;
  /** Keys of own taps that are not in the state yet. */
  private readonly owed = new Set<string>();
  /** Something stored could not be read when it was wanted; tried again with the next entry. */
  private behind = false;
  private stopListening: () => void = () => undefined;

  constructor(private readonly options: StoreOptions) {
    this.ids = idMaker(options.random);
    this.limits = { ...LIMITS, ...options.limits };
    this.journal = new Journal(options.box, options.neighbours, () => this.change({}));
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

  /**
   * Listens to other tabs, then reads what is stored: what one of them writes in between is read or heard, or both. Rejects
   * only when storage cannot be read at all.
   */
  async open(): Promise<this> {
    const { neighbours } = this.options;
    this.stopListening = neighbours.listen(
      (message) =>
        // What could not be read when it was heard of is read with the next entry.
        void this.hear(message).catch(() => (this.behind = true)),
    );
    try {
      await this.journal.serially(() => neighbours.locked('shared', () => this.load(true)));
    } catch (error) {
      this.close();
      throw error;
    }
    void this.tidy().catch(() => undefined); // Tidying is a saving of time, never of data.
    return this;
  }

  close(): void {
    this.stopListening();
    this.listeners.clear();
  }

  /**
   * Records one tap's worth of facts: all or none. `at` is when it happened (now, unless said otherwise). Rejects with
   * `invalid` and the field for a fact that does not pass the ledger's schema. Resolves once storage has answered; where it
   * refuses, the facts stay on screen and in `unsaved`, and `trouble` says so.
   */
  async record(
    drafts: readonly Draft[],
    at: number = this.options.clock.now(),
  ): Promise<readonly AnyEvent[]> {
    const events = this.make(drafts, at);
    const entry = events.filter(({ kind }) => kind !== 'withdrawn');
    const key = this.newKey('tap');
    if (entry.length > 0)
      this.change({
        undoable: [...this.current.undoable, { key, events: entry }].slice(-this.limits.undoDepth),
      });
    await this.put(key, events);
    return events;
  }

  /** Takes in whole events that came checked from a file or the demo. Known ones change nothing; none can be undone by a tap. */
  async add(events: readonly AnyEvent[]): Promise<void> {
    await this.journal.serially(async () => {
      await this.loadAll();
      const known = new Set(eventsOf(this.current.state).map(({ id }) => id));
      const fresh = events.filter(({ id }) => !known.has(id));
      if (fresh.length === 0) return;
      this.journal.add(this.newKey('log'), fresh);
      this.take(fresh);
    });
    // From here on no part of the log is left out, so no reading can drop what is still to be written.
    await this.save();
  }

  /**
   * Takes back a tap (the last, unless its key is given) by withdrawing its events; nothing is deleted. A tap that is taken
   * back already is left alone, so that two quick presses on one line cannot take back two.
   */
  async undo(key?: string): Promise<void> {
    const { undoable } = this.current;
    const tap = key === undefined ? undoable[undoable.length - 1] : undoable.find((each) => each.key === key);
    if (!tap) return;
    const drafts = tap.events.flatMap((event): Draft[] => {
      const subject = subjectOf(event);
      return subject === null ? [] : [{ kind: 'withdrawn', subject, target: event.id }];
    });
    this.change({ undoable: undoable.filter((each) => each !== tap) });
    if (drafts.length > 0) await this.put(this.newKey('tap'), this.make(drafts, this.options.clock.now()));
  }

  /** Every event, those not stored yet included, in order. */
  allEvents(): Promise<AnyEvent[]> {
    return this.journal.serially(async () => {
      await this.loadAll();
      return eventsOf(this.current.state);
    });
  }

  /** What an import would add, or the ids that clash. */
  async preview(events: readonly AnyEvent[]): Promise<{ fresh: AnyEvent[]; clashing: string[] }> {
    const own = await this.allEvents();
    const known = new Set(own.map(({ id }) => id));
    return { fresh: events.filter(({ id }) => !known.has(id)), clashing: conflicts(own, events) };
  }

  /** Tries again to store what storage refused. */
  saveAgain(): Promise<void> {
    return this.save();
  }

  /** Reads what other tabs stored unheard: word between tabs can be missed while this one sleeps. */
  catchUp(): Promise<void> {
    return this.journal.serially(async () => {
      await this.options.neighbours.locked('shared', () => this.readNew());
      this.behind = false;
    });
  }

  /** Deletes the whole log of this box. The one deletion there is; the screen asks for an export first. */
  clear(): Promise<void> {
    const { box, neighbours } = this.options;
    return this.journal.serially(async () => {
      await neighbours.locked('exclusive', async () => box.remove(await box.keys()));
      this.reset();
      neighbours.tell({ cleared: true });
    });
  }

  /** The stored text of a batch that could not be read, to be saved by hand. */
  async rawText(key: string): Promise<string> {
    return (await this.options.box.getMany([key]))[key] ?? '';
  }

  private newKey(origin: Origin | 'pack'): string {
    return `${origin}/${this.ids.event(this.options.clock.now())}`;
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

  /** On the screen at once, then into the queue. */
  private async put(key: string, events: readonly AnyEvent[]): Promise<void> {
    this.journal.add(key, events);
    this.taps.push(...events);
    if (!this.take(events)) {
      // A snapshot had left out the earlier events of this subject; the full log has them.
      await this.journal
        .serially(() => this.loadAll())
        .catch(() => {
          // Not to be read just now. The entry is stored all the same, and shown when the log can be read.
          this.owed.add(key);
          this.behind = true;
        });
    }
    await this.save();
  }

  private async save(): Promise<void> {
    for (const key of await this.journal.save()) {
      if (!this.owed.has(key)) this.folded.add(key);
      if (key.startsWith('tap/')) this.stored.add(key);
    }
    if (this.behind) await this.catchUp().catch(() => undefined);
    this.change({});
  }

  /** Applies events to the state; `false` when some speak of a sealed subject, and the whole log must be read first. */
  private take(events: readonly AnyEvent[]): boolean {
    try {
      const latest = events.reduce((last, { at }) => (at > last ? at : last), this.current.latestAt ?? '');
      this.change({ state: applied(this.current.state, events), latestAt: latest === '' ? null : latest });
      return true;
    } catch (error) {
      if (!(error instanceof TrowelError) || error.reason !== 'sealed') throw error;
      return false;
    }
  }

  private change(part: Partial<Ledger>): void {
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

  private reset(): void {
    this.journal.forget();
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
      await this.options.neighbours.locked('shared', async () => {
        const missing = await this.readIn([key]);
        // Packed by a third tab before it could be read here: then it lies in a pack.
        if (missing.length > 0) await this.readNew();
      });
    });
  }

  /** Takes in every stored key that is not in the state yet. */
  private async readNew(): Promise<void> {
    const { damaged } = this.current;
    const keys = (await this.options.box.keys()).filter(isBatch).sort();
    await this.readIn(keys.filter((key) => !this.folded.has(key) && !damaged.includes(key)));
  }

  private async readIn(keys: readonly string[]): Promise<readonly string[]> {
    const { events, batches, damaged, missing } = await this.journal.read(keys);
    if (damaged.length > 0) this.change({ damaged: [...new Set([...this.current.damaged, ...damaged])] });
    if (events.length > 0 && !this.take(events)) await this.load(false);
    else for (const key of batches.keys()) this.folded.add(key);
    return missing;
  }

  /** The whole log in the state, where a snapshot had left the events of old flowers out. */
  private async loadAll(): Promise<void> {
    if (this.current.state.sealed.size > 0)
      await this.options.neighbours.locked('shared', () => this.load(false));
  }

  /** Reads the log anew. What was tapped here while it was read is put on top of it. */
  private async load(opening: boolean): Promise<void> {
    const { box } = this.options;
    const keys = (await box.keys()).sort();
    const logKeys = keys.filter(isBatch);
    const resumed = opening && keys.includes('snapshot') ? await this.resumed(logKeys) : null;
    const { events, batches, damaged } = await this.journal.read(
      logKeys.filter((key) => !resumed?.covered.has(key)),
    );
    let state: State | null = null;
    if (resumed) {
      const tail = resume(resumed.snapshot, [...events, ...this.taps]);
      if (tail.ok) state = tail.state;
      else {
        // A snapshot is only a shortcut: thrown away and rebuilt, the log is the record.
        await box.remove(['snapshot']).catch(() => undefined);
        return this.load(false);
      }
    }
    state ??= fold([...events, ...this.taps]);
    this.folded = new Set([...(resumed?.covered ?? []), ...batches.keys(), ...this.stored]);
    this.owed.clear();
    this.tailLength = events.length;
    this.change({ state, damaged, latestAt: latestAt(state) });
    if (opening) this.change({ undoable: await this.tapsToUndo(logKeys, state) });
  }

  private async resumed(
    logKeys: readonly string[],
  ): Promise<{ covered: ReadonlySet<string>; snapshot: unknown } | null> {
    const { box } = this.options;
    try {
      const text = (await box.getMany(['snapshot']))['snapshot'] ?? 'null';
      const stored = JSON.parse(text) as { covers: string[]; snapshot: unknown } | null;
      const present = new Set(logKeys);
      if (!stored || !stored.covers.every((key) => present.has(key))) throw new Error('stale');
      return { covered: new Set(stored.covers), snapshot: stored.snapshot };
    } catch {
      await box.remove(['snapshot']).catch(() => undefined);
      return null;
    }
  }

  /** The last taps made in this browser that still stand, also those that a snapshot covers. */
  private async tapsToUndo(logKeys: readonly string[], state: State): Promise<Tap[]> {
    const keys = logKeys.filter((key) => key.startsWith('tap/')).slice(-2 * this.limits.undoDepth);
    const { batches } = await this.journal.read(keys);
    return [...batches]
      .map(([key, events]): Tap => ({ key, events: events.filter((event) => stands(state, event)) }))
      .filter(({ events }) => events.length > 0)
      .slice(-this.limits.undoDepth);
  }

  /** Packs many small batches into one and keeps a snapshot, when no other tab is reading. */
  private async tidy(): Promise<void> {
    const { box, neighbours, clock } = this.options;
    if (!neighbours.canLock) return;
    await neighbours.locked('exclusive', async () => {
      await this.readNew();
      const keys = (await box.keys()).filter(isBatch).sort();
      const kept = new Set(keys.filter((key) => key.startsWith('tap/')).slice(-2 * this.limits.undoDepth));
      const loose = keys.filter((key) => isLoose(key) && !kept.has(key) && this.folded.has(key));
      let packed = false;
      if (loose.length > this.limits.packAbove) {
        const pack = this.newKey('pack');
        const gone = await this.journal.pack(loose, pack);
        // What was packed was in the state already, so the pack is too.
        this.folded.add(pack);
        for (const key of gone) this.folded.delete(key);
        packed = true;
      }
      const known = (await box.keys()).includes('snapshot');
      if (known && !packed && this.tailLength < this.limits.snapshotEvery) return;
      const present = (await box.keys()).filter(isBatch);
      // From here to the text nothing waits: the snapshot holds just what was folded from the keys it names.
      const { state, waiting, unsaved } = this.current;
      if (state.count < this.limits.snapshotAbove || waiting.length + unsaved.length > 0) return;
      const covers = present.filter((key) => this.folded.has(key));
      const sealBefore = toInstant(clock.now() - this.limits.sealAfterDays * 86_400_000);
      await box.set('snapshot', JSON.stringify({ covers, snapshot: snapshot(state, sealBefore) }));
    });
  }
}

function applied(state: State, events: readonly AnyEvent[]): State {
  // Past some hundred, building the tables once is cheaper than looking each subject's list through.
  if (events.length > 500 && state.sealed.size === 0) return fold([...eventsOf(state), ...events]);
  return applyAll(state, events);
}

function isFull(error: unknown): boolean {
  const { name, message } = (error ?? {}) as { name?: unknown; message?: unknown };
  return /quota|full|space/i.test(`${String(name)} ${String(message)}`);
}

/** Whether an entry is a fact that has not been taken back. */
function stands(state: State, event: AnyEvent): boolean {
  const subject = subjectOf(event);
  if (subject === null || !isKnown(event) || event.kind === 'withdrawn') return false;
  const events = state.log.get(subject);
  return (
    events !== undefined &&
    standings(events).some(({ original, withdrawnBy }) => original.id === event.id && withdrawnBy === null)
  );
}
