import { ofPart, Shards, type Flower, type State } from '../ledger';
import { mainPatch } from '../patch';
import { remembered } from '../remember';
import { markAt, readCode, rollAt, ROLLS } from './codes';

/**
 * The name of a device's own roll of marks, written before the running part: empty for the device that began the patch, four characters for
 * every other, so that two phones that cannot hear each other do not give out the same mark (one pair in 16 000 would).
 */
export function rollOf(state: State, device: string): string {
  const begunOn = mainPatch(state)?.device;
  if (begunOn === undefined || begunOn === device) return '';
  let hash = 0x811c9dc5;
  for (let i = 0; i < device.length; i++) hash = Math.imul(hash ^ device.charCodeAt(i), 0x01000193) >>> 0;
  // What differs in the last letters only must differ everywhere.
  hash = Math.imul(hash ^ (hash >>> 15), 0x2c1b3c6d) >>> 0;
  hash = (hash ^ (hash >>> 12)) >>> 0;
  return rollAt(hash % ROLLS);
}

/**
 * How many marks of a roll have been given out, in the order of `markAt`: the next one's index. A mark that was lost or replaced was given
 * out too; marks of old and of one's own making are left alone.
 */
export const markIndexIn = remembered(
  'mark index',
  ({ flowers }: Pick<State, 'flowers'>, roll: string = '') => ({ flowers, roll }),
  ({ flowers, roll }): number =>
    1 + Shards.of(flowers).parts.reduce((most, part) => Math.max(most, highestIn(part)[roll] ?? -1), -1),
);

// Years of marks are gone through with every tap: those of a part that did not change are known.
const highestIn = ofPart('highest marks', (part) => {
  const highest: Record<string, number> = {};
  for (const { markings } of part.values())
    for (const { mark } of markings) {
      const read = readCode(mark);
      if (read.ok) highest[read.roll] = Math.max(highest[read.roll] ?? -1, read.n);
    }
  return highest;
});

/**
 * The mark after the highest of a roll that any flower of the log ever carried; `F2-Y` on a new patch.
 * @example nextMarkIn(state) // 'F2-Y'
 */
export function nextMarkIn(state: Pick<State, 'flowers'>, roll = ''): string {
  return markAt(markIndexIn(state, roll), roll);
}

/**
 * Whether a fruit ought to carry a mark and does not: worked for seed, growing or waiting still, and neither lost nor picked. With
 * the school that marks once it grows, only from the first look that saw it grow.
 * @example markMissing(female, false) // false
 */
export function markMissing(flower: Flower, whenGrowing: boolean): boolean {
  const { mark, lost, harvested, pollinations, looks } = flower;
  if (mark !== null || lost || harvested || pollinations.at(-1)?.purpose !== 'seed') return false;
  const grown = looks.filter(({ result }) => result === 'growing' || result === 'bent').length > 0;
  const failed = ['yellowing', 'gone'].includes(looks.at(-1)?.result ?? '');
  return !failed && (grown || !whenGrowing);
}
