import type { Crop, CropId, Tool } from '../crops';
import type { PlantId } from '../ids';
import { LatePart, ofPart, Shards, type FlowerPart } from '../ledger';
import { growing, plantedIn, type Planted } from '../patch';
import { remembered } from '../remember';
import { toInstant } from '../time';
import { trialTablesIn, type TrialTables } from './trialTable';

/** A gap this many times the catalogue's time is a pause, not work [M]. */
const PAUSE = 3;
/** What is known beforehand is worth this many flowers [M]. */
const WEIGHT = 6;
/** Of each crop and method the latest so many gaps are looked at. */
const MOST = 60;

/** How long one female takes, and from what that is known. */
export interface WorkTime {
  /** Minutes for one female with all that belongs to it, the walk to it included. */
  readonly minutes: number;
  /** Gaps of the log behind it; 0 = the catalogue's. */
  readonly from: number;
}

interface Known {
  readonly gaps: ReadonlyMap<string, readonly number[]>;
  readonly lastTool: ReadonlyMap<CropId, Tool>;
}

/**
 * Minutes a female takes with a method (a tool), learnt from the log's own times: the median gap between one pollination
 * and the next by the same person on the same crop, pauses left out (anything past three times the catalogue's). The
 * catalogue's time is drawn towards the crop's, and that towards the method's own.
 * @example workTime(state, crop).from // 0
 */
export function workTime(state: TrialTables, crop: Crop, tool: Tool = lastTool(state, crop)): WorkTime {
  const { gaps } = knownOf(state);
  const ofCrop = gaps.get(crop.id) ?? [];
  const ofTool = gaps.get(`${crop.id}/${tool}`) ?? [];
  const usual = drawn(crop.minutesPerFemale.value, ofCrop);
  // Where one method is all there is, its gaps are the crop's: they count once.
  return ofTool.length === ofCrop.length
    ? { minutes: usual, from: ofCrop.length }
    : { minutes: drawn(usual, ofTool), from: ofTool.length };
}

/**
 * The tool of a crop's latest pollination; the catalogue's first before any.
 * @example lastTool(state, crop) // 'male-flower'
 */
export function lastTool(state: TrialTables, crop: Crop): Tool {
  return saidTool(state, crop) ?? crop.tools[0] ?? 'male-flower';
}

/** The tool that was last said for a crop; `null` while nobody named one. */
export function saidTool(state: TrialTables, crop: Crop): Tool | null {
  return knownOf(state).lastTool.get(crop.id) ?? null;
}

function drawn(usual: number, gaps: readonly number[]): number {
  if (gaps.length === 0) return usual;
  const sorted = [...gaps].sort((a, b) => a - b);
  const half = sorted.length / 2;
  const median = ((sorted[Math.ceil(half) - 1] as number) + (sorted[Math.floor(half)] as number)) / 2;
  return (usual * WEIGHT + median * gaps.length) / (WEIGHT + gaps.length);
}

interface Worked {
  readonly at: number;
  readonly by: string;
  /** `null`: nobody said. */
  readonly tool: Tool | null;
  readonly crop: Crop;
}

/** What the log has taught up to a pollination, and who did what last. */
interface Learnt extends Known {
  readonly before: ReadonlyMap<string, Worked>;
  readonly lastAt: number;
}
const NOTHING: Learnt = { gaps: new Map(), lastTool: new Map(), before: new Map(), lastAt: -Infinity };

const knownOf = remembered('work times', trialTablesIn, (state: TrialTables): Known => {
  const parts = Shards.of(state.flowers).parts;
  const since = latestFrom(parts);
  const bygone = parts.filter((part) => part instanceof LatePart);
  const own = workSince(
    parts.filter((part) => !(part instanceof LatePart)),
    state,
    since,
  );
  // What bygone plants taught does not change with every entry.
  const before = bygone.length === 0 ? NOTHING : learntOfBygone(bygone, plantedIn(state), since);
  return own.every(({ at }) => at >= before.lastAt)
    ? learntAfter(before, own)
    : learntAfter(NOTHING, workSince(parts, state, since));
});

