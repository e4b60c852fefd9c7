/** How long nothing must have been asked, ms: the grower reads, or is at a flower. */
const QUIET_MS = 400;

const rest = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** Work that nobody waits for yet, done in steps while nothing is asked. A question, or newer work, ends it. */
export class Quiet {
  private turn = 0;

  interrupt(): void {
    this.turn++;
  }

  /** Takes one step after another, with room for a message between them. */
  async work(steps: Iterator<unknown>): Promise<void> {
    const mine = ++this.turn;
    await rest(QUIET_MS);
    while (mine === this.turn && !steps.next().done) await rest(0);
  }
}
