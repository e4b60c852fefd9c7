import { useMemo, useRef, useState } from 'react';
import { useRouter } from 'expo-router';
import { cardHtml, PAPERS, type Paper } from '@core/formats';
import { markAt, markIndexIn, rollOf } from '@core/purity';
import {
  cardDrafts,
  cardRows,
  nextRounds,
  pollinationRound,
  type CardRow,
  type PollinationRound,
} from '@core/rounds';
import { addDays, clockText, dayText } from '@core/time';
import { useDawnPlan } from '@/data/round/dawnPlan';
import { useGarden } from '@/data/garden/garden';
import { useWeather } from '@/data/weather/weather';
import { usePrinted } from '@/data/round/printed';
import { Card, Button, Notice, Tile, Tiles } from '@/ui/controls';
import { CardEntryForm } from '@/ui/card/CardEntryForm';
import { PaperView } from '@/ui/card/PaperView';
import { gated } from '@/ui/Gate';
import { Page } from '@/ui/Page';
import { ToToday } from '@/ui/ToToday';
import { Txt } from '@/ui/theme';
import { UndoLine } from '@/ui/UndoLine';
import { plural } from '@/ui/words';

const paperWords: Record<Paper, string> = { A4: 'A4 sheet', Letter: 'Letter sheet', strip: 'narrow strip' };

/** The round on paper, and the paper entered afterwards. */
function CardPage() {
  const { state, place, now, today, store } = useGarden();
  const { weatherOf } = useWeather();
  const router = useRouter();
  const [entering, setEntering] = useState(false);
  const round = useMemo(() => {
    const coming = nextRounds(state, place, now, weatherOf).find(
      (each): each is PollinationRound => each.kind !== 'walk',
    );
    // Past its window today's card can still be entered.
    return (
      coming ??
      pollinationRound(state, place, today, 'dawn', weatherOf) ??
      pollinationRound(state, place, addDays(today, -1), 'dawn', weatherOf)
    );
  }, [state, place, now, today, weatherOf]);
  const dawn = useDawnPlan(round);
  const rows = useMemo<CardRow[]>(() => {
    if (!round || !dawn?.plan) return [];
    const roll = rollOf(state, store.device);
    const first = markIndexIn(state, roll);
    const byId = new Map(round.toDo.map((stop) => [stop.flower.id as string, stop]));
    return cardRows(
      state,
      dawn.order.flatMap((id) => byId.get(id) ?? []),
      dawn.question.match,
      (row) => markAt(first + row, roll),
    );
  }, [state, round, dawn, store]);
  // Lines keep the numbers they were printed with, whatever was entered or planned since.
  const { printed, remember } = usePrinted(round ? `${round.kind}/${round.date}` : null, state);
  if (!round)
    return (
      <Page title="Round card" foot={<Button title="Back to Today" onPress={() => router.navigate('/')} />}>
        <Txt>No flower is shut for a round. Flowers are shut on the evening walk.</Txt>
      </Page>
    );
  return entering ? (
    <EnterCard round={round} rows={printed ?? rows} onBack={() => setEntering(false)} />
  ) : (
    <PrintCard round={round} rows={rows} onPrinted={() => remember(rows)} onEnter={() => setEntering(true)} />
  );
}

function PrintCard({
  round,
  rows,
  onPrinted,
  onEnter,
}: {
  round: PollinationRound;
  rows: readonly CardRow[];
  onPrinted: () => void;
  onEnter: () => void;
}) {
  const { place, patch, prefs } = useGarden();
  const [paper, setPaper] = useState<Paper>(prefs.units === 'us' ? 'Letter' : 'A4');
  const frame = useRef<HTMLIFrameElement | null>(null);
  const time = (at: number) => clockText(at, place.zone, prefs.clock === '12');
  const html = useMemo(
    () =>
      cardHtml(
        rows,
        {
          patch: patch?.name ?? place.name,
          title: `${round.kind === 'dawn' ? 'Dawn' : 'Dusk'} round, ${dayText(round.date)}`,
          startBy: clockText(round.startBy, place.zone, prefs.clock === '12'),
          end: clockText(round.end, place.zone, prefs.clock === '12'),
          people: plural(rows.length, 'flower'),
        },
        paper,
      ),
    [rows, patch, place, round, paper, prefs.clock],
  );
  return (
    <Page
      title="Round card"
      over={`${dayText(round.date)} · start by ${time(round.startBy)}`}
      corner={<ToToday />}
      foot={
        <>
          <Button
            title={`Print the card: ${plural(rows.length, 'line')}`}
            look="main"
            disabled={rows.length === 0}
            onPress={() => {
              onPrinted();
              frame.current?.contentWindow?.print();
            }}
          />
          <Button
            title="Enter a filled-in card"
            onPress={() => {
              onPrinted();
              onEnter();
            }}
          />
        </>
      }
    >
      <UndoLine />
      <Tiles question="Paper">
        {PAPERS.map((each) => (
          <Tile
            key={each}
            title={paperWords[each]}
            chosen={paper === each}
            onPress={() => setPaper(each)}
            minWidth={96}
          />
        ))}
      </Tiles>
      <PaperView html={html} paper={paper} frame={frame} />
      <Txt size="label" tone="muted">
        Printed in the order planned now. Fill it in with a pencil: it writes in the wet.
      </Txt>
    </Page>
  );
}

function EnterCard({
  round,
  rows,
  onBack,
}: {
  round: PollinationRound;
  rows: readonly CardRow[];
  onBack: () => void;
}) {
  const { record, now, space } = useGarden();
  const [told, setTold] = useState<string | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  return (
    <Page
      title="Enter the card"
      over={dayText(round.date)}
      corner={<Button title="Back" look="quiet" small onPress={onBack} />}
    >
      <UndoLine />
      {told ? <Notice tone="leaf" text={told} /> : null}
      {wrong ? <Notice tone="brick" text={wrong} /> : null}
      {rows.length === 0 ? (
        <Card>
          <Txt>Every flower of this round has its entry.</Txt>
        </Card>
      ) : (
        <CardEntryForm
          key={rows.map(({ line }) => line).join()}
          name={`${space}/${round.kind}/${round.date}`}
          rows={rows}
          onSave={async (entries) => {
            setWrong(null);
            const drafts = entries.flatMap(({ row, entry }) => {
              // It happened in the round, not at the table: a line after the other from its start, never in the future.
              const at = new Date(Math.min(now, round.startBy + row.line * 180_000)).toISOString();
              return cardDrafts(row, entry).map((draft) => ({ ...draft, at }));
            });
            try {
              await record(...drafts);
              setTold(`${plural(entries.length, 'line')} entered.`);
              return true;
            } catch (problem) {
              setWrong((problem as Error).message);
              return false;
            }
          }}
        />
      )}
    </Page>
  );
}

export default gated(CardPage);
