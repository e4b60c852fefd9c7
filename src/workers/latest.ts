/** How long a piece of work holds the thread before other messages get a turn. */
const SLICE_MS = 12;

/** Lets what waits for this thread go first; a timer would add its minimum delay of some milliseconds each time. */
function turn(): Promise<void> {
  return new Promise((resolve) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => {
      port1.close();
      resolve();
    };
    port2.postMessage(null);
  });
}

/** Work in pieces of which each asker wants only its latest: a newer question, or `drop`, ends the one before within a slice. */
export class Latest {
  private readonly asked = new Map<string, symbol>();

  /** The result; `null` when it was no longer wanted. What the work throws is thrown. */
  async run<T>(asker: string, pieces: Iterator<unknown, T>): Promise<T | null> {
    const mine = Symbol(asker);
    this.asked.set(asker, mine);
    try {
      for (let since = performance.now(); ;) {
        const piece = pieces.next();
        if (piece.done) return piece.value;
        if (performance.now() - since < SLICE_MS) continue;
        await turn();
        if (this.asked.get(asker) !== mine) return null;
        since = performance.now();
      }
    } finally {
      if (this.asked.get(asker) === mine) this.asked.delete(asker);
    }
  }

  drop(asker: string): void {
    this.asked.delete(asker);
  }
}
