import { useState } from 'react';
import { clockDoubt } from '@core/bloom';
import { CLOCK_NOTES, type ClockNote } from '@core/ledger';
import type { StandId } from '@core/ids';
import { walkOrder } from '@core/patch';
import { useGarden } from '@/data/garden/garden';
import { useRecording } from '@/data/garden/useRecording';
import { useWeather } from '@/data/weather/weather';
import { BESIDE, Row, Button, Card, Notice, Sheet, Tile, Tiles } from '../controls';
import { Txt } from '../theme';

const noteWords: Record<ClockNote, { title: string; note: string }> = {
  opened: { title: 'Just opened', note: 'its flowers' },
  shut: { title: 'Have shut', note: 'its flowers' },
  insects: { title: 'Insects are here', note: 'first bee seen' },
};

function offWords(offMin: number): string {
  const hours = Math.round(Math.abs(offMin) / 60);
  return `That is about ${hours} hours ${offMin > 0 ? 'later' : 'sooner'} than usual here. If you saw it just now, keep it: the times of the next days learn from it.`;
}

/** A note of the moment: what opened, shut or flew just now. The windows of the next days learn from it. */
export function SeenNow({ spreadMin }: { spreadMin: number }) {
  const { state, place, now } = useGarden();
  const { save, problem } = useRecording();
  const { weatherOf } = useWeather();
  const [doubt, setDoubt] = useState<{ readonly what: ClockNote; readonly words: string } | null>(null);
  const [asking, setAsking] = useState(false);
  const [stand, setStand] = useState<StandId | null>(null);
  const stands = [
    ...new Map(
      walkOrder(state).map(({ stand: each, variety, crop }) => [each.id, { stand: each, variety, crop }]),
    ).values(),
  ];
  if (stands.length === 0) return null;
  const about = stand ?? stands[0]?.stand.id ?? null;
  const note = async (what: ClockNote, certain = false) => {
    const seen = stands.find((each) => each.stand.id === about);
    if (!seen) return;
    const offMin = certain ? null : clockDoubt(state, place, seen.crop, what, now, weatherOf);
    if (offMin !== null) return setDoubt({ what, words: offWords(offMin) });
    if (!(await save({ kind: 'clockNoted', stand: seen.stand.id, what }))) return;
    setDoubt(null);
    setAsking(false);
  };
  return (
    <>
      <Card style={{ paddingVertical: 8 }}>
        <Row>
          <Txt size="label" tone="muted" style={BESIDE}>
            Opening and shutting are known to about {spreadMin} minutes. Notes make it closer.
          </Txt>
          <Button
            title="Seen now"
            small
            label="Note what opened, shut or flew just now"
            onPress={() => setAsking(true)}
          />
        </Row>
      </Card>
      <Sheet open={asking} onClose={() => setAsking(false)} title="Seen now">
        <Tiles question="Where">
          {stands.map(({ stand: each, variety }) => (
            <Tile
              key={each.id}
              title={variety.name}
              small
              chosen={about === each.id}
              onPress={() => setStand(each.id)}
              minWidth={100}
            />
          ))}
        </Tiles>
        {doubt ? (
          <Notice tone="pollen" title={`${noteWords[doubt.what].title}: is that so?`} text={doubt.words}>
            <Button title="Yes, just now" small onPress={() => void note(doubt.what, true)} />
            <Button title="No" small onPress={() => setDoubt(null)} />
          </Notice>
        ) : null}
        {problem ? <Notice tone="brick" title="Not recorded" text={problem} /> : null}
        <Tiles question="What">
          {CLOCK_NOTES.map((what) => (
            <Tile
              key={what}
              title={noteWords[what].title}
              note={noteWords[what].note}
              chosen={false}
              onPress={() => void note(what)}
              minWidth={96}
            />
          ))}
        </Tiles>
      </Sheet>
    </>
  );
}
