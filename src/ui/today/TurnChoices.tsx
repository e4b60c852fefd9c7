import { turnsOn } from '@core/patch';
import { clockText, shortDayText } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { useRecording } from '@/data/garden/useRecording';
import { Button, Card } from '../controls';
import { Txt } from '../theme';

/** Whose day it is where cages take turns, and until when they are moved. */
export function TurnChoices({ insectsFrom }: { insectsFrom: number }) {
  const { state, place, today, prefs } = useGarden();
  const { busy, save } = useRecording();
  const turns = turnsOn(state, today, place.zone);
  if (turns.length === 0) return null;
  const open = turns.find(({ offAt }) => offAt !== null);
  const clock = (at: number) => clockText(at, place.zone, prefs.clock === '12');
  const name = ({ varieties, bed }: (typeof turns)[number]) => `${varieties.join(', ')} (${bed.name})`;
  if (open?.offAt)
    return (
      <Card>
        <Txt size="heading">{`Its day: ${name(open)}`}</Txt>
        <Txt tone="muted">
          {Date.parse(open.offAt) <= insectsFrom
            ? `Open since ${clock(Date.parse(open.offAt))}, before the bees. Cage it again in the evening.`
            : `Opened at ${clock(Date.parse(open.offAt))}, after the bees began to fly at about ${clock(insectsFrom)}: this day proves nothing.`}
        </Txt>
      </Card>
    );
  return (
    <Card>
      <Txt size="heading">Cages in turn: whose day is it?</Txt>
      <Txt tone="muted">{`Move them before the bees fly, at about ${clock(insectsFrom)}; the others stay shut all day.`}</Txt>
      {turns.map((turn) => (
        <Button
          key={turn.bed.id}
          title={`${turn.varieties.join(', ')} open${turn.lastOn ? ` (last on ${shortDayText(turn.lastOn)})` : ''}`}
          label={`Cage off for today: ${name(turn)}`}
          disabled={busy}
          onPress={() => void save({ kind: 'cageOpened', bed: turn.bed.id })}
        />
      ))}
    </Card>
  );
}
