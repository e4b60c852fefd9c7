import { eachTrialPart } from '@core/fruitset';
import type { State } from '@core/ledger';
import { idle } from '../device/idle';

/** After the first screen stands. */
const BEGIN_MS = 1500;

/**
 * Goes through the trials of an old log in idle moments, some hundred flowers at a time, so that the first look at Fruit or Patch
 * need not wait for years of them. Gives what stops it.
 */
export function readAhead(state: State, zone: string): () => void {
  const parts = eachTrialPart(state, zone);
  let stopped = false;
  const step = () => {
    if (stopped || parts.next().done) return;
    void idle().then(step);
  };
  const timer = setTimeout(step, BEGIN_MS);
  return () => {
    stopped = true;
    clearTimeout(timer);
  };
}
