import { useMemo } from 'react';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { fathersNext, mixingOf } from '@core/lineage';
import { mixingAhead } from '@core/rounds';
import { useGarden } from '@/data/garden/garden';
import { useNextRoundOf } from '@/data/round/nextRound';
import { Button, Card } from '@/ui/controls';
import { gated } from '@/ui/Gate';
import { NotHere } from '@/ui/NotHere';
import { Page } from '@/ui/Page';
import { GivenBars } from '@/ui/seed/GivenBars';
import { MixingCard, SmallCard } from '@/ui/seed/MixingCard';
import { plantsText } from '@/ui/seed/words';
import { Txt } from '@/ui/theme';
import { listText, plantText } from '@/ui/words';

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
  const next = useMemo(() => fathersNext(state, id, mixture.plants), [state, id, mixture]);
  if (!variety) return <NotHere title="No such variety" back="Seed" onBack={() => router.replace('/seed')} />;
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
            {`Least used so far: ${listText(least.map(({ plant, asFather, asMother }) => `${plantText(state, plant)} (${asFather + asMother === 0 ? 'nothing yet' : `${plantsText(asFather + asMother)} fruits`})`))}.`}
          </Txt>
          <Tonight variety={id} now={mixture.size} />
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
function Tonight({ variety, now }: { variety: string; now: number }) {
  const { state, place } = useGarden();
  const round = useNextRoundOf(variety);
  const told = useMemo(
    () => (round ? mixingAhead(state, place, round, variety) : null),
    [state, place, round, variety],
  );
  if (!told) return <Txt>Nothing of it is shut for the next round.</Txt>;
  const flowers = told.flowers === 1 ? 'flower' : `${told.flowers} flowers`;
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