const learntOfBygone = remembered(
  'bygone work times',
  (parts: readonly FlowerPart[], planted: Planted, since: number) => ({
    parts,
    ...plantedIn(planted),
    since,
  }),
  ({ parts, since, ...planted }): Learnt => learntAfter(NOTHING, workSince(parts, planted, since)),
);

/** What is known with some more pollinations, in the order of the clock, none of them earlier. */
function learntAfter(known: Learnt, worked: readonly Worked[]): Learnt {
  const before = new Map(known.before);
  const gaps = new Map([...known.gaps].map(([key, list]) => [key, [...list]]));
  const tools = new Map(known.lastTool);
  for (const work of worked) {
    const { at, by, tool, crop } = work;
    const last = before.get(by);
    before.set(by, work);
    if (tool !== null) tools.set(crop.id, tool);
    if (!last || last.crop.id !== crop.id) continue;
    const minutes = (at - last.at) / 60_000;
    if (minutes <= 0.05 || minutes > crop.minutesPerFemale.value * PAUSE) continue;
    for (const key of tool === null ? [crop.id] : [crop.id, `${crop.id}/${tool}`]) {
      const list = gaps.get(key) ?? [];
      list.push(minutes);
      gaps.set(key, list);
    }
  }
  return {
    gaps: new Map([...gaps].map(([key, list]) => [key, list.slice(-MOST)])),
    lastTool: tools,
    before,
    lastAt: worked.at(-1)?.at ?? known.lastAt,
  };
}

/** Older times say little of the hands of today [M]. */
const LATEST_MS = 400 * 86_400_000;

type Work = Omit<Worked, 'crop'> & { readonly plant: PlantId };

/**
 * When the latest pollination of some hundred flowers was; empty without any.
 * @example lastWorkIn(state.flowers) // '2026-07-06T04:10:00.000Z'
 */
export const lastWorkIn = ofPart('last work', (part) => {
  let latest = '';
  for (const { pollinations } of part.values())
    for (const { at } of pollinations) if (at > latest) latest = at;
  return latest;
});

const workIn = ofPart(
  'work',
  (part): readonly Work[] =>
    [...part.values()].flatMap(({ plant, pollinations }) =>
      pollinations.map(({ at, by, tool }) => ({ at: Date.parse(at), by, tool, plant })),
    ),
  (work) => toInstant(work.reduce((last, { at }) => Math.max(last, at), 0)),
);

const DAY_MS = 86_400_000;

/** From when pollinations teach: the start of a day (UTC), so that it does not move with every one of them. */
function latestFrom(parts: readonly FlowerPart[]): number {
  const latest = parts.reduce((last, part) => (lastWorkIn(part) > last ? lastWorkIn(part) : last), '');
  return latest === '' ? 0 : Math.floor((Date.parse(latest) - LATEST_MS) / DAY_MS) * DAY_MS;
}

/** The pollinations of some parts since then, with their crop, in the order of the clock. */
function workSince(parts: readonly FlowerPart[], planted: Planted, since: number): Worked[] {
  const crops = new Map<PlantId, Crop | null>();
  const cropOn = (plant: PlantId): Crop | null => {
    let crop = crops.get(plant);
    if (crop === undefined) crops.set(plant, (crop = growing(planted, plant)?.crop ?? null));
    return crop;
  };
  const worked: Worked[] = [];
  for (const part of parts) {
    const last = lastWorkIn(part);
    if (last === '' || Date.parse(last) < since) continue;
    for (const { at, by, tool, plant } of workIn(part)) {
      const crop = at >= since ? cropOn(plant) : null;
      if (crop) worked.push({ at, by, tool, crop });
    }
  }
  return worked.sort((a, b) => a.at - b.at);
}
