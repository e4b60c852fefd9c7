import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useRouter } from 'expo-router';
import { eveningWalk } from '@core/rounds';
import { plantName } from '@core/patch';
import { clockText } from '@core/time';
import { useDraft } from '@/data/draft';
import { useGarden } from '@/data/garden';
import { Key, Row } from '@/ui/controls';
import { Page } from '@/ui/Page';
import { Txt } from '@/ui/theme';
import { UndoLine } from '@/ui/UndoLine';
import { WalkPlant } from '@/ui/walk/WalkPlant';
import { WalkList } from '@/ui/walk/WalkList';

/** The evening walk, plant by plant in walking order. Where one stopped is kept. */
export default function Walk() {
  const { state, place, today, now, prefs, space } = useGarden();
  const router = useRouter();
  const walk = useMemo(() => eveningWalk(state, place, today), [state, place, today]);
  const { value, change } = useDraft(`walk/${space}`, { date: '', plant: '' });
  const [listed, setListed] = useState(false);
  if (!value) return null;
  if (!walk) {
    return (
      <Page title="Evening walk" foot={<Key title="Back to Today" onPress={() => router.replace('/')} />}>
        <Txt>Nothing grows here yet. Add plants in Patch.</Txt>
      </Page>
    );
  }
  const kept = value.date === today ? walk.plants.findIndex(({ plant }) => plant.id === value.plant) : -1;
  const firstLeft = walk.plants.findIndex(({ plant }) => !walk.walked.includes(plant.id));
  const index = kept >= 0 ? kept : Math.max(0, firstLeft);
  const here = walk.plants[index];
  if (!here) return null;
  const go = (to: number) => change({ date: today, plant: walk.plants[to]?.plant.id ?? '' });
  const last = index === walk.plants.length - 1;
  return (
    <Page
      title={plantName(here)}
      over={`Plant ${index + 1} of ${walk.plants.length} · ${here.bed.name} · ${clockText(now, place.zone, prefs.clock === '12')}`}
      corner={
        <Key
          title="Leave"
          look="quiet"
          small
          label="Leave the walk; everything is kept"
          onPress={() => router.replace('/')}
        />
      }
      side={listed ? <WalkList walk={walk} index={index} onGo={go} /> : undefined}
      foot={
        <>
          <UndoLine />
          <Row gap={8} style={{ flexWrap: 'nowrap' }}>
            <Key title="Back" disabled={index === 0} onPress={() => go(index - 1)} />
            <View style={{ flex: 1 }}>
              <Key
                title={last ? 'Finish the walk' : 'Next plant'}
                look="main"
                onPress={() => (last ? router.replace('/') : go(index + 1))}
              />
            </View>
          </Row>
        </>
      }
    >
      <WalkPlant key={here.plant.id} growing={here} />
      <Key
        title={listed ? 'Hide the list of plants' : 'List of plants'}
        look="quiet"
        small
        onPress={() => setListed(!listed)}
      />
    </Page>
  );
}
