import { TrowelError } from '@core/errors';
import { idMaker, writtenAt, type EventId, type IdByKind, type IdMaker, type SubjectKind } from '@core/ids';
import {
  ATTIC,
  conflicts,
  eventsOf,
  SCHEMA_VERSION,
  subjectOf,
  type AnyEvent,
  type Draft,
  type freezing,
  type Frozen,
  type Judge,
  type State,
} from '@core/ledger';
import type { Random } from '@core/random';
import { toInstant, type Clock } from '@core/time';
import { isBatch, isLoose, type Entry, type Origin } from './journal';
import { beginsPatch, withdrawing } from './ledger';
import { LogReader, type ReaderOptions, type ReaderParts } from './logReader';

export interface StoreParts extends ReaderParts {
  /** Makes a snapshot. */
  readonly freezing: typeof freezing;
}

export interface StoreOptions extends ReaderOptions {
  readonly parts: () => Promise<StoreParts>;
  readonly clock: Clock;
  readonly random: Random;
  readonly device: string;
  readonly by: () => string;
}

const isCorrection = ({ kind }: AnyEvent) => kind === 'corrected';

/** What a snapshot is made of. */
interface Base {
  readonly state: State;
  readonly covers: readonly string[];
  readonly tailLength: number;
}

/** Entries ahead of the clock by less than this come of a clock that stands, not of one that is wrong. */
const STILL_MS = 60_000;

/** More entries than anybody makes while storage answers once. */
const RECENT = 60;

/**
 * The grower's log on this device. An entry is on the screen at once and says "waiting" until storage has confirmed it; one
 * stored key an entry, so that two tabs never write over each other. All writing, reading and undoing goes through one queue.
 */
export class LedgerStore extends LogReader {
  private readonly ids: IdMaker;
  private tidying = false;
  /** Entries stored since the store was last tidied up. */
  private sinceTidied = 0;

  constructor(private readonly options: StoreOptions) {
    super(options);
    this.ids = idMaker(options.random);
  }

  override async open(): Promise<this> {
    await super.open();
    if (this.ledger.whole) this.tidyUp();
    return this;
  }

  override async rest(): Promise<void> {
    const { whole } = this.ledger;
    await super.rest();
    if (!whole) this.tidyUp();
  }

  /** The name under which this device writes. */
  get device(): string {
    return this.options.device;
  }

  /** The latest entries made here: what another reading of the log may not have yet. */
  get recent(): readonly AnyEvent[] {
    return this.taps.slice(-RECENT);
  }

  /** Entries that storage has not confirmed yet, oldest first. */
  get unstored(): readonly Entry[] {
    return this.journal.unstored;
  }

  newId<Kind extends SubjectKind>(kind: Kind): IdByKind[Kind] {
    return this.ids.subject(kind, this.options.clock.now());
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
    const events = this.make(await this.entryJudge(), drafts, at);
    const entry = events.filter(({ kind }) => kind !== 'withdrawn');
    const key = this.newKey('tap');
    const { undoable, state } = this.ledger;
    const own = entry.length > 0 && !beginsPatch(state, entry) ? [{ key, events: entry }] : [];
    this.change({ undoable: [...undoable, ...own].slice(-this.limits.undoDepth), redoable: [] });
    await this.put(key, events);
    return events;
  }

