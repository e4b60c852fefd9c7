import type { Page } from '@playwright/test';

/** So much later comes all that a screen shows without: what a worker answers, and code that is fetched when it is wanted. */
export const LATE_MS = 1000;

/** Holds up every late part of the pages opened from here on. */
export async function holdUpLateParts(page: Page): Promise<void> {
  await page.addInitScript((ms) => {
    const { Worker } = window;
    const add = Worker.prototype.addEventListener;
    const held = new WeakMap<object, EventListener>();
    Worker.prototype.addEventListener = function (this: Worker, type: string, heard: unknown, how?: unknown) {
      if (type !== 'message' || typeof heard !== 'function')
        return add.call(this, type as 'error', heard as never, how as never);
      const later: EventListener = (event) =>
        void setTimeout(() => (heard as EventListener).call(this, event), ms);
      held.set(heard, later);
      return add.call(this, type as 'message', later as never, how as never);
    } as typeof add;
    const remove = Worker.prototype.removeEventListener;
    Worker.prototype.removeEventListener = function (
      this: Worker,
      type: string,
      heard: unknown,
      how?: unknown,
    ) {
      const later = held.get(heard as object) ?? heard;
      return remove.call(this, type as 'error', later as never, how as never);
    } as typeof remove;
  }, LATE_MS);
  await page.route(/_expo\/static\/js\/web\/(?!entry|__common|__expo|_layout|index)/, async (route) => {
    await new Promise((resolve) => setTimeout(resolve, LATE_MS));
    await route.continue();
  });
}
