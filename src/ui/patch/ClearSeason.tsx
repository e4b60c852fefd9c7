import { useState } from 'react';
import type { LastSeason } from '@core/goals';
import { useRecording } from '@/data/garden/useRecording';
import { Button, Card, Notice, Sheet } from '../controls';
import { Txt } from '../theme';
import { plural } from '../words';

/** One entry a plant, all kept by one tap and taken back by one. */
const cleared = ({ past }: LastSeason) =>
  past.flatMap(({ plants }) => plants.map((plant) => ({ kind: 'plantRemoved' as const, plant })));

/** What has had its season, and the way to clear it: shown first, kept by one tap, taken back by one. */
export function ClearSeason({ season }: { season: LastSeason }) {
  const { busy, problem, save } = useRecording();
  const [open, setOpen] = useState(false);
  const { past, plants, withSeed } = season;
  return (
    <Card style={{ gap: 6 }}>
      <Txt size="strong">{plural(plants, 'plant has', 'plants have')} had their season</Txt>
      <Txt size="label" tone="muted">
        They stand here till you clear them; all that was written of them is kept.
      </Txt>
      <Button title="Clear last season" small onPress={() => setOpen(true)} />
      <Sheet open={open} onClose={() => setOpen(false)} title="Clear last season">
        <Txt>These are noted as taken out today. One Undo brings them all back.</Txt>
        {past.map(({ stand, variety, bed, plants: here }) => (
          <Txt key={stand.id}>{`${variety.name}, ${bed.name}: ${plural(here.length, 'plant')}`}</Txt>
        ))}
        {withSeed > 0 ? (
          <Notice
            tone="leaf"
            text={`${plural(withSeed, 'plant stays', 'plants stay')}: seed fruit is still on ${withSeed === 1 ? 'it' : 'them'}.`}
          />
        ) : null}
        <Txt size="label" tone="muted">
          What stands for years, as strawberries do, stays as well.
        </Txt>
        {problem ? <Notice tone="brick" text={problem} /> : null}
        <Button
          title={`Clear ${plural(plants, 'plant')}`}
          look="main"
          busy={busy}
          onPress={() => void save(...cleared(season)).then((kept) => kept && setOpen(false))}
        />
      </Sheet>
    </Card>
  );
}
