import { isWhole } from '../bloom';
import { femalesPerMale } from '../goals';
import type { FlowerId, SubjectId } from '../ids';
import { inForce, Shards, standings, type LedgerEvent, type State } from '../ledger';
import { growing } from '../patch';
import { remembered } from '../remember';
import { addDays, localDateOf, type LocalDate } from '../time';

/** Two entries of different devices that can't both be true. */
export interface Contradiction {
  readonly subject: SubjectId;
  readonly entries: readonly [LedgerEvent, LedgerEvent];
}

/** What lies longer back than this is not asked about any more [M]: the fruit has told by then. */
const ASKED_DAYS = 60;

type Pair = readonly [LedgerEvent, LedgerEvent];
type LogPart = ReadonlyMap<SubjectId, readonly LedgerEvent[]>;

const GROWS = new Set(['growing', 'bent']);
const FAILED = new Set(['yellowing', 'gone']);

/** Whether two entries of one subject and one garden day exclude each other. Told in the order of the clock. */
function excludes(a: LedgerEvent, b: LedgerEvent): boolean {
  if (a.kind === 'flowerSeen' && b.kind === 'flowerSeen')
    return (
      a.plant !== b.plant || a.sex !== b.sex || (a.node !== null && b.node !== null && a.node !== b.node)
    );
  if (a.kind === 'closureChecked' && b.kind === 'closureChecked')
    // One that was not open yet may be anything an hour later; whole and torn on one morning can't both be.
    return a.result !== b.result && a.result !== 'not-open' && (isWhole(a.result) || isWhole(b.result));
  if (a.kind === 'lookedAt' && b.kind === 'lookedAt')
    return (GROWS.has(a.result) && FAILED.has(b.result)) || (FAILED.has(a.result) && GROWS.has(b.result));
  if (a.kind === 'marked' && b.kind === 'marked') return a.mark !== b.mark;
  if (a.kind === 'lost' && b.kind === 'lost') return a.cause !== b.cause;
  if (a.kind === 'harvested' && b.kind === 'harvested') return true;
  if (a.kind === 'plantChecked' && b.kind === 'plantChecked') return a.health !== b.health;
  if (a.kind === 'bedPlaced' && b.kind === 'bedPlaced')
    return (
      a.xM !== b.xM ||
      a.yM !== b.yM ||
      a.turnedDeg !== b.turnedDeg ||
      JSON.stringify(a.sized) !== JSON.stringify(b.sized)
    );
  if (a.kind === 'standPlaced' && b.kind === 'standPlaced')
    return a.alongM !== b.alongM || a.acrossM !== b.acrossM;
  if (a.kind === 'outlineSet' && b.kind === 'outlineSet')
    return JSON.stringify(a.outline) !== JSON.stringify(b.outline);
  if (a.kind === 'obstacleNoted' && b.kind === 'obstacleNoted')
    return JSON.stringify([a.what, a.corners]) !== JSON.stringify([b.what, b.corners]);
  if (a.kind === 'placeSet' && b.kind === 'placeSet')
    return JSON.stringify(a.place) !== JSON.stringify(b.place);
  const kinds = new Set([a.kind, b.kind]);
  if (kinds.has('lost') && kinds.has('harvested')) return true;
  if (kinds.has('lost') && kinds.has('lookedAt')) {
    const look = (a.kind === 'lookedAt' ? a : b) as Extract<LedgerEvent, { kind: 'lookedAt' }>;
    return GROWS.has(look.result);
  }
  return kinds.has('plantRemoved') && kinds.has('plantDied');
}

/** Two corrections of one entry to different things. */
function correctsApart(a: LedgerEvent, b: LedgerEvent): boolean {
  if (a.kind !== 'corrected' || b.kind !== 'corrected' || a.target !== b.target) return false;
  return Object.keys(a.changes).some(
    (field) => field in b.changes && JSON.stringify(a.changes[field]) !== JSON.stringify(b.changes[field]),
  );
}

const settledKey = (a: string, b: string) => (a < b ? `${a}/${b}` : `${b}/${a}`);

