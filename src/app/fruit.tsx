import { useMemo, useState } from 'react';
import { Pressable, View } from 'react-native';
import { useRouter } from 'expo-router';
import { allTrials, fateOn, countSet, type Fate, type Trial } from '@core/fruitset';
import { growing, plantName } from '@core/patch';
import { clockText, localDateOf, shortDayText, type LocalDate } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { SetChart } from '@/ui/charts/SetChart';
import { Badge, Card, Button, Row, Tile, Tiles } from '@/ui/controls';
import { flowerAppearance } from '@/ui/drawings/appearance';
import { FlowerDrawing } from '@/ui/drawings/FlowerDrawing';
import { setCountsBy, workedFlowers, type Worked } from '@/ui/fruit/flowersOf';
import { GroupsCard } from '@/ui/fruit/GroupsCard';
import { gated } from '@/ui/Gate';
import { SetStats } from '@/ui/fruit/SetStats';
import { Page } from '@/ui/Page';
import { Txt, useColours } from '@/ui/theme';
import { causeWords, fateText, fateWords, flowerPlace } from '@/ui/words';

const FATES: readonly (Fate | 'all')[] = ['all', 'waiting', 'not-looked-at', 'set', 'dropped', 'lost-later'];
const PAGE = 30;
const fateTone: Record<Fate, 'pollen' | 'leaf' | 'brick'> = {
  waiting: 'pollen',
  'not-looked-at': 'pollen',
  set: 'leaf',
  dropped: 'brick',
  'lost-later': 'brick',
};

function fateNow({ trial, growing: { crop } }: Worked, today: LocalDate): Fate {
  return trial.facts ? fateOn(trial.facts, crop, today) : 'waiting';
}

/** What set, what dropped, why. */
function Fruit() {
  const { state, place, today, prefs } = useGarden();
  const router = useRouter();
  const colours = useColours();
  const [fate, setFate] = useState<Fate | 'all'>('all');
  const [shown, setShown] = useState(PAGE);
  const [byPlant, setByPlant] = useState(false);
  const trials = useMemo(() => allTrials(state, place.zone), [state, place.zone]);
  const worked = useMemo(() => workedFlowers(state, place.zone), [state, place.zone]);
  const all = useMemo(() => countSet(trials, today), [trials, today]);
  const rows = useMemo(() => {
    const plantOf = ({ plant }: Trial) => {
      const found = plant === null ? null : growing(state, plant);
      return found && plantName(found);
    };
    const varietyOf = ({ variety }: Trial) => state.varieties.get(variety)?.name ?? null;
    return setCountsBy(trials, today, byPlant ? plantOf : varietyOf);
  }, [trials, today, state, byPlant]);
  const listed = useMemo(
    () => worked.filter((each) => fate === 'all' || fateNow(each, today) === fate),
    [worked, fate, today],
  );
  if (all.worked + all.missed === 0) {
    return (
      <Page
        title="Fruit"
        foot={<Button title="Go to Today" look="main" onPress={() => router.replace('/')} />}
      >
        <Txt>
          Every flower you pollinate, one by one or counted, comes up here with what became of it. Today says
          what to work next.
        </Txt>
        <GroupsCard />
      </Page>
    );
  }
  const causes = [...all.causes].sort((a, b) => b[1] - a[1]);
  return (
    <Page
      title="Fruit"
      side={
        <>
          <Card>
            <Tiles question="Worked one by one">
              {FATES.filter((each) => each !== 'not-looked-at' || each === fate || all.notLookedAt > 0).map(
                (each) => (
                  <Tile
                    key={each}
                    title={each === 'all' ? 'all' : fateWords[each]}
                    chosen={fate === each}
                    onPress={() => setFate(each)}
                    minWidth={70}
                  />
                ),
              )}
            </Tiles>
            {listed.slice(0, shown).map((each) => {
              const { flower, growing: found, trial } = each;
              const what = fateNow(each, today);
              const at = Date.parse(trial.at ?? '');
              return (
                <Pressable
                  key={flower.id}
                  role="link"
                  aria-label={`${plantName(found)}, ${flowerPlace(flower)}: ${fateText(what, found)}`}
                  onPress={() =>
                    router.navigate({
                      pathname: '/plant/[id]',
                      params: { id: found.plant.id, flower: flower.id },
                    })
                  }
                  style={{
                    flexDirection: 'row',
                    alignItems: 'center',
                    gap: 10,
                    minHeight: 56,
                    borderBottomWidth: 1,
                    borderBottomColor: colours.rule,
                  }}
                >
                  <FlowerDrawing
                    {...flowerAppearance(flower, found.crop, place.zone)}
                    shape={found.variety.shape}
                    crop={found.crop.id}
                    size={46}
                  />
                  <View style={{ flex: 1 }}>
                    <Txt>
                      {plantName(found)}, {flowerPlace(flower)}
                    </Txt>
                    <Txt size="label" tone="muted">
                      {shortDayText(localDateOf(at, place.zone))}{' '}
                      {clockText(at, place.zone, prefs.clock === '12')}
                      {flower.mark ? ` · mark ${flower.mark}` : ''}
                      {flower.lost ? ` · ${causeWords[flower.lost.cause]}` : ''}
                    </Txt>
                  </View>
                  <Badge text={fateText(what, found)} tone={fateTone[what]} />
                </Pressable>
              );
            })}
            {listed.length === 0 ? <Txt tone="muted">None of these.</Txt> : null}
            {listed.length > shown ? (
              <Button
                title={`Show ${Math.min(PAGE, listed.length - shown)} more of ${listed.length}`}
                onPress={() => setShown(shown + PAGE)}
              />
            ) : null}
          </Card>
          <GroupsCard />
        </>
      }
    >
      <Card>
        <Txt size="heading">Set and drop</Txt>
        <SetStats count={all} />
        <SetChart rows={[{ name: 'whole patch', count: all }, ...rows]} />
        <Row>
          <Button title={byPlant ? 'By variety' : 'By plant'} small onPress={() => setByPlant(!byPlant)} />
        </Row>
        <Txt size="label" tone="muted">
          A trial is a worked flower with a verdict. Those still waiting, and those nobody looked at in time,
          count as neither. A fruit that set and was lost later did set. The line is the 95 % range of what
          the share may truly be: few trials, long line.
        </Txt>
      </Card>
      {causes.length > 0 ? (
        <Card>
          <Txt size="heading">Why they were lost</Txt>
          {causes.map(([cause, count]) => (
            <View key={cause} style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}>
              <Txt style={{ width: 150 }}>{causeWords[cause]}</Txt>
              <View style={{ flex: 1, height: 14, backgroundColor: colours.rule, borderRadius: 3 }}>
                <View
                  style={{
                    width: `${(100 * count) / (causes[0]?.[1] ?? 1)}%`,
                    height: 14,
                    backgroundColor: colours.brick,
                    borderRadius: 3,
                  }}
                />
              </View>
              <Txt style={{ width: 30, textAlign: 'right' }}>{count}</Txt>
            </View>
          ))}
        </Card>
      ) : null}
    </Page>
  );
}

export default gated(Fruit);
