import type { Clock } from '@core/time';
import type { Box } from '../store';

export const realClock: Clock = { now: () => Date.now() };

/** Work in the demo takes its time too: each record moves the pinned clock on by this much. */
const STEP_MS = 20_000;
const KEY = 'clock';

/** The demo's clock: pinned, moved by hand, and a little with every record. Kept in the demo's own box. */
export class DemoClock implements Clock {
  private time: number;

  constructor(
    private readonly box: Box,
    start: number,
  ) {
    this.time = start;
  }

  now(): number {
    return this.time;
  }

  async load(): Promise<void> {
    const kept = Number((await this.box.getMany([KEY]))[KEY]);
    if (Number.isFinite(kept) && kept > this.time) this.time = kept;
  }

  async moveTo(time: number): Promise<void> {
    this.time = Math.max(this.time, time);
    await this.box.set(KEY, String(this.time)).catch(() => undefined);
  }

  async step(): Promise<void> {
    await this.moveTo(this.time + STEP_MS);
  }

  reset(start: number): void {
    this.time = start;
  }
}
