import { useMemo, useState } from 'react';
import { Pressable } from 'react-native';
import { fateOf, type Fate } from '@core/fruitset';
import type { Flower } from '@core/ledger';
import { growing } from '@core/patch';
import { clockText, localDateOf, shortDayText } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { Badge, Button, Card, Tile, Tiles } from '../controls';
import { FlowerRow } from '../FlowerRow';
import { LongList } from '../LongList';
import { Txt } from '../theme';
import { causeWords, fateText, fateWords, flowerText } from '../words';

const FATES: readonly (Fate | 'all')[] = ['all', 'waiting', 'not-looked-at', 'set', 'dropped', 'lost-later'];
const FIRST = 12;
const fateTone: Record<Fate, 'pollen' | 'leaf' | 'brick'> = {
  waiting: 'pollen',
  'not-looked-at': 'pollen',
  set: 'leaf',
  dropped: 'brick',
  'lost-later': 'brick',
};

/** The flowers worked one by one, the latest first, by what became of them; a tap opens the plant. */
export function WorkedList({
  flowers,
  notLookedAt,
  onOpen,
}: {
  flowers: readonly string[];
  notLookedAt: number;
  onOpen: (flower: Flower) => void;
}) {
  const { state, place, today } = useGarden();
  const [fate, setFate] = useState<Fate | 'all'>('all');
  const [all, setAll] = useState(false);
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
      <LongList
        items={all ? listed : listed.slice(0, FIRST)}
        keyOf={({ id }) => id}
        row={(flower) => <WorkedRow flower={flower} onOpen={onOpen} />}
        about={74}
      />
      {listed.length === 0 ? <Txt tone="muted">None of these.</Txt> : null}
      {listed.length > FIRST ? (
        <Button
          title={all ? `Show the latest ${FIRST} alone` : `Show all ${listed.length}`}
          onPress={() => setAll(!all)}
        />
      ) : null}
    </Card>
  );
}

function WorkedRow({ flower, onOpen }: { flower: Flower; onOpen: (flower: Flower) => void }) {
  const { state, place, today, prefs } = useGarden();
  const found = growing(state, flower.plant);
  const fate = found && fateOf(flower, found.crop, place.zone, today);
  if (!found || !fate) return null;
  const at = Date.parse(flower.pollinations[0]?.at ?? flower.left?.at ?? '');
  return (
    <Pressable
      role="link"
      aria-label={`${flowerText(found, flower)}: ${fateText(fate, found)}`}
      onPress={() => onOpen(flower)}
    >
      <FlowerRow
        flower={flower}
        growing={found}
        note={[
          `${shortDayText(localDateOf(at, place.zone))} ${clockText(at, place.zone, prefs.clock === '12')}`,
          flower.mark ? `mark ${flower.mark}` : null,
          flower.pollinations.length === 0 ? 'left to insects' : null,
          flower.lost ? causeWords[flower.lost.cause] : null,
        ]
          .filter(Boolean)
          .join(' · ')}
      >
        <Badge text={fateText(fate, found)} tone={fateTone[fate]} />
      </FlowerRow>
    </Pressable>
  );
}
