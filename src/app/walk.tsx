import { useEffect, useMemo } from 'react';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { eveningWalk } from '@core/rounds';
import { clockText } from '@core/time';
import { useDraft } from '@/data/device/draft';
import { useGarden } from '@/data/garden/garden';
import { useTonight } from '@/data/foresight/tonight';
import { Button } from '@/ui/controls';
import { gated } from '@/ui/Gate';
import { Page } from '@/ui/Page';
import { Txt } from '@/ui/theme';
import { WalkPlant } from '@/ui/walk/WalkPlant';
import { WalkList } from '@/ui/walk/WalkList';

/** The evening walk, plant by plant in walking order. Where one stopped is kept. */
function Walk() {
  const { state, place, today, now, prefs, space } = useGarden();
  const router = useRouter();
  const tonight = useTonight();
  const kitchen = useLocalSearchParams<{ kitchen?: string }>().kitchen === '1';
  const done = kitchen ? undefined : tonight?.done;
  const walk = useMemo(
    () => eveningWalk(state, place, today, { kitchen, ...(done && { done }) }),
    [state, place, today, kitchen, done],
  );
  const plants = useMemo(() => (walk ? [...walk.plants, ...walk.rest] : []), [walk]);
  const { value, ready, change } = useDraft(`walk${kitchen ? '-kitchen' : ''}/${space}`, {
    date: '',
    plant: '',
  });
  const kept = value.date === today ? plants.findIndex(({ plant }) => plant.id === value.plant) : -1;
  const firstLeft = walk?.plants.findIndex(({ plant }) => !walk.walked.includes(plant.id)) ?? 0;
  const index = kept >= 0 ? kept : Math.max(0, firstLeft);
  const here = plants[index];
  useEffect(() => {
    // The walk stays at the plant it came to: an entry there must not move it on.
    if (ready && here && kept < 0) change({ date: today, plant: here.plant.id });
  }, [ready, here, kept, today, change]);
  if (!ready) return null;
  if (!walk || !here) {
    return (
      <Page title="Evening walk" foot={<Button title="Back to Today" onPress={() => router.replace('/')} />}>
        <Txt>
          Nothing here is to be shut tonight. What is grown for fruit has its kitchen round; plants are added
          in Patch.
        </Txt>
      </Page>
    );
  }
  const go = (to: number) => change({ date: today, plant: plants[to]?.plant.id ?? '' });
  // What is done with is no part of the way, but for whoever goes there.
  const among = index < walk.plants.length ? walk.plants.length : plants.length;
  const last = index === among - 1;
  return (
    <WalkPlant
      key={here.plant.id}
      growing={here}
      tonight={tonight?.plants.find(({ growing }) => growing.plant.id === here.plant.id) ?? null}
      planKnown={tonight !== null}
      over={`Plant ${index + 1} of ${among} · ${here.bed.name} · ${clockText(now, place.zone, prefs.clock === '12')}`}
      side={<WalkList walk={walk} index={index} onGo={go} />}
      onBack={index === 0 ? null : () => go(index - 1)}
      onNext={last ? null : () => go(index + 1)}
      onLeave={() => {
        // A plant that is done is no place to go on from.
        if (walk.walked.includes(here.plant.id)) change({ date: '', plant: '' });
        router.replace(kitchen ? '/kitchen' : '/');
      }}
      onKey={() => router.navigate(`/key?plant=${here.plant.id}`)}
    />
  );
}

export default gated(Walk);
