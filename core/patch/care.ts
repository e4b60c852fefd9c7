import type { CareView, Stand, State } from '../ledger';
import { addDays, atLocalTime, localDateOf, type LocalDate } from '../time';

/** What sprays on a stand still ask for. */
export interface SprayWait {
  /** The spray that asks for longest, or the latest. */
  readonly spray: CareView;
  /** Nobody goes in before this moment, epoch ms; `null`: the time is over. */
  readonly enterFrom: number | null;
  /** Nothing of it is eaten before this day; `null`: the days are over. */
  readonly eatFrom: LocalDate | null;
  /** A spray of the last weeks of which nobody noted how long to wait. */
  readonly unknown: boolean;
}

const HOUR_MS = 3_600_000;
/** For how many days a spray without its waiting times is asked about: longer than most labels say for vegetables [M]. */
const ASKED_DAYS = 60;

/** The day on which a stand was cared for. */
export const careDay = ({ on, at }: CareView, zone: string): LocalDate =>
  on ?? localDateOf(Date.parse(at), zone);

/** From when on hours to keep out count. Of a spray written down later nobody knows the hour: then from the end of its day. */
const doneBy = (spray: CareView, zone: string): number =>
  spray.on === null ? Date.parse(spray.at) : atLocalTime(addDays(spray.on, 1), 0, 0, zone);

/**
 * What is still to be waited for after the sprays noted on a stand; `null`: nothing. Times are those that the grower copied
 * from the label; where none was noted, that is what is told. Never a judgement of its own on what is safe.
 * @param now epoch ms.
 */
export function sprayWait({ cares }: Pick<Stand, 'cares'>, now: number, zone: string): SprayWait | null {
  const today = localDateOf(now, zone);
  const waits = cares.flatMap((spray) => {
    if (spray.care !== 'sprayed') return [];
    const day = careDay(spray, zone);
    const enter = doneBy(spray, zone) + (spray.reentryHours ?? 0) * HOUR_MS;
    const eat = addDays(day, spray.daysToHarvest ?? 0);
    const enterFrom = enter > now ? enter : null;
    const eatFrom = eat > today ? eat : null;
    const unnoted = spray.daysToHarvest === null || spray.reentryHours === null;
    const unknown = unnoted && addDays(day, ASKED_DAYS) > today;
    return enterFrom || eatFrom || unknown ? [{ spray, enterFrom, eatFrom, unknown }] : [];
  });
  if (waits.length === 0) return null;
  const eatFrom =
    waits
      .flatMap((wait) => wait.eatFrom ?? [])
      .sort()
      .at(-1) ?? null;
  return {
    spray: (waits.find((wait) => eatFrom !== null && wait.eatFrom === eatFrom) ?? (waits.at(-1) as SprayWait))
      .spray,
    enterFrom: Math.max(...waits.map((wait) => wait.enterFrom ?? 0)) || null,
    eatFrom,
    unknown: waits.some(({ unknown }) => unknown),
  };
}

/** The stands that nobody may go into now, and until when. */
export function keptOut(
  { stands }: Pick<State, 'stands'>,
  now: number,
  zone: string,
): readonly { readonly stand: Stand; readonly wait: SprayWait }[] {
  const out: { stand: Stand; wait: SprayWait }[] = [];
  for (const stand of stands.values()) {
    const wait = stand.cares.length > 0 ? sprayWait(stand, now, zone) : null;
    if (wait && wait.enterFrom !== null) out.push({ stand, wait });
  }
  return out;
}
