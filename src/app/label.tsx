import { useMemo, useRef } from 'react';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { isEdible } from '@core/crops';
import { labelHtml } from '@core/formats';
import { crossFather, growing, plantName } from '@core/patch';
import { dayText, localDateOf } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { PaperView } from '@/ui/card/PaperView';
import { Button } from '@/ui/controls';
import { gated } from '@/ui/Gate';
import { Page } from '@/ui/Page';
import { Txt } from '@/ui/theme';
import { parentsText } from '@/ui/words';

/** The label of one marked fruit, to print and tie on. */
function LabelPage() {
  const { flower: id } = useLocalSearchParams<{ flower?: string }>();
  const { state, place } = useGarden();
  const router = useRouter();
  const frame = useRef<HTMLIFrameElement | null>(null);
  const flower = id ? state.flowers.get(id) : undefined;
  const found = flower ? growing(state, flower.plant) : null;
  const html = useMemo(() => {
    if (!flower || !found || flower.mark === null) return null;
    const cross = crossFather(state, found) !== null;
    const worked = flower.pollinations[0];
    return labelHtml([
      {
        mark: flower.mark,
        parents: parentsText(state, found),
        what: `${found.crop.name}, ${cross ? 'cross (F1), mother × father' : 'for seed'}`,
        plant: plantName(found),
        date: dayText(localDateOf(Date.parse(worked?.at ?? flower.marking?.at ?? ''), place.zone)),
        by: worked?.by ?? flower.marking?.by ?? '',
        caution: isEdible(found.crop) ? null : found.crop.caution,
      },
    ]);
  }, [flower, found, state, place]);
  const back = () => (router.canGoBack() ? router.back() : router.replace('/fruit'));
  if (html === null)
    return (
      <Page title="No label" foot={<Button title="Go to Fruit" onPress={() => router.replace('/fruit')} />}>
        <Txt>A label belongs to a fruit with a mark on it.</Txt>
      </Page>
    );
  return (
    <Page
      title={`Label ${flower?.mark ?? ''}`}
      over="To tie on beside the mark"
      corner={<Button title="Back" look="quiet" small onPress={back} />}
      foot={
        <Button title="Print the label" look="main" onPress={() => frame.current?.contentWindow?.print()} />
      }
    >
      <PaperView html={html} paper="label" frame={frame} />
      <Txt size="label" tone="muted">
        Pencil and a plastic tag outlast printer ink in the wet: print for the jar, write on the tag.
      </Txt>
    </Page>
  );
}

export default gated(LabelPage);
