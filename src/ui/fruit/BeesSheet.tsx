import { useEffect, useRef, useState } from 'react';
import { hasRounds, cropOf } from '@core/crops';
import type { StandId } from '@core/ids';
import { useGarden } from '@/data/garden/garden';
import { Button, Sheet, Tile, Tiles } from '../controls';
import { Txt } from '../theme';
import { plural } from '../words';

const SECONDS = 60;

/** Visits of insects at the flowers of a stand, tapped for a minute. Stopped early, it is kept with the seconds it took. */
export function BeesSheet({ onClose }: { onClose: () => void }) {
  const { state, record } = useGarden();
  const stands = [...state.stands.values()].flatMap((stand) => {
    const variety = state.varieties.get(stand.variety);
    return variety && hasRounds(cropOf(variety.crop)) ? [{ id: stand.id, name: variety.name }] : [];
  });
  const [stand, setStand] = useState<StandId | undefined>(stands.length === 1 ? stands[0]?.id : undefined);
  const [visits, setVisits] = useState(0);
  const { gone, running, start, stop } = useMinute();
  const keep = async () => {
    if (stand) await record({ kind: 'beesCounted', stand, visits, seconds: Math.max(1, gone) });
    onClose();
  };
  return (
    <Sheet open title="Bees in a minute" onClose={onClose}>
      {stands.length > 1 ? (
        <Tiles question="At the flowers of">
          {stands.map(({ id, name }) => (
            <Tile key={id} title={name} small chosen={stand === id} onPress={() => setStand(id)} />
          ))}
        </Tiles>
      ) : null}
      <Txt>Stand where you see some ten open flowers. Tap each time an insect goes into one.</Txt>
      <Txt size="label" tone="muted">
        Allergic to stings: keep an arm’s length off, with your kit on you, or let somebody else count.
      </Txt>
      {gone === 0 && !running ? (
        <Button title="Start the minute" look="main" disabled={stand === undefined} onPress={start} />
      ) : running ? (
        <>
          <Button
            title={`${visits}`}
            label={`One more visit, ${visits} so far`}
            look="main"
            onPress={() => setVisits(visits + 1)}
          />
          <Txt role="timer" tone="muted">{`${SECONDS - gone} seconds left`}</Txt>
          <Button title="Stop here" small onPress={stop} />
        </>
      ) : (
        <>
          <Txt size="heading">{`${plural(visits, 'visit')} in ${gone} seconds`}</Txt>
          <Button title="Keep it" look="main" onPress={() => void keep()} />
        </>
      )}
    </Sheet>
  );
}

function useMinute() {
  const [gone, setGone] = useState(0);
  const [running, setRunning] = useState(false);
  const timer = useRef<ReturnType<typeof setInterval> | null>(null);
  const stop = () => {
    if (timer.current) clearInterval(timer.current);
    timer.current = null;
    setRunning(false);
  };
  useEffect(() => stop, []);
  const start = () => {
    setRunning(true);
    const from = performance.now();
    timer.current = setInterval(() => {
      const seconds = Math.floor((performance.now() - from) / 1000);
      setGone(Math.min(SECONDS, seconds));
      if (seconds >= SECONDS) stop();
    }, 250);
  };
  return { gone, running, start, stop };
}