  /** Takes in whole events that came checked from a file or the demo. Known ones change nothing; none can be undone by a tap. */
  async add(events: readonly AnyEvent[]): Promise<void> {
    await this.readyFor(events);
    await this.journal.serially(async () => {
      await this.loadAll();
      const known = new Set(eventsOf(this.ledger.state).map(({ id }) => id));
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
    const judge = await this.entryJudge();
    const { undoable } = this.ledger;
    const tap = key === undefined ? undoable[undoable.length - 1] : undoable.find((each) => each.key === key);
    if (!tap) return;
    const by = this.make(judge, withdrawing(tap.events), this.options.clock.now());
    this.change({
      undoable: undoable.filter((each) => each !== tap),
      redoable: [...this.ledger.redoable, { tap, by }].slice(-this.limits.undoDepth),
    });
    if (by.length > 0) await this.put(this.newKey('tap'), by);
  }

  /** Brings back the tap taken back last, unless its key says that it is another by now. */
  async redo(key: string): Promise<void> {
    const judge = await this.entryJudge();
    const last = this.ledger.redoable.at(-1);
    if (last?.tap.key !== key) return;
    this.change({
      undoable: [...this.ledger.undoable, last.tap].slice(-this.limits.undoDepth),
      redoable: this.ledger.redoable.slice(0, -1),
    });
    const drafts = withdrawing(last.by);
    if (drafts.length > 0)
      await this.put(this.newKey('tap'), this.make(judge, drafts, this.options.clock.now()));
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

  /** Deletes the whole log of this box. The one deletion there is; the screen asks for an export first. */
  clear(): Promise<void> {
    const { box, neighbours } = this.options;
    return this.journal.serially(async () => {
      await neighbours.locked('exclusive', async () => box.remove(await box.keys()));
      this.reset();
      neighbours.tell({ cleared: true });
    });
  }

  private newKey(origin: Origin | 'pack'): string {
    return `${origin}/${this.ids.event(this.options.clock.now())}`;
  }

  /** The judge of an entry: where he can't be had it says so, since the entry is not recorded then. */
  private async entryJudge(): Promise<Judge> {
    try {
      const judge = await this.judge();
      if (this.ledger.unjudged) this.change({ unjudged: false });
      return judge;
    } catch (fault) {
      this.change({ unjudged: true });
      throw fault;
    }
  }

  private make(judge: Judge, drafts: readonly Draft[], at: number): AnyEvent[] {
    const { device, by } = this.options;
    return drafts.map((draft) => {
      const id = this.idFor(draft);
      const result = judge({ id, v: SCHEMA_VERSION, at: toInstant(at), by: by(), device, ...draft });
      if (!result.ok) throw new TrowelError('invalid', result.message, { field: result.field });
      return result.event;
    });
  }

  /** Where a clock stands still, as the demo's does, chance must not say which of two entries of a subject came first. */
  private idFor(draft: Draft): EventId {
    const now = this.options.clock.now();
    const subject = subjectOf(draft as AnyEvent);
    const last = subject === null ? undefined : this.ledger.state.log.get(subject)?.at(-1)?.id;
    const ahead = last === undefined ? -1 : writtenAt(last as EventId) - now;
    return this.ids.event(ahead >= 0 && ahead < STILL_MS ? now + ahead + 1 : now);
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
      this.sinceTidied++;
      if (!this.owed.has(key)) this.folded.add(key);
      if (key.startsWith('tap/')) this.stored.add(key);
    }
    if (this.behind) await this.catchUp().catch(() => undefined);
    this.change({});
    if (this.sinceTidied >= this.limits.snapshotEvery) this.tidyUp();
  }

  /** A saving of time, never of data: what goes wrong with it is left for the next time. */
  private tidyUp(): void {
    if (this.tidying || !this.options.neighbours.canLock) return;
    this.tidying = true;
    this.sinceTidied = 0;
    void this.tidy()
      .catch(() => undefined)
      .finally(() => (this.tidying = false));
  }

  /** Packs many small batches into one, and keeps a snapshot. */
  private async tidy(): Promise<void> {
    const { neighbours } = this.options;
    const base = await neighbours.locked('exclusive', () => this.packed());
    if (!base) return;
    const { freezing } = await this.options.parts();
    // While it is written out other tabs go on, and this one answers: it is of a state that no entry changes.
    const { clock, pause } = this.options;
    const sealBefore = toInstant(clock.now() - this.limits.sealAfterDays * 86_400_000);
    const steps = freezing(base.state, { sealBefore, partSize: this.limits.partSize });
    let step = steps.next();
    for (; !step.done; step = steps.next()) await pause?.();
    await neighbours.locked('exclusive', () => this.keep(step.value as Frozen, base));
  }

  /** Renews what an older version wrote, packs loose keys; then gives a state worth a snapshot with the keys that it was folded from, or `null`. */
  private async packed(): Promise<Base | null> {
    const { box } = this.options;
    await this.journal.renew(this.old);
    this.old = [];
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
    if (known && !packed && this.tailLength < this.limits.snapshotEvery) return null;
    const present = (await box.keys()).filter(isBatch);
    // From here on nothing waits: the snapshot holds just what was folded from the keys it names.
    const { state, whole, waiting, unsaved } = this.ledger;
    if (!whole || state.count < this.limits.snapshotAbove || waiting.length + unsaved.length > 0) return null;
    const covers = present.filter((key) => this.folded.has(key));
    return { state, covers, tailLength: this.tailLength };
  }

  /** Late parts first, then the snapshot that rests on them, then what nothing rests on away: a cut in between leaves the one before. */
  private async keep({ head, fresh, keys }: Frozen, { state, covers, tailLength }: Base): Promise<void> {
    const { box } = this.options;
    const there = new Set(await box.keys());
    // Packed, cleared or kept anew by another tab in the meantime: the next one will do it.
    if (!covers.every((key) => there.has(key))) return;
    if (!keys.every((key) => there.has(key) || fresh.has(key))) return;
    const corrected = [...state.log.values()].some((events) => events.some(isCorrection));
    for (const [key, text] of fresh) if (!there.has(key)) await box.set(key, text);
    await box.set(
      'snapshot',
      `{"covers":${JSON.stringify(covers)},"corrected":${corrected},"snapshot":${head}}`,
    );
    this.tailLength -= tailLength;
    const wanted = new Set(keys);
    await box.remove([...there].filter((key) => key.startsWith(ATTIC) && !wanted.has(key)));
  }
}
