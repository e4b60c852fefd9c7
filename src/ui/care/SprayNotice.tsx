import { careDay, sprayWait, type SprayWait } from '@core/patch';
import type { Stand } from '@core/ledger';
import { clockText, localDateOf, shortDayText } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { Notice } from '../controls';

/** What a spray still asks for, in words: by what the grower copied from its label, and nothing else. */
export function sprayWords(
  { spray, enterFrom, eatFrom, unknown }: SprayWait,
  zone: string,
  hour12: boolean,
): string {
  const day = (at: number) => shortDayText(localDateOf(at, zone));
  const said = [
    enterFrom === null ? null : `keep out until ${day(enterFrom)}, ${clockText(enterFrom, zone, hour12)}`,
    eatFrom === null ? null : `eat nothing of it, flowers too, before ${shortDayText(eatFrom)}`,
    unknown ? 'how long to wait was not noted: read the label before anybody eats of it' : null,
  ].filter((part) => part !== null);
  return `Sprayed on ${shortDayText(careDay(spray, zone))}${spray.product ? ` with ${spray.product}` : ''}: ${said.join('; ')}.`;
}

/** A spray that is still to be waited for, at every step that would come too early. */
export function SprayNotice({
  stand,
  name,
  entering = false,
}: {
  stand: Stand;
  /** Said first, where several stand together. */
  name?: string;
  /** Only while nobody may go in: for work that takes nothing away. */
  entering?: boolean;
}) {
  const { now, place, prefs } = useGarden();
  const wait = sprayWait(stand, now, place.zone);
  if (!wait || (entering && wait.enterFrom === null)) return null;
  return (
    <Notice tone="brick" standing title={name} text={sprayWords(wait, place.zone, prefs.clock === '12')} />
  );
}
