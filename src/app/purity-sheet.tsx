import { useMemo, useRef } from 'react';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { purityHtml } from '@core/formats';
import { chainTable } from '@core/purity';
import { dayText } from '@core/time';
import { useYearPurity } from '@/data/study/study';
import { useGarden } from '@/data/garden/garden';
import { PaperView } from '@/ui/card/PaperView';
import { Button } from '@/ui/controls';
import { gated } from '@/ui/Gate';
import { NotHere } from '@/ui/NotHere';
import { Page } from '@/ui/Page';
import { fruitName, gradeText, gradeWords, linkNames, rangeWords, shareWords } from '@/ui/purity/words';
import { Txt } from '@/ui/theme';
import { plural } from '@/ui/words';

/** The proof of a variety's fruits on paper, to keep with the seed. */
function PuritySheetPage() {
  const { variety, year } = useLocalSearchParams<{ variety: string; year?: string }>();
  const { state, today, patch, place, prefs } = useGarden();
  const router = useRouter();
  const frame = useRef<HTMLIFrameElement | null>(null);
  const answer = useYearPurity(year ?? null);
  const report = answer?.varieties.find((each) => each.variety === variety);
  const paper = prefs.units === 'us' ? 'Letter' : 'A4';
  const html = useMemo(() => {
    if (!report) return '';
    const { name, grade, share, mothers, fathers, fruits } = report;
    const table = chainTable(fruits);
    return purityHtml(
      {
        variety: name,
        over: `${patch?.name ?? place.name} · worked in ${answer?.year ?? ''} · printed on ${dayText(today)} ${today.slice(0, 4)}`,
        summary: [
          `${plural(fruits.length, 'fruit')} of ${plural(mothers, 'mother')} and ${plural(fathers, 'father')}. Together ${gradeWords[grade]}: as good as the weakest of them.`,
          shareWords(share),
        ],
        links: table.links.map((link) => linkNames[link]),
        fruits: fruits.map((fruit, i) => {
          const { mark, place: where } = fruitName(state, fruit.flower);
          return {
            mark: mark ?? 'no mark',
            place: where,
            grade: gradeText(fruit),
            states: table.rows[i] ?? [],
            foreign: rangeWords(fruit.foreignShare),
          };
        }),
      },
      paper,
    );
  }, [report, answer, state, today, patch, place, paper]);
  const back = () => router.navigate('/purity');
  if (answer && !report) return <NotHere title="No fruits to print" back="Purity" onBack={back} />;
  return (
    <Page
      title="Purity on paper"
      over={report?.name ?? ''}
      corner={<Button title="Back" look="quiet" small onPress={back} />}
      foot={<Button title="Print it" look="main" onPress={() => frame.current?.contentWindow?.print()} />}
    >
      {report ? (
        <PaperView html={html} paper={paper} frame={frame} what="proof" />
      ) : (
        <Txt role="status">Adding up …</Txt>
      )}
    </Page>
  );
}

export default gated(PuritySheetPage);
