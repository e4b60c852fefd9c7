import { useMemo } from 'react';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { fathersNext, mixingOf, mixingWith } from '@core/lineage';
import { growing, plantName } from '@core/patch';
import { morningMatch } from '@core/rounds';
import { useGarden } from '@/data/garden/garden';
import { useNextRoundOf } from '@/data/round/nextRound';
import { Button, Card } from '@/ui/controls';
import { gated } from '@/ui/Gate';
import { Page } from '@/ui/Page';
import { GivenBars } from '@/ui/seed/GivenBars';
import { MixingCard, SmallCard } from '@/ui/seed/MixingCard';
import { plantsText } from '@/ui/seed/words';
import { Txt } from '@/ui/theme';
import { listText } from '@/ui/words';

/** How many fathers are named to take next. */
const NEXT = 4;

/** Who stands behind a variety's coming lot, and whose pollen would even it out. */
function Mixing() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const { state, today } = useGarden();
  const router = useRouter();
  const year = today.slice(0, 4);
  const variety = state.varieties.get(id);
  const mixture = useMemo(() => mixingOf(state, id, year), [state, id, year]);
  const next = useMemo(() => fathersNext(state, id, year), [state, id, year]);
  if (!variety)
    return (
      <Page
        title="No such variety"
        foot={<Button title="Go to Seed" onPress={() => router.replace('/seed')} />}
      >
        <Txt>It may have been undone, or it is on another phone still.</Txt>
      </Page>
    );
  const name = (plant: string) => {
    const found = growing(state, plant);
    return found ? plantName(found) : 'a plant not on this phone';
  };
  const least = next.slice(0, NEXT);
  return (
    <Page
      title={`${variety.name}: mixing`}
      over={`What comes into the lot of ${year}`}
      corner={<Button title="Seed" look="quiet" small onPress={() => router.navigate('/seed')} />}
      side={
        <>
          <GivenBars plants={mixture.plants} />
          <SmallCard size={mixture.size} />
        </>
      }
    >
      {mixture.fruits === 0 ? (
        <Txt>No fruit of it was worked for seed this year yet.</Txt>
      ) : (
        <MixingCard title="So far" mixture={mixture} />
      )}
      {least.length > 0 ? (
        <Card>
          <Txt size="heading">Whose pollen next</Txt>
          <Txt>
            {`Least used so far: ${listText(least.map(({ plant, asFather, asMother }) => `${name(plant)} (${asFather + asMother === 0 ? 'nothing yet' : `${plantsText(asFather + asMother)} fruits`})`))}.`}
          </Txt>
          <Tonight variety={id} year={year} now={mixture.size} />
          <Txt size="label" tone="muted">
            The round chooses so by itself among the males that are shut: who gave least goes first, close kin
            are passed over where there are others.
          </Txt>
        </Card>
      ) : null}
    </Page>
  );
}

/** What the males shut for the next round would make of it. */
function Tonight({ variety, year, now }: { variety: string; year: string; now: number }) {
  const { state, place } = useGarden();
  const round = useNextRoundOf(variety);
  const told = useMemo(() => {
    if (!round) return null;
    const { pairs } = morningMatch(state, place, round.date, round.kind);
    const fathers = new Map<string, string[]>();
    for (const { female, male } of pairs) {
      const mother = state.flowers.get(female);
      const father = state.flowers.get(male)?.plant;
      if (!mother || !father || growing(state, mother.plant)?.variety.id !== variety) continue;
      fathers.set(female, [...(fathers.get(female) ?? []), father]);
    }
    if (fathers.size === 0) return null;
    const more = [...fathers].map(([female, list]) => ({
      mother: state.flowers.get(female)?.plant ?? female,
      fathers: list,
    }));
    return { count: more.length, mixture: mixingWith(state, variety, year, more) };
  }, [state, place, round, variety, year]);
  if (!told) return <Txt>Nothing of it is shut for the next round.</Txt>;
  const flowers = told.count === 1 ? 'flower' : `${told.count} flowers`;
  const [then, before] = [plantsText(told.mixture.size), plantsText(now)];
  return (
    <Txt>
      {then === before
        ? `The ${flowers} of the next round, as it is planned, leave it at ${before}.`
        : `With the ${flowers} of the next round, as it is planned, it comes to ${then} instead of ${before}.`}
    </Txt>
  );
}

export default gated(Mixing);
