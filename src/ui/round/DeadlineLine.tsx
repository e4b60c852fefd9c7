import { View } from 'react-native';
import { LinearProgress } from '@rneui/themed';
import type { PollinationRound } from '@core/rounds';
import { clockText } from '@core/time';
import type { DawnPlan } from '@/data/round/dawnPlan';
import { useGarden } from '@/data/garden/garden';
import { Txt, useColours } from '../theme';
import { plural } from '../words';

/** How the round stands against the clock: always in sight, above the main key. */
export function DeadlineLine({ round, dawn }: { round: PollinationRound; dawn: DawnPlan | null }) {
  const { now, place, prefs } = useGarden();
  const colours = useColours();
  const done = round.stops.length - round.toDo.length;
  const left = Math.round((round.end - now) / 60_000);
  const finish = dawn?.plan?.finish ?? null;
  const time = (at: number) => clockText(at, place.zone, prefs.clock === '12');
  const leftOut = dawn?.plan?.skipped.length ?? 0;
  const later = round.toDo.filter(({ state }) => state === 'later').length;
  const words = [
    `${round.toDo.length} left`,
    // One clock in a line: the minutes to the bees stand in the corner.
    round.kind === 'dawn'
      ? left > 0
        ? `bees from ${time(round.end)}`
        : 'bees are about'
      : left > 0
        ? `dark from ${time(round.end)}`
        : 'it is dark',
    later > 0 ? `${later} to come back to` : null,
    finish && round.toDo.length > later ? `done about ${time(Math.max(finish, now))}` : null,
    leftOut > 0 ? `${plural(leftOut, 'flower')} left out` : null,
  ].filter(Boolean);
  // Flowers that open after the bees are not late for them.
  const after = new Set(round.afterEnd.map(({ flower }) => flower.id));
  const held = round.toDo.filter(({ flower }) => !after.has(flower.id));
  const late =
    leftOut > 0 ||
    (held.length > 0 &&
      (left <= 0 || held.some(({ flower }) => (dawn?.at.get(flower.id)?.begin ?? 0) > round.end)));
  return (
    <View style={{ gap: 4 }}>
      <LinearProgress
        value={round.stops.length === 0 ? 0 : done / round.stops.length}
        variant="determinate"
        color={late ? colours.brick : colours.leaf}
        trackColor={colours.rule}
        animation={false}
        style={{ height: 6, borderRadius: 3 }}
        aria-label={`${done} of ${round.stops.length} flowers done`}
      />
      <Txt size="label" style={{ fontWeight: late ? '700' : '400' }}>
        {words.join(' · ')}
      </Txt>
    </View>
  );
}
