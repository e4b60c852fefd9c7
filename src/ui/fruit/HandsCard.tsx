import { useState } from 'react';
import { handsAnswer, type Study } from '@core/study';
import { localDateOf, shortDayText } from '@core/time';
import { piece, usePiece } from '@/data/device/pieces';
import { useGarden } from '@/data/garden/garden';
import { SetChart } from '../charts/SetChart';
import { Button, Card, Row } from '../controls';
import { Txt } from '../theme';
import { plural } from '../words';
import { PairNotice } from './PairNotice';
import { groupName } from './studyWords';

const answerWords = {
  keep: 'Keep on: your hands bring fruit that the insects don’t.',
  stop: 'For the kitchen you may stop: the insects do as well, give or take ten flowers of a hundred. Seed still needs its covers.',
  unsettled: 'Not settled yet. Keep on, and go on leaving some.',
} as const;

/** Whether hands bring anything: what was worked, beside what was left to insects and what fell before there was any hand work. */
export function HandsCard({ study: { hands } }: { study: Study }) {
  const { state } = useGarden();
  const [sheet, setSheet] = useState<'leave' | 'bees' | null>(null);
  const rows = hands.shares.map((share) => ({
    ...share,
    shrunken: null,
    name: groupName(state, 'hands', share.id),
  }));
  const insects = hands.pairs.find(({ b }) => b.id === 'insects');
  return (
    <Card>
      <Txt size="heading">Do the hands help?</Txt>
      {rows.length > 1 ? (
        <>
          {insects ? <Txt>{answerWords[handsAnswer(insects)]}</Txt> : null}
          <SetChart rows={rows} />
          {hands.pairs.map((pair) => (
            <PairNotice key={pair.b.id} pair={pair} grouping="hands" />
          ))}
        </>
      ) : (
        <Txt tone="muted">
          To know, leave some flowers to the insects and follow them, too: the same plants, the same days. Or
          count what set before you began.
        </Txt>
      )}
      <LatestBees />
      <Row>
        <Button title="Leave some to insects" small onPress={() => setSheet('leave')} />
        <Button title="Count bees" small onPress={() => setSheet('bees')} />
      </Row>
      {sheet === 'leave' ? <Leaving onClose={() => setSheet(null)} /> : null}
      {sheet === 'bees' ? <Bees onClose={() => setSheet(null)} /> : null}
    </Card>
  );
}

const beesSheet = piece(() => import('./BeesSheet'));
const leavingSheet = piece(() => import('./LeavingSheet'));

/** A few times a season, so fetched when they are asked for. */
function Bees({ onClose }: { onClose: () => void }) {
  const { BeesSheet } = usePiece(beesSheet) ?? {};
  return BeesSheet ? <BeesSheet onClose={onClose} /> : null;
}

function Leaving({ onClose }: { onClose: () => void }) {
  const { LeavingSheet } = usePiece(leavingSheet) ?? {};
  return LeavingSheet ? <LeavingSheet onClose={onClose} /> : null;
}

const SHOWN = 3;

/** The last counts of bees. */
function LatestBees() {
  const { state, place } = useGarden();
  const counts = [...state.stands.values()]
    .flatMap((stand) =>
      stand.bees.map((count) => ({ ...count, name: state.varieties.get(stand.variety)?.name })),
    )
    .sort((a, b) => (a.at < b.at ? 1 : -1))
    .slice(0, SHOWN);
  return counts.map(({ event, at, name, visits, seconds }) => (
    <Txt key={event} size="label">
      {`${shortDayText(localDateOf(Date.parse(at), place.zone))}, ${name}: ${plural(visits, 'visit')} in ${seconds} seconds`}
    </Txt>
  ));
}
