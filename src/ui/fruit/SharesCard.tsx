import { useMemo, useState } from 'react';
import type { Grouping, GroupShare, Study } from '@core/study';
import { useGarden } from '@/data/garden/garden';
import { NumbersTable, type NumbersColumn } from '../charts/NumbersTable';
import { SetChart } from '../charts/SetChart';
import { Button, Card, Tile, Tiles } from '../controls';
import { Txt } from '../theme';
import { PairNotice } from './PairNotice';
import { groupingWords, groupName, percent } from './studyWords';

const SHOWN = 10;

type Named = GroupShare & { readonly name: string };

const COLUMNS: readonly NumbersColumn<Named>[] = [
  { name: 'Group', of: ({ name }) => name, wide: 1.8 },
  {
    name: 'Set',
    of: ({ set, judged, share }) => share ?? set / Math.max(1, judged),
    text: ({ set, judged }) => `${set} of ${judged}`,
    wide: 1.3,
  },
  { name: 'Share', of: ({ share }) => share, text: ({ share }) => (share === null ? '–' : percent(share)) },
  {
    name: '95 %',
    of: ({ share, low }) => (share === null ? null : low),
    text: ({ share, low, high, oneOnly }) =>
      share === null || oneOnly ? '–' : `${Math.round(low * 100)}–${Math.round(high * 100)}`,
  },
  {
    name: 'Drawn in',
    of: ({ shrunken }) => shrunken,
    text: ({ shrunken }) => (shrunken === null ? '–' : percent(shrunken)),
  },
];

/** Which variety, plant, tool, father or hour sets best; two of them picked are compared in words. */
export function SharesCard({
  study,
  grouping,
  onGrouping,
  pair,
  onPair,
}: {
  study: Study;
  grouping: Exclude<Grouping, 'hands'>;
  onGrouping: (grouping: Exclude<Grouping, 'hands'>) => void;
  pair: readonly string[];
  onPair: (pair: readonly string[]) => void;
}) {
  const { state } = useGarden();
  const [all, setAll] = useState(false);
  const rows = useMemo(
    () => study.shares.map((share): Named => ({ ...share, name: groupName(state, grouping, share.id) })),
    [study.shares, state, grouping],
  );
  const shown = all ? rows : rows.slice(0, SHOWN);
  const pick = (id: string) =>
    onPair(pair.includes(id) ? pair.filter((each) => each !== id) : [...pair, id].slice(-2));
  return (
    <Card>
      <Txt size="heading">What sets best</Txt>
      <Tiles question="By">
        {(Object.keys(groupingWords) as (keyof typeof groupingWords)[]).map((each) => (
          <Tile
            key={each}
            title={groupingWords[each]}
            small
            minWidth={58}
            chosen={grouping === each}
            onPress={() => onGrouping(each)}
          />
        ))}
      </Tiles>
      {rows.length === 0 ? (
        <Txt tone="muted">Nobody wrote it down for these flowers.</Txt>
      ) : (
        <>
          <Txt size="label" tone="muted">
            {pair.length === 1 ? 'Tap another to compare the two.' : 'Tap two to compare them.'}
          </Txt>
          <SetChart rows={shown} picked={pair} onPick={pick} />
        </>
      )}
      {rows.length > SHOWN ? (
        <Button
          title={all ? 'Show fewer' : `Show all ${rows.length}`}
          look="quiet"
          small
          onPress={() => setAll(!all)}
        />
      ) : null}
      {study.pair ? <PairNotice pair={study.pair} grouping={grouping} /> : null}
      <Txt size="label" tone="muted">
        {grouping === 'plant'
          ? 'The line is the 95 % range of that plant alone.'
          : 'The line is the 95 % range with the plant as the unit: few plants, long line.'}{' '}
        {rows.some(({ oneOnly }) => oneOnly)
          ? 'Where all rests on one plant or tray no range can be given, as plants differ. '
          : ''}
        The upright tick is the share drawn towards that of all, the more the fewer flowers: the better guess
        for what comes next.
        {grouping === 'father' ? ' A flower worked with two fathers counts for both.' : ''}
      </Txt>
      <NumbersTable of={`set by ${groupingWords[grouping]}`} columns={COLUMNS} rows={rows} />
    </Card>
  );
}
