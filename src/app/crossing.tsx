import { useRouter } from 'expo-router';
import { isolations } from '@core/isolation';
import { useGarden } from '@/data/garden/garden';
import { Button, Card } from '@/ui/controls';
import { BloomCard } from '@/ui/crossing/BloomCard';
import { IsolationCard } from '@/ui/crossing/IsolationCard';
import { NeighboursCard } from '@/ui/crossing/NeighboursCard';
import { WeightsCard } from '@/ui/crossing/WeightsCard';
import { gated } from '@/ui/Gate';
import { LongList } from '@/ui/LongList';
import { Page } from '@/ui/Page';
import { Txt } from '@/ui/theme';
import { UndoLine } from '@/ui/UndoLine';

/** Who could cross with what is grown for seed, how far is enough, and the ways out. */
function CrossingPage() {
  const { state, today } = useGarden();
  const router = useRouter();
  const answers = isolations(state, today);
  return (
    <Page
      title="Who could cross"
      over="How far is enough"
      corner={<Button title="Patch" look="quiet" small onPress={() => router.navigate('/patch')} />}
      side={
        <>
          <NeighboursCard />
          <BloomCard />
          <WeightsCard />
        </>
      }
    >
      <UndoLine />
      <Card>
        <Txt>
          Distance matters where three things meet: the same species, flowers open at the same time, and
          flowers not shut by hand. A flower shut, worked clean and shut again needs none. Distance lowers the
          risk and proves nothing.
        </Txt>
      </Card>
      {answers.length === 0 ? (
        <Txt>
          Nothing grows for seed here. Say so at a stand on the Patch, and its neighbours are weighed here.
        </Txt>
      ) : null}
      <LongList
        items={answers}
        keyOf={({ stand }) => stand.id}
        row={(isolation) => <IsolationCard isolation={isolation} />}
        about={420}
        short={12}
        gap={12}
      />
    </Page>
  );
}

export default gated(CrossingPage);
