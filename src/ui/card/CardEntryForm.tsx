import { useState } from 'react';
import { View } from 'react-native';
import { CLOSURE_FOUND } from '@core/ledger';
import {
  BLANK_ENTRY,
  FOUND_CODES,
  readCardLine,
  SHUT_CODES,
  type CardEntry,
  type CardRow,
} from '@core/rounds';
import { useDraft } from '@/data/device/draft';
import { BESIDE, Row, Card, Field, Button, Notice, Tile, Tiles } from '../controls';
import { Txt } from '../theme';
import { checkWords, plural, shutWords } from '../words';

/** The lines of a card to fill in: by tapping the ringed letter, or by typing lines as they are pencilled. */
export function CardEntryForm({
  name,
  rows,
  onSave,
}: {
  name: string;
  rows: readonly CardRow[];
  onSave: (entries: { row: CardRow; entry: CardEntry }[]) => Promise<boolean>;
}) {
  const { value, change, clear } = useDraft<{ entries: Record<string, CardEntry>; typed: string }>(
    `enter-card/${name}`,
    {
      entries: {},
      typed: '',
    },
  );
  const [wrong, setWrong] = useState<string[]>([]);
  const [busy, setBusy] = useState(false);
  const entryOf = (row: CardRow) => value.entries[row.line] ?? BLANK_ENTRY;
  const set = (row: CardRow, part: Partial<CardEntry>) =>
    change({ entries: { ...value.entries, [row.line]: { ...entryOf(row), ...part } } });
  const most = Math.max(...rows.map(({ line }) => line));
  const read = () => {
    const entries = { ...value.entries };
    const problems: string[] = [];
    const left: string[] = [];
    for (const text of value.typed.split('\n').filter((each) => each.trim() !== '')) {
      const line = readCardLine(text, most);
      if (line.ok && rows.some((row) => row.line === line.line)) entries[line.line] = line.entry;
      else {
        problems.push(line.ok ? `Line ${line.line} has its entry already.` : line.message);
        left.push(text);
      }
    }
    setWrong(problems);
    // What could not be read stays to be put right.
    change({ entries, typed: left.join('\n') });
  };
  const filled = rows.filter((row) => entryOf(row).found !== null);
  const save = async () => {
    setBusy(true);
    try {
      if (await onSave(filled.map((row) => ({ row, entry: entryOf(row) })))) clear();
    } finally {
      setBusy(false);
    }
  };
  return (
    <>
      <Card>
        <Field
          label="Type lines as pencilled: line, found, males, shut again, x when marked"
          value={value.typed}
          onChange={(typed) => change({ typed })}
          placeholder={'1 W 2 T x\n2 T'}
          multiline
        />
        <Button title="Read these lines" small disabled={value.typed.trim() === ''} onPress={read} />
        {wrong.map((text) => (
          <Notice key={text} tone="brick" text={text} />
        ))}
      </Card>
      {rows.map((row) => {
        const entry = entryOf(row);
        return (
          <Card key={row.line} style={{ padding: 10, gap: 6 }}>
            <Row gap={10}>
              <Txt size="number">{row.line}</Txt>
              <View style={BESIDE}>
                <Txt size="strong">
                  {row.plant}
                  {row.node === null ? '' : `, node ${row.node}`}
                </Txt>
                <Txt size="label" tone="muted">
                  {row.fathers.map(({ label, males }) => `${males.length} of plant ${label}`).join(', ') ||
                    'no male'}{' '}
                  · mark {row.mark}
                </Txt>
              </View>
            </Row>
            <Tiles question={`Line ${row.line}: found`} hideQuestion>
              {CLOSURE_FOUND.map((result) => (
                <Tile
                  key={result}
                  title={FOUND_CODES[result]}
                  small
                  label={`Line ${row.line}: ${checkWords[result]}`}
                  chosen={entry.found === result}
                  onPress={() => set(row, { found: entry.found === result ? null : result })}
                  minWidth={44}
                />
              ))}
            </Tiles>
            {entry.found === 'whole' ? (
              <>
                <Tiles question="Males used, as pencilled (blank: not recorded)">
                  {[0, 1, 2, 3, 4].map((males) => (
                    <Tile
                      key={males}
                      title={String(males)}
                      small
                      label={`Line ${row.line}: ${plural(males, 'male')}`}
                      chosen={entry.males === males}
                      onPress={() => set(row, { males: entry.males === males ? null : males })}
                      minWidth={44}
                    />
                  ))}
                </Tiles>
                <Tiles question="Shut again with">
                  {[...row.stop.growing.crop.closures, 'open' as const].map((closure) => (
                    <Tile
                      key={closure}
                      title={`${SHUT_CODES[closure]} ${shutWords(closure)}`}
                      small
                      label={`Line ${row.line}: ${shutWords(closure)}`}
                      chosen={entry.shutAgain === closure}
                      onPress={() => set(row, { shutAgain: entry.shutAgain === closure ? null : closure })}
                      minWidth={92}
                    />
                  ))}
                </Tiles>
                <Tiles question="Mark" hideQuestion>
                  <Tile
                    title={`marked ${row.mark}`}
                    small
                    chosen={entry.marked === true}
                    onPress={() => set(row, { marked: entry.marked === true ? null : true })}
                  />
                </Tiles>
              </>
            ) : null}
          </Card>
        );
      })}
      <Button
        title={`Keep ${plural(filled.length, 'line')}`}
        look="main"
        busy={busy}
        disabled={filled.length === 0}
        onPress={() => void save()}
      />
    </>
  );
}
