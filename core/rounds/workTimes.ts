import type { Crop, CropId } from '../crops';
import type { State } from '../ledger';
import { growing } from '../patch';

/** A gap this many times the catalogue's time is a pause, not work [M]. */
const PAUSE = 3;
/** The catalogue's time is worth this many flowers [M]. */
const WEIGHT = 6;
/** Of each crop the latest so many gaps are looked at. */
const MOST = 60;

export interface WorkTime {
  /** Minutes for one female with all that belongs to it, the walk to it included. */
  readonly minutes: number;
  /** Gaps of the log behind it; 0 = the catalogue's. */
  readonly from: number;
}

const known = new WeakMap<State['flowers'], ReadonlyMap<CropId, readonly number[]>>();

/**
 * Minutes a female takes, learnt from the log's own times: the median gap between one pollination and the next by
 * the same person on the same morning, pauses left out (anything past three times the catalogue's), drawn towards the catalogue.
 */
export function workTime(state: State, crop: Crop): WorkTime {
  const gaps = gapsOf(state).get(crop.id) ?? [];
  const usual = crop.minutesPerFemale.value;
  if (gaps.length === 0) return { minutes: usual, from: 0 };
  const sorted = [...gaps].sort((a, b) => a - b);
  const median = sorted[Math.floor(sorted.length / 2)] as number;
  return { minutes: (usual * WEIGHT + median * gaps.length) / (WEIGHT + gaps.length), from: gaps.length };
}

function gapsOf(state: State): ReadonlyMap<CropId, readonly number[]> {
  const found = known.get(state.flowers);
  if (found) return found;
  const worked: { at: number; by: string; crop: Crop }[] = [];
  for (const flower of state.flowers.values())
    for (const { at, by } of flower.pollinations) {
      const crop = growing(state, flower.plant)?.crop;
      if (crop) worked.push({ at: Date.parse(at), by, crop });
    }
  worked.sort((a, b) => a.at - b.at);
  const last = new Map<string, { at: number; crop: Crop }>();
  const gaps = new Map<CropId, number[]>();
  for (const { at, by, crop } of worked) {
    const before = last.get(by);
    last.set(by, { at, crop });
    if (!before || before.crop.id !== crop.id) continue;
    const minutes = (at - before.at) / 60_000;
    if (minutes <= 0.05 || minutes > crop.minutesPerFemale.value * PAUSE) continue;
    const list = gaps.get(crop.id) ?? [];
    list.push(minutes);
    gaps.set(crop.id, list);
  }
  const latest = new Map([...gaps].map(([crop, list]) => [crop, list.slice(-MOST)]));
  known.set(state.flowers, latest);
  return latest;
}
