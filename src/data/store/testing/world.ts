import type { Neighbours } from '../neighbours';
import type { Box } from '../port';

/** How a call of storage goes: done, refused before anything was written, or written and then refused all the same. */
export type Luck = 'done' | 'refused' | 'written-then-refused';

interface Turn {
  readonly tab: number;
  readonly go: (luck: Luck) => void;
}

interface Holder {
  readonly tab: number;
  readonly mode: 'shared' | 'exclusive';
}

interface Waiter extends Holder {
  readonly start: () => void;
}

/**
 * For tests only: several tabs over one storage, where nothing goes on by itself. Every call of storage and every word between
 * tabs waits for its turn, in whatever order the schedule takes them; a tab that is killed never hears of anything again, and
 * its locks are let go.
 */
export class World {
  /** While calm, everything goes on at once and nothing is refused. */
  calm = false;
  private turns: Turn[] = [];
  private holders: Holder[] = [];
  private waiters: Waiter[] = [];
  private readonly dead = new Set<number>();
  private readonly ears = new Map<number, (message: unknown) => void>();

  constructor(private readonly base: Box) {}

  get waiting(): number {
    return this.turns.length;
  }

  /** Takes the nth waiting turn. */
  turn(n: number, luck: Luck): void {
    const [turn] = this.turns.splice(n % Math.max(1, this.turns.length), 1);
    turn?.go(luck);
  }

  /** From now on nothing waits: what is pending goes on, and whatever comes after it. */
  settle(): void {
    this.calm = true;
    for (const { go } of this.turns.splice(0)) go('done');
  }

  kill(tab: number): void {
    this.dead.add(tab);
    this.ears.delete(tab);
    this.turns = this.turns.filter((turn) => turn.tab !== tab);
    this.holders = this.holders.filter((holder) => holder.tab !== tab);
    this.waiters = this.waiters.filter((waiter) => waiter.tab !== tab);
    this.letIn();
  }

  box(tab: number): Box {
    const { base } = this;
    /** Runs in the tab's turn, step by step; between two steps the tab may die. */
    const step = async <T>(work: () => Promise<T>): Promise<T> => {
      const luck = await this.wait(tab);
      if (luck === 'refused') throw refusal();
      const result = await work();
      // The answer takes its time too.
      const answer = await this.wait(tab);
      if (luck === 'written-then-refused' || answer === 'refused') throw refusal();
      return result;
    };
    return {
      keys: () => step(() => base.keys()),
      getMany: (keys) => step(() => base.getMany(keys)),
      set: (key, value) => step(() => base.set(key, value)),
      // One by one: a power cut may come between two.
      remove: async (keys) => {
        for (const key of keys) await step(() => base.remove([key]));
      },
    };
  }

  neighbours(tab: number): Neighbours {
    return {
      canLock: true,
      tell: (message) => {
        if (this.dead.has(tab)) return;
        for (const other of this.ears.keys())
          if (other !== tab) void this.wait(other).then(() => this.ears.get(other)?.(message));
      },
      listen: (hear) => {
        this.ears.set(tab, hear);
        return () => void this.ears.delete(tab);
      },
      locked: async (mode, work) => {
        if (this.dead.has(tab)) return new Promise(() => undefined);
        const holder: Holder = { tab, mode };
        await new Promise<void>((start) => {
          this.waiters.push({ ...holder, start: () => (this.holders.push(holder), start()) });
          this.letIn();
        });
        try {
          return await work();
        } finally {
          this.holders = this.holders.filter((each) => each !== holder);
          this.letIn();
        }
      },
    };
  }

  private wait(tab: number): Promise<Luck> {
    if (this.dead.has(tab)) return new Promise(() => undefined);
    if (this.calm) return Promise.resolve('done');
    return new Promise((go) => this.turns.push({ tab, go }));
  }

  /** In the order asked for, as the browser's locks do it. */
  private letIn(): void {
    for (let next = this.waiters[0]; next; next = this.waiters[0]) {
      const free =
        this.holders.length === 0 ||
        (next.mode === 'shared' && this.holders.every(({ mode }) => mode === 'shared'));
      if (!free) return;
      this.waiters.shift();
      next.start();
    }
  }
}

function refusal(): Error {
  return Object.assign(new Error('The quota has been exceeded.'), { name: 'QuotaExceededError' });
}
