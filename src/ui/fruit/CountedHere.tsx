import { useMemo } from 'react';
import { countsDue } from '@core/fruitset';
import type { Growing } from '@core/patch';
import { localDateOf, shortDayText } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { Card } from '../controls';
import { Txt } from '../theme';
import { plural } from '../words';
import { CountRow } from './CountRow';

/** The flowers of one plant that were worked and only counted: how many, what was seen of them since, and the count that is due. */
export function CountedHere({ growing: { plant, stand } }: { growing: Growing }) {
  const { state, place, today } = useGarden();
  const due = useMemo(
    () => countsDue(state, place.zone, today, plant.id),
    [state, place.zone, today, plant.id],
  );
  const counts = stand.groups.filter((each) => each.plant === plant.id);
  if (plant.tallies.length === 0 && counts.length === 0) return null;
  const worked = plant.tallies.reduce((sum, { flowers }) => sum + flowers, 0);
  const mornings = new Set(plant.tallies.map(({ at }) => localDateOf(Date.parse(at), place.zone))).size;
  return (
    <>
      <Card>
        <Txt size="heading">Counted flowers</Txt>
        {worked > 0 ? <Txt>{`${plural(worked, 'flower')} worked on ${plural(mornings, 'day')}.`}</Txt> : null}
        {counts.map(({ event, from, to, worked: of, set, bent, early }) => (
          <Txt key={event} size="label" tone="muted">
            {`${from === to ? shortDayText(from) : `${shortDayText(from)} to ${shortDayText(to)}`}: ${set} of ${of} ${early ? 'growing at an early look' : 'set'}${bent === null ? '' : `, ${bent} bent`}`}
          </Txt>
        ))}
      </Card>
      {due.map((each) => (
        <CountRow key={`${each.from}/${each.to}/${each.early}`} due={each} />
      ))}
    </>
  );
}
