import { useMemo, useState } from 'react';
import { Pressable, View } from 'react-native';
import { useRouter } from 'expo-router';
import { fateOf, type Fate } from '@core/fruitset';
import type { Flower } from '@core/ledger';
import { growing, plantName } from '@core/patch';
import { clockText, localDateOf, shortDayText } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { Badge, Button, Card, Tile, Tiles } from '../controls';
import { flowerAppearance } from '../drawings/appearance';
import { FlowerDrawing } from '../drawings/FlowerDrawing';
import { Txt, useColours } from '../theme';
import { causeWords, fateText, fateWords, flowerPlace } from '../words';

const FATES: readonly (Fate | 'all')[] = ['all', 'waiting', 'not-looked-at', 'set', 'dropped', 'lost-later'];
const PAGE = 12;
const fateTone: Record<Fate, 'pollen' | 'leaf' | 'brick'> = {
  waiting: 'pollen',
  'not-looked-at': 'pollen',
  set: 'leaf',
  dropped: 'brick',
  'lost-later': 'brick',
};

/** The flowers worked one by one, the latest first, by what became of them; a tap opens the plant. */
export function WorkedList({ flowers, notLookedAt }: { flowers: readonly string[]; notLookedAt: number }) {
  const { state, place, today } = useGarden();
  const [fate, setFate] = useState<Fate | 'all'>('all');
  const [shown, setShown] = useState(PAGE);
  const listed = useMemo(() => {
    const found = flowers.flatMap((id) => state.flowers.get(id as Flower['id']) ?? []);
    if (fate === 'all') return found;
    return found.filter((flower) => {
      const at = growing(state, flower.plant);
      return at !== null && fateOf(flower, at.crop, place.zone, today) === fate;
    });
  }, [flowers, fate, state, place.zone, today]);
  return (
    <Card>
      <Tiles question="Worked one by one">
        {FATES.filter((each) => each !== 'not-looked-at' || each === fate || notLookedAt > 0).map((each) => (
          <Tile
            key={each}
            title={each === 'all' ? 'all' : fateWords[each]}
            chosen={fate === each}
            onPress={() => setFate(each)}
            minWidth={70}
          />
        ))}
      </Tiles>
      {listed.slice(0, shown).map((flower) => (
        <WorkedRow key={flower.id} flower={flower} />
      ))}
      {listed.length === 0 ? <Txt tone="muted">None of these.</Txt> : null}
      {listed.length > shown ? (
        <Button
          title={`Show ${Math.min(PAGE, listed.length - shown)} more of ${listed.length}`}
          onPress={() => setShown(shown + PAGE)}
        />
      ) : null}
    </Card>
  );
}

function WorkedRow({ flower }: { flower: Flower }) {
  const { state, place, today, prefs } = useGarden();
  const router = useRouter();
  const colours = useColours();
  const found = growing(state, flower.plant);
  const fate = found && fateOf(flower, found.crop, place.zone, today);
  if (!found || !fate) return null;
  const at = Date.parse(flower.pollinations[0]?.at ?? flower.left?.at ?? '');
  return (
    <Pressable
      role="link"
      aria-label={`${plantName(found)}, ${flowerPlace(flower)}: ${fateText(fate, found)}`}
      onPress={() =>
        router.navigate({ pathname: '/plant/[id]', params: { id: found.plant.id, flower: flower.id } })
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
          {shortDayText(localDateOf(at, place.zone))} {clockText(at, place.zone, prefs.clock === '12')}
          {flower.mark ? ` · mark ${flower.mark}` : ''}
          {flower.pollinations.length === 0 ? ' · left to insects' : ''}
          {flower.lost ? ` · ${causeWords[flower.lost.cause]}` : ''}
        </Txt>
      </View>
      <Badge text={fateText(fate, found)} tone={fateTone[fate]} />
    </Pressable>
  );
}
