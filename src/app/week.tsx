import { useMemo, useRef } from 'react';
import { useRouter } from 'expo-router';
import { weekHtml } from '@core/formats';
import { dayText, shortDayText } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { useWeek } from '@/data/study/study';
import { PaperView } from '@/ui/card/PaperView';
import { Button } from '@/ui/controls';
import { gated } from '@/ui/Gate';
import { Page } from '@/ui/Page';
import { Txt } from '@/ui/theme';
import { causeWords } from '@/ui/words';

/** The week on one sheet, to print. */
function WeekPage() {
  const { state, place, patch } = useGarden();
  const router = useRouter();
  const frame = useRef<HTMLIFrameElement | null>(null);
  const week = useWeek();
  const html = useMemo(() => {
    if (!week) return null;
    return weekHtml({
      patch: patch?.name ?? place.name,
      days: `${shortDayText(week.from)} to ${dayText(week.to)}`,
      counts: [
        [week.worked, 'flowers worked'],
        [week.harvested, 'fruits harvested'],
        [[...week.lost.values()].reduce((sum, count) => sum + count, 0), 'lost'],
        [week.missed, 'shut and not worked'],
      ],
      varieties: week.varieties.map(({ id, worked, set, dropped, waiting }) => [
        state.varieties.get(id as never)?.name ?? '',
        ...[worked, set, dropped, waiting].map(String),
      ]),
      lost: [...week.lost]
        .sort((a, b) => b[1] - a[1])
        .map(([cause, count]) => [causeWords[cause], String(count)]),
      ahead: week.ahead.map(({ date, looks }) => [dayText(date), String(looks)]),
    });
  }, [week, state, place, patch]);
  return (
    <Page
      title="The week"
      over="On one sheet, for the shed"
      corner={<Button title="Back" look="quiet" small onPress={() => router.replace('/fruit')} />}
      foot={
        <Button title="Print the week" look="main" onPress={() => frame.current?.contentWindow?.print()} />
      }
    >
      {html === null ? (
        <Txt role="status">Adding up …</Txt>
      ) : (
        <PaperView html={html} paper="A4" frame={frame} what="week" />
      )}
    </Page>
  );
}

export default gated(WeekPage);
