import type { FateOnDay, SurvivalStep } from '@core/fruitset';
import type { Study } from '@core/study';
import { DropChart } from '../charts/DropChart';
import { FateChart } from '../charts/FateChart';
import { levelOn, levels } from '../charts/levels';
import { NumbersTable, type NumbersColumn } from '../charts/NumbersTable';
import { Card } from '../controls';
import { Txt } from '../theme';
import { dropWords, endWords, percent } from './studyWords';

interface DayRow {
  readonly day: number;
  readonly hanging: number;
  readonly latest: number;
  readonly earliest: number;
  readonly low: number | null;
  readonly high: number | null;
}

const SHARES = (name: string, of: (row: DayRow) => number | null): NumbersColumn<DayRow> => ({
  name,
  of,
  text: (row) => {
    const share = of(row);
    return share === null ? '–' : percent(share);
  },
});

const COLUMNS: readonly NumbersColumn<DayRow>[] = [
  { name: 'Day', of: ({ day }) => day },
  { name: 'Followed', of: ({ hanging }) => hanging },
  SHARES('At the look', ({ latest }) => latest),
  SHARES('Look before', ({ earliest }) => earliest),
  {
    name: '95 %',
    of: ({ low }) => low,
    text: ({ low, high }) =>
      low === null || high === null ? '–' : `${Math.round(low * 100)}–${Math.round(high * 100)}`,
  },
];

function dayRows({ curve }: Study): DayRow[] {
  const earliest = levels(curve.earliest, Infinity);
  return curve.latest.map(({ time, atRisk, survival, low, high }: SurvivalStep) => ({
    day: time,
    hanging: atRisk,
    latest: survival,
    earliest: levelOn(earliest, time),
    low,
    high,
  }));
}

/** When fruits drop. */
export function DropCard({ study }: { study: Study }) {
  const words = dropWords(study);
  if (study.curve.followed === 0)
    return (
      <Card>
        <Txt size="heading">When they drop</Txt>
        <Txt tone="muted">{words}</Txt>
      </Card>
    );
  return (
    <Card>
      <Txt size="heading">When they drop</Txt>
      <Txt>{words}</Txt>
      <DropChart curve={study.curve} atRisk={study.atRisk} summary={words} />
      <Txt size="label" tone="muted">
        Days after the pollination; below them, how many were still followed. A drop falls between two looks:
        the broad line has it on the look that found it, the broken one right after the look before. The pale
        ground is the 95 % range.
      </Txt>
      <NumbersTable of="still hanging by the day" columns={COLUMNS} rows={dayRows(study)} />
    </Card>
  );
}

const FATE_COLUMNS: readonly NumbersColumn<FateOnDay>[] = [
  { name: 'Day', of: ({ day }) => day },
  { name: 'Hang', of: ({ remaining }) => remaining, text: ({ remaining }) => percent(remaining) },
  {
    name: 'Harvested',
    of: ({ byEnd }) => byEnd.harvested ?? 0,
    text: ({ byEnd }) => percent(byEnd.harvested ?? 0),
  },
  {
    name: 'No pollen',
    of: ({ byEnd }) => byEnd.pollen ?? 0,
    text: ({ byEnd }) => percent(byEnd.pollen ?? 0),
  },
  {
    name: 'Other',
    of: (fate) => otherDrops(fate),
    text: (fate) => percent(otherDrops(fate)),
  },
];

function otherDrops({ byEnd }: FateOnDay): number {
  return Object.entries(byEnd).reduce(
    (sum, [end, share]) => sum + (end === 'harvested' || end === 'pollen' ? 0 : share),
    0,
  );
}

/** What becomes of a fruit, day by day. */
export function FateCard({ study }: { study: Study }) {
  if (study.curve.followed === 0) return null;
  return (
    <Card>
      <Txt size="heading">What becomes of a fruit</Txt>
      <FateChart
        fates={study.fates}
        days={study.atRisk.map(({ day }) => day)}
        nameOf={(end) => (end === 'remaining' ? 'still hangs' : endWords[end])}
        countOf={(end) =>
          end === 'remaining' ? '' : `, ${study.ends.get(end) ?? 0} of ${study.curve.followed}`
        }
      />
      <Txt size="label" tone="muted">
        Shares are those of fruit followed to its end, day by day; beside them, how many came to it so far.
      </Txt>
      <NumbersTable of="what becomes of a fruit" columns={FATE_COLUMNS} rows={study.fates} />
    </Card>
  );
}
