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
  const end = round.kind === 'dawn' ? 'bees' : 'dark';
  const words = [
    `${round.toDo.length} left`,
    left > 0 ? `${end} in ${left} min` : round.kind === 'dawn' ? 'bees are about' : 'it is dark',
    finish && round.toDo.length > 0 ? `done about ${time(Math.max(finish, now))}` : null,
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
