import { View } from 'react-native';
import { closureFacts } from '@core/crops';
import { teamMinutes, type PollinationRound, type Round } from '@core/rounds';
import { clockText } from '@core/time';
import { reasonFor } from '@core/patch';
import { useGarden } from '@/data/garden/garden';
import { useNextMark } from '@/data/garden/nextMark';
import { BETWEEN, Badge, Card, Button, Row, Stat } from '../controls';
import { flowerAppearance } from '../drawings/appearance';
import { FlowerDrawing } from '../drawings/FlowerDrawing';
import { startWords } from '../round/startWords';
import { Txt } from '../theme';
import { TeamTiles, useShares } from './TeamTiles';
import { plural, tapeText } from '../words';

const SHOWN = 6;

/** The round that comes next: how much, by when, with what in the pockets. */
export function RoundCard({ round, onStart }: { round: Round; onStart: () => void }) {
  const { place, prefs, now } = useGarden();
  const time = (epochMs: number) => clockText(epochMs, place.zone, prefs.clock === '12');
  if (round.kind === 'walk') {
    const left = round.plants.length - round.walked.length;
    const early = now < round.startsAt;
    return (
      <Card>
        <Head
          title="Evening walk"
          badge={early ? `from ${time(round.startsAt)}` : `start by ${time(round.startBy)}`}
          tone="dusk"
        />
        <Row gap={20}>
          <Stat value={left} name={left === 1 ? 'plant to look over' : 'plants to look over'} />
          <Stat value={round.minutes} name="minutes" />
          {round.walked.length > 0 ? <Stat value={round.walked.length} name="done" /> : null}
        </Row>
        <Txt tone="muted">
          Look for buds that open tomorrow: full, coloured, still shut. Take tape or bags.{' '}
          {early ? 'Earlier than that they do not show yet.' : ''}
        </Txt>
        <Button
          title={round.walked.length > 0 ? 'Go on with the walk' : 'Start the evening walk'}
          look="main"
          onPress={onStart}
        />
      </Card>
    );
  }
  return <PollinationCard round={round} onStart={onStart} />;
}

function PollinationCard({ round, onStart }: { round: PollinationRound; onStart: () => void }) {
  const { place, prefs, now, today, patch } = useGarden();
  const time = (epochMs: number) => clockText(epochMs, place.zone, prefs.clock === '12');
  const { toDo, males, fatherPlants, startBy, kind, window, until } = round;
  const people = prefs.helpers + 1;
  const shares = useShares(round);
  const minutes = teamMinutes(round.minutes, people, prefs.team, shares);
  const done = round.stops.length - toDo.length;
  const left = Math.round((round.end - now) / 60_000);
  const varieties = new Set(toDo.map(({ growing }) => growing.variety.id)).size;
  const tapeCm = toDo.reduce(
    (sum, { flower }) => sum + closureFacts(flower.shuttings[0]?.closure ?? 'tape').tapeCm,
    0,
  );
  const mark = useNextMark();
  const markNow =
    patch?.schools.marking !== 'when-growing' &&
    toDo.some((stop) => reasonFor(stop.flower, stop.growing) !== 'fruit');
  const pockets = [
    tapeCm > 0 ? `${tapeText(tapeCm, prefs.units)} tape` : null,
    markNow ? `${plural(toDo.length, 'mark')} (from ${mark})` : null,
    varieties > 1 ? `a clean brush for each of ${varieties} varieties` : 'a clean dry brush',
  ].filter((each) => each !== null);
  const tomorrow = round.date > today;
  const late =
    left <= 0
      ? `The bees are about: look well whether each closure is whole. The flowers are open till about ${time(until)}.`
      : left < minutes
        ? 'Not all will be done before the bees: take the best mothers first.'
        : 'Started now, it is done before the bees.';
  const after =
    round.afterEndFrom === null
      ? ''
      : ` ${plural(round.afterEnd.length, 'flower')} only ${round.afterEnd.length === 1 ? 'opens' : 'open'} from ${time(round.afterEndFrom)}: the round comes back for ${round.afterEnd.length === 1 ? 'it' : 'them'}.`;
  return (
    <Card>
      <Head
        title={kind === 'dawn' ? 'Dawn round' : 'Dusk round'}
        badge={startWords(round, now, time)}
        tone="pollen"
      />
      <Row gap={20}>
        <Stat value={toDo.length} name={toDo.length === 1 ? 'female shut' : 'females shut'} />
        <Stat value={males} name={`${males === 1 ? 'male' : 'males'} on ${plural(fatherPlants, 'plant')}`} />
        <Stat value={minutes} name="minutes" />
      </Row>
      <View aria-hidden style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 6 }}>
        {toDo.slice(0, SHOWN).map(({ flower, growing }) => (
          <FlowerDrawing
            key={flower.id}
            {...flowerAppearance(flower, growing.crop, place.zone)}
            shape={growing.variety.shape}
            crop={growing.crop.id}
            size={62}
          />
        ))}
        {toDo.length > SHOWN ? (
          <Txt tone="muted" style={{ flexShrink: 0 }}>{`+ ${toDo.length - SHOWN}`}</Txt>
        ) : null}
      </View>
      <Txt tone="muted">
        Pockets: {pockets.join(', ')}.{' '}
        {kind === 'dawn'
          ? tomorrow
            ? `Be there ${startBy <= window.opens ? 'at' : 'by'} ${time(startBy)}.`
            : late
          : ''}
        {after}
      </Txt>
      <Txt size="label" tone="muted">
        Wasps and bees sleep in flowers: carry your allergy kit if you need one. Children may find flowers and
        hold tape, no knives.
      </Txt>
      <Button
        title={
          done > 0
            ? `Go on: ${plural(toDo.length, 'flower')} left`
            : tomorrow
              ? 'See the round'
              : `Start the ${time(Math.max(now, window.opens))} round`
        }
        look="main"
        onPress={onStart}
      />
      <TeamTiles people={people} shares={shares} />
    </Card>
  );
}

function Head({ title, badge, tone }: { title: string; badge: string; tone: 'pollen' | 'dusk' }) {
  return (
    <Row style={BETWEEN}>
      <Txt size="heading">{title}</Txt>
      <Badge text={badge} tone={tone} />
    </Row>
  );
}
