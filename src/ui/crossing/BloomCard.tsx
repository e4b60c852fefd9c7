import { useMemo } from 'react';
import { View, type ViewStyle } from 'react-native';
import { kindName } from '@core/crops';
import { bloomGroups, daysApart, type BloomGroup, type BloomRow } from '@core/isolation';
import { daysBetween, shortDayText, type LocalDate } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { BETWEEN, Row, Card } from '../controls';
import { FEW_CARDS, LongList } from '../LongList';
import { Txt, useColours } from '../theme';
import { plantingName } from './words';

/** When what could cross is in flower, bar under bar. */
export function BloomCard() {
  const { state } = useGarden();
  const groups = useMemo(() => bloomGroups(state), [state]);
  if (groups.length === 0) return null;
  return (
    <Card>
      <Txt size="heading">When they flower</Txt>
      {groups.map((group) => (
        <Group key={group.id} group={group} />
      ))}
      <Txt size="label" tone="muted">
        Light: it may begin in these days. Underlined: something else here flowers too. From the first flower
        seen, else from the day of planting and the warmth its kind takes. Days nobody knows count as
        flowering together.
      </Txt>
    </Card>
  );
}

function Group({ group: { rows } }: { group: BloomGroup }) {
  const colours = useColours();
  const known = rows.flatMap(({ bloom }) => bloom ?? []);
  const first = known.reduce<LocalDate>(
    (least, { from }) => (least === '' || from < least ? from : least),
    '',
  );
  const last = known.reduce<LocalDate>((most, { to }) => (to > most ? to : most), '');
  return (
    <View style={{ gap: 4, borderTopWidth: 1, borderTopColor: colours.rule, paddingTop: 6 }}>
      <Txt size="strong">{`${capital(kindName(rows[0]?.kind.crop ?? 'corn'))}, and what could cross with it`}</Txt>
      {first === '' ? null : (
        <Row gap={0} style={[BETWEEN, { alignItems: 'stretch' }]}>
          <Txt size="label" tone="muted">
            {shortDayText(first)}
          </Txt>
          <Txt size="label" tone="muted">
            {shortDayText(last)}
          </Txt>
        </Row>
      )}
      <LongList
        items={rows}
        keyOf={({ id }) => id}
        row={(row) => <Bar row={row} first={first} last={last} />}
        about={40}
        short={FEW_CARDS}
        gap={4}
      />
      <Txt size="label">{together(rows)}</Txt>
      {rows.some(({ own, openEnded }) => own && openEnded) ? (
        <Txt size="label" tone="muted">
          Sowing later parts none of these: they flower on until the cold.
        </Txt>
      ) : null}
    </View>
  );
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

function Bar({ row, first, last }: { row: BloomRow; first: LocalDate; last: LocalDate }) {
  const colours = useColours();
  const { bloom, own } = row;
  const words = `${rowName(row)}: ${barWords(row)}`;
  const days = first === '' ? 1 : daysBetween(first, last) + 1;
  // What flowers until the cold goes on to the end of the bar.
  const to = row.openEnded ? last : bloom?.to;
  const stretch = (from: LocalDate, long: number, style: ViewStyle) => (
    <View
      style={{
        position: 'absolute',
        top: 0,
        bottom: 0,
        left: `${(daysBetween(first, from) / days) * 100}%`,
        width: `${(long / days) * 100}%`,
        ...style,
      }}
    />
  );
  const solid = own ? colours.leaf : colours.brick;
  const light = own ? colours.leafSoft : colours.brickSoft;
  return (
    <View accessible aria-label={words}>
      <Txt size="label">{words}</Txt>
      <View style={{ height: 12, backgroundColor: colours.paper, borderRadius: 3, overflow: 'hidden' }}>
        {bloom && to !== undefined ? (
          <>
            {stretch(bloom.from, daysBetween(bloom.from, to) + 1, { backgroundColor: solid })}
            {row.fromLatest !== null && row.fromLatest > bloom.from
              ? stretch(bloom.from, daysBetween(bloom.from, row.fromLatest), {
                  backgroundColor: light,
                  borderWidth: 1,
                  borderColor: solid,
                })
              : null}
            {row.both
              ? stretch(
                  row.both.from,
                  daysBetween(row.both.from, row.openEnded && row.both.to === bloom.to ? to : row.both.to) +
                    1,
                  { borderBottomWidth: 4, borderBottomColor: colours.ink },
                )
              : null}
          </>
        ) : null}
      </View>
    </View>
  );
}

const rowName = ({ own, kind, variety }: BloomRow): string =>
  own && variety !== null ? variety : `${plantingName(kind.crop, variety)} next door`;

const HOW = { seen: 'seen', told: 'as told', guessed: 'a guess', reckoned: 'reckoned' } as const;

function barWords({ bloom, fromLatest, how, openEnded }: BloomRow): string {
  if (!bloom || how === null) return 'nobody knows when';
  const begins =
    fromLatest !== null && fromLatest > bloom.from
      ? `from ${shortDayText(bloom.from)} or by ${shortDayText(fromLatest)}`
      : `from ${shortDayText(bloom.from)}`;
  const ends = openEnded ? 'until the cold' : `to ${shortDayText(bloom.to)}`;
  return `${begins} ${ends}, ${HOW[how]}`;
}

/** Which of them flower together, in a sentence. */
function together(rows: readonly BloomRow[]): string {
  const pairs = rows.flatMap((row, i) => rows.slice(i + 1).map((other) => [row, other] as const));
  const apart = pairs.filter(
    ([a, b]) => a.how !== 'guessed' && b.how !== 'guessed' && daysApart(a.bloom, b.bloom) > 0,
  );
  if (apart.length === 0) return 'All of these flower together, or may.';
  return apart
    .map(([a, b]) => `${rowName(a)} and ${rowName(b)}: ${daysApart(a.bloom, b.bloom)} days apart.`)
    .join(' ');
}
