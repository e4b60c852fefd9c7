import { useMemo, useRef, useState } from 'react';
import { useRouter } from 'expo-router';
import { planHtml, type PlanSheet } from '@core/formats';
import { isolations } from '@core/isolation';
import { dayText } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { PaperView } from '@/ui/card/PaperView';
import { Button, Tile, Tiles } from '@/ui/controls';
import { compassOf, plantingName } from '@/ui/crossing/words';
import { gated } from '@/ui/Gate';
import { Page } from '@/ui/Page';
import { planScene } from '@/ui/plan/scene';
import { answerLine } from '@/ui/plan/words';
import { Txt } from '@/ui/theme';
import { distanceText, groundUnit } from '@/ui/words';

type SheetPaper = Parameters<typeof planHtml>[1];
const PAPERS: readonly SheetPaper[] = ['A4', 'Letter'];

/** The plan on paper, to scale, for the shed wall. */
function PlanSheetPage() {
  const { state, today, patch, place, prefs } = useGarden();
  const { units } = prefs;
  const router = useRouter();
  const frame = useRef<HTMLIFrameElement | null>(null);
  const [paper, setPaper] = useState<SheetPaper>(units === 'us' ? 'Letter' : 'A4');
  const html = useMemo(() => {
    const { beds, stands, obstacles, neighbours, unplaced } = planScene(state, today);
    const sheet: PlanSheet = {
      patch: patch?.name ?? place.name,
      date: `${dayText(today)} ${today.slice(0, 4)}`,
      beds: beds.map(({ bed, corners }) => ({ name: bed.name, corners })),
      stands,
      obstacles,
      unit: groundUnit(units),
      lines: [
        ...beds.map(
          ({ bed, shelter }) =>
            `${bed.name}: ${distanceText(bed.lengthM, units)} by ${distanceText(bed.widthM, units)}${shelter ? `, ${shelter}` : ''}`,
        ),
        ...neighbours.map(
          ({ neighbour, name }) =>
            `Next door: ${name}, ${distanceText(neighbour.distanceM, units)}${neighbour.bearingDeg === null ? '' : ` to the ${compassOf(neighbour.bearingDeg)}`}`,
        ),
        ...unplaced.map(
          ({ crop, variety, distanceM }) =>
            `Next door: ${plantingName(crop, variety)}, ${distanceText(distanceM, units)}`,
        ),
        ...isolations(state, today).map((each) => answerLine(each, units)),
      ],
    };
    return planHtml(sheet, paper);
  }, [state, today, patch, place, paper, units]);
  return (
    <Page
      title="Plan on paper"
      over="To scale, north at the top"
      corner={<Button title="Back" look="quiet" small onPress={() => router.navigate('/plan')} />}
      foot={
        <Button title="Print the plan" look="main" onPress={() => frame.current?.contentWindow?.print()} />
      }
    >
      <Tiles question="Paper">
        {PAPERS.map((each) => (
          <Tile
            key={each}
            title={`${each} sheet`}
            chosen={paper === each}
            onPress={() => setPaper(each)}
            minWidth={96}
          />
        ))}
      </Tiles>
      <PaperView html={html} paper={paper} frame={frame} what="plan" />
      <Txt size="label" tone="muted">
        What lies next door stands in words below it: drawn to this scale it would be off the sheet.
      </Txt>
    </Page>
  );
}

export default gated(PlanSheetPage);
