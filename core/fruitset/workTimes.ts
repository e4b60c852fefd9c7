import type { Crop, CropId, Tool } from '../crops';
import type { PlantId } from '../ids';
import { ofPart, Shards } from '../ledger';
import { growing } from '../patch';
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

const knownOf = remembered('work times', trialTablesIn, learnt);

function learnt(state: TrialTables): Known {
  const worked = latestWork(state);
  const before = new Map<string, Worked>();
  const gaps = new Map<string, number[]>();
  const tools = new Map<CropId, Tool>();
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
  };
}

/** Older times say little of the hands of today [M]. */
const LATEST_MS = 400 * 86_400_000;

type Work = Omit<Worked, 'crop'> & { readonly plant: PlantId };

/**
 * When the latest pollination of some hundred flowers was; empty without any.
 * @example lastWorkIn(state.flowers) // '2026-07-06T04:00:00.000Z'
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

/** The pollinations of the last year and a bit, with their crop, in the order of the clock. */
function latestWork(state: TrialTables): Worked[] {
  const parts = Shards.of(state.flowers).parts.map((part) => ({ part, last: lastWorkIn(part) }));
  const latest = parts.reduce((last, part) => (part.last > last ? part.last : last), '');
  if (latest === '') return [];
  const since = Date.parse(latest) - LATEST_MS;
  const crops = new Map<PlantId, Crop | null>();
  const cropOn = (plant: PlantId): Crop | null => {
    let crop = crops.get(plant);
    if (crop === undefined) crops.set(plant, (crop = growing(state, plant)?.crop ?? null));
    return crop;
  };
  const worked: Worked[] = [];
  for (const { part, last } of parts) {
    if (last === '' || Date.parse(last) < since) continue;
    for (const { at, by, tool, plant } of workIn(part)) {
      const crop = at >= since ? cropOn(plant) : null;
      if (crop) worked.push({ at, by, tool, crop });
    }
  }
  return worked.sort((a, b) => a.at - b.at);
}
