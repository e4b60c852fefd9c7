import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useRouter } from 'expo-router';
import { childrensFinds } from '@core/practice';
import { walkOrder } from '@core/patch';
import { useGarden } from '@/data/garden/garden';
import { Button, Card, Notice, Row } from '@/ui/controls';
import { FlowerDrawing } from '@/ui/drawings/FlowerDrawing';
import { gated } from '@/ui/Gate';
import { Page } from '@/ui/Page';
import { Txt, useIsWide } from '@/ui/theme';
import { plural } from '@/ui/words';

/** A walk on which children find things, count them and learn what they are. Nothing of it is written down. */
function ChildrensWalk() {
  const { state } = useGarden();
  const router = useRouter();
  const wide = useIsWide();
  const finds = useMemo(() => {
    const crops = new Map(walkOrder(state).map(({ crop }) => [crop.id, crop]));
    return childrensFinds([...crops.values()]);
  }, [state]);
  const [at, setAt] = useState(0);
  const [found, setFound] = useState<Readonly<Record<string, number>>>({});
  const find = finds[at];
  const count = find ? (found[find.key] ?? 0) : 0;
  const leave = () => router.replace('/practice');
  const back = <Button title="Leave" look="quiet" small label="Leave the children’s walk" onPress={leave} />;
  if (finds.length === 0)
    return (
      <Page title="A walk with children" corner={back}>
        <Txt>Nothing that flowers grows here yet. Add plants on the Patch first.</Txt>
      </Page>
    );
  if (!find)
    return (
      <Page
        title="All that was found"
        corner={back}
        foot={
          <>
            <Button
              title="Walk again"
              look="main"
              onPress={() => {
                setAt(0);
                setFound({});
              }}
            />
            <Button title="To the evening walk" onPress={() => router.replace('/walk')} />
          </>
        }
      >
        <Card>
          {finds.map(({ key, ask }) => (
            <Txt key={key}>{`${ask}: ${plural(found[key] ?? 0, 'time')}`}</Txt>
          ))}
        </Card>
        <Txt tone="muted">
          Nothing of this was written into the record. What matters for the plants goes in on the evening
          walk, by whoever looks after them.
        </Txt>
      </Page>
    );
  const { crop } = find;
  return (
    <Page
      title="A walk with children"
      over={`${at + 1} of ${finds.length} · ${crop.name}`}
      corner={back}
      foot={
        <>
          <Button
            title={count === 0 ? 'Found one!' : 'Another one!'}
            look="main"
            onPress={() => setFound({ ...found, [find.key]: count + 1 })}
          />
          <Row gap={8} style={{ flexWrap: 'nowrap' }}>
            <Button title="Back" disabled={at === 0} onPress={() => setAt(at - 1)} />
            <Button
              title={at === finds.length - 1 ? 'What did we find?' : 'The next one'}
              grow
              onPress={() => setAt(at + 1)}
            />
          </Row>
        </>
      }
    >
      <Card style={{ alignItems: 'center' }}>
        <FlowerDrawing
          crop={crop.id}
          sex={find.sex}
          appearance={find.appearance}
          shape={crop.usualShape}
          size={wide ? 220 : 190}
        />
        <Txt size="heading" style={{ textAlign: 'center' }}>
          {find.ask}
        </Txt>
        <View aria-live="polite">
          <Txt size="number">{count}</Txt>
        </View>
        {count > 0 ? <Txt style={{ textAlign: 'center' }}>{find.learned}</Txt> : null}
      </Card>
      {at === 0 ? (
        <Notice
          tone="pollen"
          text="Together with a grown-up. Bees and wasps sleep in flowers: look, and keep fingers out. Eat nothing without asking. No knives; wash hands afterwards."
        />
      ) : null}
    </Page>
  );
}

export default gated(ChildrensWalk);
