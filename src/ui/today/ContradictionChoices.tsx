import { View } from 'react-native';
import type { Draft, LedgerEvent, State } from '@core/ledger';
import type { FlowerId } from '@core/ids';
import type { Contradiction } from '@core/rounds';
import { clockText, localDateOf, shortDayText } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { useRecording } from '@/data/garden/useRecording';
import { BESIDE, Button, Card, Notice } from '../controls';
import { entryWords } from '../entryWords';
import { Txt, useColours } from '../theme';
import { flowerName } from '../words';

/** Shown at once; more wait behind them. */
const SHOWN = 3;

/** Entries that can't both be true, two by two, for a choice. */
export function ContradictionChoices({ found }: { found: readonly Contradiction[] }) {
  return (
    <Card>
      <Txt size="heading">Which is true?</Txt>
      <Txt tone="muted">
        Two devices wrote down things that can’t both be true. What you don’t keep stays in the log, taken
        back.
      </Txt>
      {found.slice(0, SHOWN).map((each) => (
        <Choice key={each.entries.map(({ id }) => id).join()} contradiction={each} />
      ))}
      {found.length > SHOWN ? (
        <Txt size="label" tone="muted">{`${found.length - SHOWN} more after these.`}</Txt>
      ) : null}
    </Card>
  );
}

function Choice({ contradiction: { subject, entries } }: { contradiction: Contradiction }) {
  const { state } = useGarden();
  const colours = useColours();
  const { busy, problem, save } = useRecording();
  const [a, b] = entries;
  const male =
    a.kind === 'pollinated' && a.flower !== subject ? state.flowers.get(subject as FlowerId) : undefined;
  return (
    <View style={{ gap: 8, borderTopWidth: 1, borderTopColor: colours.rule, paddingTop: 8 }}>
      {problem ? <Notice tone="brick" text={problem} /> : null}
      {male ? <Txt size="strong">{`Both used one male: ${flowerName(state, male)}. Who had it?`}</Txt> : null}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 10 }}>
        {entries.map((entry) => {
          const other = entry === a ? b : a;
          return (
            <View key={entry.id} style={[BESIDE, { gap: 6 }]}>
              <Said event={entry} />
              <Button
                title="This is true"
                small
                label={`This is true: ${said(state, entry)}, ${entry.by}`}
                disabled={busy}
                onPress={() => void save(untrue(other, subject))}
              />
            </View>
          );
        })}
      </View>
      <Button
        title="Both are true"
        look="quiet"
        small
        disabled={busy}
        onPress={() => void save({ kind: 'settled', subject, entries: [a.id, b.id] })}
      />
    </View>
  );
}

/** Takes back what is not true. Of two who claim one male, the other did work her flower: with which male, nobody knows. */
function untrue(event: LedgerEvent, subject: Contradiction['subject']): Draft {
  if (event.kind !== 'pollinated' || event.flower === subject)
    return { kind: 'withdrawn', subject, target: event.id };
  const fathers = event.fathers.flatMap((father) => {
    const flowers = father.flowers.filter((male) => male !== subject);
    const males = father.males - (father.flowers.length - flowers.length);
    return males > 0 ? [{ ...father, males, flowers }] : [];
  });
  return { kind: 'corrected', subject: event.flower, target: event.id, changes: { fathers } };
}

function Said({ event }: { event: LedgerEvent }) {
  const { state, place, prefs } = useGarden();
  const at = Date.parse(event.at);
  return (
    <View style={{ flex: 1 }}>
      <Txt>{said(state, event)}</Txt>
      <Txt size="label" tone="muted">
        {event.by}, {shortDayText(localDateOf(at, place.zone))}{' '}
        {clockText(at, place.zone, prefs.clock === '12')}
      </Txt>
    </View>
  );
}

/** What an entry says, in words. */
function said(state: State, event: LedgerEvent): string {
  if (event.kind === 'corrected')
    return Object.entries(event.changes)
      .map(([field, value]) => `${field}: ${typeof value === 'string' ? value : JSON.stringify(value)}`)
      .join('; ');
  const words = entryWords(state, [event]);
  if (event.kind === 'bedPlaced')
    return `${words}: ${event.xM} m from the left, ${event.yM} m from the top, turned ${event.turnedDeg}°${event.sized ? `, ${event.sized.lengthM} by ${event.sized.widthM} m` : ''}`;
  if (event.kind === 'standPlaced')
    return `${words}: ${event.alongM} m along its bed, ${event.acrossM} m across`;
  if (event.kind === 'outlineSet')
    return `${words}: ${event.outline ? `${event.outline.length} corners` : 'as its plants stand'}`;
  return words;
}
