import { useState } from 'react';
import { View } from 'react-native';
import { awayFrom, comesOn } from '@core/patch';
import { addDays, dayText, weekStart, weekdayText, type LocalDate } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { useRecording } from '@/data/garden/useRecording';
import { Button, Card, Notice, Sheet, Tile, Tiles } from '../controls';
import { Txt } from '../theme';
import { plural } from '../words';

const FORTNIGHT = 14;
const WEEK = [1, 2, 3, 4, 5, 6, 7];
/** Seven side by side on a phone. */
const SEVENTH = 40;

/** On which mornings somebody can come: a tap for a day away, and the usual week behind a button. */
export function MorningsCard() {
  const { patch, today } = useGarden();
  const { problem, save } = useRecording();
  const [usual, setUsual] = useState(false);
  if (!patch) return null;
  const { mornings } = patch;
  const days = Array.from({ length: FORTNIGHT }, (_, i) => addDays(today, i));
  const away = awayFrom(mornings, today, FORTNIGHT).length;
  const tell = (date: LocalDate) =>
    save({ kind: 'morningTold', patch: patch.id, date, comes: !comesOn(mornings, date) });
  const limit =
    mornings.minutes === null ? '' : ` No morning takes more than ${plural(mornings.minutes, 'minute')}.`;
  return (
    <Card>
      <Txt size="heading">My mornings</Txt>
      <Txt>
        {away === 0
          ? 'Every morning of the next fortnight.'
          : `Away on ${plural(away, 'morning')} of the next fortnight.`}
        {limit} Nothing is shut for a morning on which nobody comes, and more for those before it where the
        goal needs it.
      </Txt>
      {problem ? <Notice tone="brick" text={problem} /> : null}
      <Txt size="label" tone="muted">
        Tap the mornings you are away
      </Txt>
      {[days.slice(0, WEEK.length), days.slice(WEEK.length)].map((week) => (
        <Tiles key={week[0]} question="Mornings away" hideQuestion>
          {week.map((date) => {
            const comes = comesOn(mornings, date);
            const [weekday, day] = weekdayText(date).split(' ');
            return (
              <Tile
                key={date}
                // The tick of a narrow tile lies beside the picture, not on the day.
                picture={<View style={{ height: 8 }} />}
                title={day ?? ''}
                note={comes ? weekday : 'away'}
                label={`Away on ${dayText(date)}`}
                small
                chosen={!comes}
                minWidth={SEVENTH}
                onPress={() => void tell(date)}
              />
            );
          })}
        </Tiles>
      ))}
      <Button title="Usual week, and time" small onPress={() => setUsual(true)} />
      {usual ? <UsualSheet onClose={() => setUsual(false)} /> : null}
    </Card>
  );
}

/** How long a morning may take. */
const MINUTES = [null, 20, 30, 45, 60, 90] as const;

/** The days of the week on which somebody comes, and how long a morning may take. */
function UsualSheet({ onClose }: { onClose: () => void }) {
  const { patch, today } = useGarden();
  const { busy, problem, save } = useRecording();
  const [weekdays, setWeekdays] = useState(patch?.mornings.weekdays ?? WEEK);
  const [minutes, setMinutes] = useState(patch?.mornings.minutes ?? null);
  const toggle = (day: number) =>
    setWeekdays(WEEK.filter((each) => (each === day) !== weekdays.includes(each)));
  const keep = async () => {
    if (!patch) return;
    const days = weekdays.length === WEEK.length ? null : weekdays;
    if (await save({ kind: 'morningsSet', patch: patch.id, weekdays: days, minutes })) onClose();
  };
  return (
    <Sheet open onClose={onClose} title="Usual week, and time">
      {problem ? <Notice tone="brick" text={problem} /> : null}
      <Tiles question="Mornings on which I can come">
        {WEEK.map((day) => (
          <Tile
            key={day}
            title={weekdayText(addDays(weekStart(today), day - 1)).split(' ')[0] ?? ''}
            small
            chosen={weekdays.includes(day)}
            minWidth={SEVENTH}
            onPress={() => toggle(day)}
          />
        ))}
      </Tiles>
      <Tiles question="Most time for a morning’s round">
        {MINUTES.map((most) => (
          <Tile
            key={most}
            title={most === null ? 'no limit' : `${most} min`}
            small
            chosen={minutes === most}
            minWidth={90}
            onPress={() => setMinutes(most)}
          />
        ))}
      </Tiles>
      <Txt size="label" tone="muted">
        A single day tapped in the fortnight stands before its day of the week.
      </Txt>
      <Button title="Keep" look="main" busy={busy} onPress={() => void keep()} />
    </Sheet>
  );
}
