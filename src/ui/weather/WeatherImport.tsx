import { useState } from 'react';
import { pickFile } from '@/data/device/files';
import { useGarden } from '@/data/garden/garden';
import {
  COLUMN_USES,
  daysOf,
  readTable,
  weatherDrafts,
  type ColumnMap,
  type WeatherTable,
} from '@/data/forms/weatherForm';
import { Card, Button, Notice, Tile, Tiles } from '../controls';
import { Txt } from '../theme';
import { plural } from '../words';
import type { Units } from '@/data/device/prefs';

const useWords = {
  date: 'Date',
  minC: 'Coldest',
  maxC: 'Warmest',
  rainMm: 'Rain',
  dewPointC: 'Dew point',
} as const;
/** A table of daily weather is far smaller. */
const MOST_BYTES = 20_000_000;

/** Daily weather from a CSV file: the columns are guessed, shown, and can be put right before anything is kept. */
export function WeatherImport() {
  const { patch, record } = useGarden();
  const [table, setTable] = useState<WeatherTable | null>(null);
  const [columns, setColumns] = useState<ColumnMap>({});
  const [units, setUnits] = useState<Units>('metric');
  const [told, setTold] = useState<{ good: boolean; text: string } | null>(null);
  const open = async () => {
    const file = await pickFile('.csv,text/csv,text/plain');
    if (!file) return;
    setTold(null);
    if (file.size > MOST_BYTES)
      return setTold({ good: false, text: 'The file is too large for a table of days.' });
    try {
      const read = readTable(await file.text());
      setTable(read);
      setColumns(read.guess);
    } catch (problem) {
      setTold({ good: false, text: (problem as Error).message });
    }
  };
  const read = table && columns.date !== undefined ? daysOf(table, columns, units) : null;
  const keep = async () => {
    if (!patch || !read || read.days.length === 0) return;
    try {
      await record(...weatherDrafts(patch.id, read.days));
      setTold({ good: true, text: `${plural(read.days.length, 'day')} kept.` });
      setTable(null);
    } catch (problem) {
      setTold({ good: false, text: (problem as Error).message });
    }
  };
  const first = read?.days[0];
  const last = read?.days[read.days.length - 1];
  return (
    <Card>
      <Txt size="heading">From a file</Txt>
      <Txt>Daily weather as a table (CSV): a line of names, then a line for each day.</Txt>
      {told ? <Notice tone={told.good ? 'leaf' : 'brick'} text={told.text} /> : null}
      {table ? (
        <>
          {COLUMN_USES.map((use) => (
            <Tiles key={use} question={`${useWords[use]} is in the column`}>
              {table.header.map((name, i) => (
                <Tile
                  key={`${i}${name}`}
                  title={name || `column ${i + 1}`}
                  small
                  label={`${useWords[use]}: ${name || `column ${i + 1}`}`}
                  chosen={columns[use] === i}
                  onPress={() => setColumns({ ...columns, [use]: columns[use] === i ? undefined : i })}
                  minWidth={84}
                />
              ))}
            </Tiles>
          ))}
          <Tiles question="Its units">
            <Tile title="°C, mm" chosen={units === 'metric'} onPress={() => setUnits('metric')} />
            <Tile title="°F, in" chosen={units === 'us'} onPress={() => setUnits('us')} />
          </Tiles>
          {columns.date === undefined ? (
            <Notice tone="brick" text="Say which column holds the date." />
          ) : null}
          {read ? (
            <Txt>
              {plural(read.days.length, 'day')}
              {first && last
                ? `, from ${first.date} (${first.minC ?? '–'} to ${first.maxC ?? '–'} °C) to ${last.date}`
                : ''}
              {read.wrong.length > 0
                ? `. Passed over: ${plural(read.wrong.length, 'line')}, the first line ${read.wrong[0]?.line ?? 0}: ${read.wrong[0]?.message ?? ''}`
                : '.'}
            </Txt>
          ) : null}
          <Button
            title={`Keep ${plural(read?.days.length ?? 0, 'day')}`}
            disabled={!read || read.days.length === 0}
            onPress={() => void keep()}
          />
          <Button title="Leave it" look="quiet" small onPress={() => setTable(null)} />
        </>
      ) : (
        <Button title="Open a weather file" onPress={() => void open()} />
      )}
    </Card>
  );
}
