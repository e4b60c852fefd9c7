import { useMemo } from 'react';
import { View } from 'react-native';
import { useLocalSearchParams, useRouter } from 'expo-router';
import type { PlantId } from '@core/ids';
import { kinshipAmong, lineageOf, offspringLots, treeOf, treeOfLot, type TreePlace } from '@core/lineage';
import { lotName } from '@core/patch';
import { useGarden } from '@/data/garden/garden';
import { Button, Card, Notice } from '@/ui/controls';
import { gated } from '@/ui/Gate';
import { NotHere } from '@/ui/NotHere';
import { Page } from '@/ui/Page';
import { FamilyTree, relation, usePlaceWords } from '@/ui/seed/FamilyTree';
import { fromWords, generationText, lineageOddityText, percentText } from '@/ui/seed/words';
import { Txt, useIsWide } from '@/ui/theme';
import { listText, plantText, plural } from '@/ui/words';

/** The forebears of a plant, or of the seed of a lot, and what came of it. */
function LineagePage() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const { state } = useGarden();
  const router = useRouter();
  const wide = useIsWide();
  const generations = wide ? 3 : 2;
  const plant = state.plants.get(id);
  const lot = state.lots.get(id);
  const root = useMemo(
    () => (lot ? treeOfLot(state, lot, generations) : plant ? treeOf(state, id, generations) : null),
    [state, lot, plant, id, generations],
  );
  if (!root) return <NotHere title="Not on record" back="Seed" onBack={() => router.replace('/seed')} />;
  const title = lot ? lotName(lot, state) : plantText(state, id);
  const go = (to: string) => router.push({ pathname: '/lineage/[id]', params: { id: to } });
  const open = ({ plants, lot: from }: TreePlace) => {
    const [only] = plants;
    if (plants.length === 1 && only !== undefined && only !== id) go(only);
    else if (plants.length > 1 && root.lot !== null && root.lot !== id) go(root.lot);
    else if (from !== null && from !== id) router.push({ pathname: '/lot/[id]', params: { id: from } });
  };
  return (
    <Page
      title={title}
      over={lot ? 'The parents of its seed, and theirs' : 'Its forebears, and what came of it'}
      corner={<Button title="Seed" look="quiet" small onPress={() => router.navigate('/seed')} />}
      side={<TextForm root={root} />}
      foot={
        plant ? (
          <Button
            title="The plant"
            onPress={() => router.navigate({ pathname: '/plant/[id]', params: { id } })}
          />
        ) : (
          <Button
            title="The lot"
            onPress={() => router.navigate({ pathname: '/lot/[id]', params: { id } })}
          />
        )
      }
    >
      {root.oddities.map((what) => (
        <Notice key={what} tone="brick" text={lineageOddityText[what]} />
      ))}
      <Card>
        <FamilyTree root={root} generations={generations} onOpen={open} />
        <Txt size="label" tone="muted">
          Mothers stand left of fathers. A place opens its own tree; with the arrow keys you go from one to
          the next.
        </Txt>
      </Card>
      {plant ? (
        <AboutPlant
          plant={id}
          root={root}
          onLot={(to) => router.push({ pathname: '/lot/[id]', params: { id: to } })}
        />
      ) : null}
    </Page>
  );
}

/** How inbred it is, what it is, and the lots that came of it. */
function AboutPlant({
  plant,
  root,
  onLot,
}: {
  plant: PlantId;
  root: TreePlace;
  onLot: (lot: string) => void;
}) {
  const { state } = useGarden();
  const inbred = useMemo(() => {
    const lineage = lineageOf(state);
    return 2 * kinshipAmong(lineage, [plant])(plant, plant) - 1;
  }, [state, plant]);
  const offspring = useMemo(() => offspringLots(state, plant), [state, plant]);
  const { self } = lineageOf(state);
  const seed = root.lot === null ? undefined : state.lots.get(root.lot);
  const clones = [...state.plants.values()].filter(({ id }) => id !== plant && self(id) === plant);
  return (
    <Card>
      <Txt size="heading">About it</Txt>
      {root.generation ? <Txt>{`It is ${generationText(state, root.generation)}.`}</Txt> : null}
      {self(plant) === plant ? null : (
        <Txt>{`A runner, tuber or cutting of ${plantText(state, self(plant))}: one and the same plant.`}</Txt>
      )}
      {seed ? <Txt>{`Sown from ${lotName(seed, state)}, ${fromWords[seed.from]}.`}</Txt> : null}
      <Txt>
        {root.parents === null
          ? 'Its parents are not on record: it counts as akin to nobody.'
          : `Inbred by ${percentText(inbred)}, as far as its forebears are known.`}
      </Txt>
      {clones.length > 0 ? (
        <Txt>
          {`Runners, tubers or cuttings of it: ${listText(clones.map(({ id }) => plantText(state, id)))}. They and it are one parent.`}
        </Txt>
      ) : null}
      {offspring.map(({ lot, asMother, asFather, sown }) => {
        const from = state.lots.get(lot);
        if (!from) return null;
        const parts = [
          ...(asMother > 0 ? [`mother of ${plural(asMother, 'fruit', 'fruits')}`] : []),
          ...(asFather > 0 ? [`father of ${plural(asFather, 'fruit', 'fruits')}`] : []),
        ];
        return (
          <View key={lot} style={{ gap: 4 }}>
            <Txt>{`${lotName(from, state)}: ${listText(parts)}; ${sown.length === 0 ? 'nothing sown from it yet' : `${plural(sown.length, 'plant')} sown from it`}.`}</Txt>
            <Button title={`Open ${lotName(from, state)}`} small onPress={() => onLot(lot)} />
          </View>
        );
      })}
      {offspring.length === 0 ? <Txt tone="muted">No lot came of it yet.</Txt> : null}
    </Card>
  );
}

/** The tree in words: all that the drawing shows, and the names of those of which it is one. */
function TextForm({ root }: { root: TreePlace }) {
  const { state } = useGarden();
  const words = usePlaceWords();
  const lines: { readonly at: string; readonly text: string }[] = [];
  const walk = (place: TreePlace, at: string) => {
    if (at !== '') {
      const { title, note } = words(place);
      const all =
        place.plants.length > 1 ? `: ${listText(place.plants.map((each) => plantText(state, each)))}` : '';
      lines.push({
        at,
        text: `${relation(at)}: ${title}${all}${note && all === '' ? `, ${note}` : ''}${place.oddities.map((what) => `. ${lineageOddityText[what]}`).join('')}`,
      });
    }
    if (!place.parents) return;
    if (place.parents.selfed)
      lines.push({ at: `${at}s`, text: `${at === '' ? 'It' : relation(at)} came of selfing` });
    walk(place.parents.mother, `${at}m`);
    walk(place.parents.father, `${at}f`);
  };
  walk(root, '');
  return (
    <Card>
      <Txt size="heading">In words</Txt>
      {lines.length === 0 ? <Txt>Nothing is on record before it.</Txt> : null}
      {lines.map(({ at, text }) => (
        <Txt key={at} style={{ paddingLeft: 12 * (at.length - 1) }}>
          {text.charAt(0).toUpperCase() + text.slice(1)}
        </Txt>
      ))}
    </Card>
  );
}

export default gated(LineagePage);