/** The contradictions among the subjects of one shard of the log, and which pairs were settled; kept while it doesn't change. */
const foundIn = remembered(
  'contradictions',
  (part: LogPart, zone: string, since: string) => ({ part, zone, since }),
  ({ part, zone, since }) => {
    const pairs: { readonly subject: SubjectId; readonly pair: Pair }[] = [];
    const settled: string[] = [];
    for (const [subject, events] of part) {
      // Years of a log are passed over by the last entry of each.
      if ((events.at(-1)?.at ?? '') < since) continue;
      for (const event of events)
        if (event.kind === 'settled') settled.push(settledKey(event.entries[0], event.entries[1]));
      if (events.some(({ device }) => device !== events[0]?.device))
        for (const pair of pairsOf(events, zone)) pairs.push({ subject, pair });
    }
    return { pairs, settled };
  },
);

function pairsOf(events: readonly LedgerEvent[], zone: string): Pair[] {
  const found: Pair[] = [];
  const standing = [...inForce(events), ...correctionsInForce(events)];
  const day = (event: LedgerEvent) => localDateOf(Date.parse(event.at), zone);
  for (const [i, a] of standing.entries())
    for (const b of standing.slice(i + 1)) {
      if (a.device === b.device || day(a) !== day(b)) continue;
      const [first, second] = a.at <= b.at ? [a, b] : [b, a];
      if (excludes(first, second) || correctsApart(first, second)) found.push([first, second]);
    }
  return found;
}

/** Corrections that nobody took back: they stand behind what they mend. */
function correctionsInForce(events: readonly LedgerEvent[]): LedgerEvent[] {
  return standings(events).flatMap(({ corrections, withdrawnBy }) => (withdrawnBy ? [] : corrections));
}

/** Pollinations in which males of one shard's flowers were used, by male. */
const usesIn = remembered(
  'log uses',
  (part: LogPart, since: string) => ({ part, since }),
  ({ part, since }) => {
    const uses: { readonly male: FlowerId; readonly event: LedgerEvent }[] = [];
    for (const events of part.values())
      if (events.some(({ kind, at }) => kind === 'pollinated' && at >= since))
        for (const event of inForce(events))
          if (event.kind === 'pollinated')
            for (const { flowers } of event.fathers) for (const male of flowers) uses.push({ male, event });
    return uses;
  },
);

/** Males that two devices used for more females than one may serve: one of them took another male, or none. */
function malesTwice(
  state: State,
  since: string,
  zone: string,
): { readonly subject: SubjectId; readonly pair: Pair }[] {
  const uses = new Map<FlowerId, LedgerEvent[]>();
  for (const part of Shards.of(state.log).parts)
    for (const { male, event } of usesIn(part, since)) {
      if (event.at < since) continue;
      const list = uses.get(male);
      if (list) list.push(event);
      else uses.set(male, [event]);
    }
  return [...uses].flatMap(([male, events]) => {
    const flower = state.flowers.get(male);
    const found = flower && growing(state, flower.plant);
    if (!found) return [];
    const most = femalesPerMale(state, found.crop);
    // A tassel gets a fresh bag each afternoon; another male opens on one day only.
    const dayOf = ({ at }: LedgerEvent) =>
      found.crop.family === 'corn' ? localDateOf(Date.parse(at), zone) : '';
    return [...new Set(events.map(dayOf))].flatMap((day) => {
      const those = events.filter((event) => dayOf(event) === day);
      if (those.length <= most) return [];
      const [first, ...rest] = those.sort((a, b) => (a.at < b.at ? -1 : 1)) as [
        LedgerEvent,
        ...LedgerEvent[],
      ];
      const other = rest.find(({ device }) => device !== first.device);
      return other ? [{ subject: male as SubjectId, pair: [first, other] as const }] : [];
    });
  });
}

/**
 * What two devices wrote of one thing on one garden day and can't both be true, of the last weeks: to be shown side by side for a
 * choice. Gone once one of the two is taken back, or somebody said that both are true (`settled`).
 */
export function contradictions(state: State, zone: string, today: LocalDate): Contradiction[] {
  const since = addDays(today, -ASKED_DAYS);
  const parts = Shards.of(state.log).parts.map((part) => foundIn(part, zone, since));
  const settled = new Set(parts.flatMap((part) => part.settled));
  return [...parts.flatMap(({ pairs }) => pairs), ...malesTwice(state, since, zone)]
    .filter(({ pair: [a, b] }) => a.at >= since && !settled.has(settledKey(a.id, b.id)))
    .map(({ subject, pair }) => ({ subject, entries: pair }));
}
