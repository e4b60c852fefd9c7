import { useState } from 'react';
import { View } from 'react-native';
import { fromGeoJson, toGeoJson, type ReadMap } from '@core/formats';
import { pickFile, saveFile } from '@/data/device/files';
import { askLog } from '@/data/device/logWorker';
import { useGarden } from '@/data/garden/garden';
import { useRecording } from '@/data/garden/useRecording';
import { Button, Card, Notice } from '../controls';
import { Txt } from '../theme';
import { plural } from '../words';

/** A file of a map larger than this is none of a garden. */
const MOST_BYTES = 20_000_000;
/** Problems told one by one. */
const TOLD = 6;

/** The plan as a map file for other programs, and back. */
export function MapFile({ onSheet }: { onSheet: () => void }) {
  const { state, today, newId, space, store, now } = useGarden();
  const [reading, setReading] = useState(false);
  const { busy, problem, save } = useRecording();
  const [read, setRead] = useState<ReadMap | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const write = () => {
    try {
      saveFile(
        `steady-trowel-plan-${today}.geojson`,
        'application/geo+json',
        `${JSON.stringify(toGeoJson(state, today))}\n`,
      );
      setSaid(null);
    } catch (wrong) {
      setSaid((wrong as Error).message);
    }
  };
  const open = async () => {
    const file = await pickFile('.geojson,.json,application/geo+json,application/json');
    if (!file) return;
    setSaid(null);
    if (file.size > MOST_BYTES)
      return setRead({
        ok: false,
        message: 'This file is too large to be the plan of a garden (over 20 MB).',
      });
    setReading(true);
    try {
      const text = await file.text();
      setRead(
        await askLog(
          { state, space, store },
          (trade, box, recent, count) => trade.readMap(box, recent, count, text, now),
          () => fromGeoJson(text, state, newId as never),
          'map read',
          new AbortController().signal,
        ),
      );
    } catch {
      setRead({ ok: false, message: 'This file could not be read. Save it once more and try again.' });
    }
    setReading(false);
  };
  const take = async () => {
    if (!read?.ok || !(await save(...read.drafts))) return;
    setSaid(`${plural(read.drafts.length, 'entry', 'entries')} taken from the file.`);
    setRead(null);
  };
  return (
    <Card>
      <Txt size="heading">On paper, or as a map file</Txt>
      <Button title="A sheet to print, to scale" small onPress={onSheet} />
      <Txt size="label" tone="muted">
        GeoJSON, in longitude and latitude: for map programs, and back from them. Beds, hedges and what grows
        next door are read; it is as exact as the place of your patch.
      </Txt>
      {problem ? <Notice tone="brick" text={problem} /> : null}
      {said ? <Notice tone="leaf" text={said} /> : null}
      {read && !read.ok ? <Notice tone="brick" text={read.message} /> : null}
      {read?.ok ? (
        <View style={{ gap: 6 }}>
          <Txt role="status">
            {`${plural(read.drafts.length, 'change')} in this file; ${read.same} of its features say what is known already.`}
          </Txt>
          {read.problems.slice(0, TOLD).map((each) => (
            <Notice key={each} tone="brick" text={each} />
          ))}
          {read.problems.length > TOLD ? (
            <Txt size="label">{`${read.problems.length - TOLD} more can’t be taken.`}</Txt>
          ) : null}
          <View style={{ flexDirection: 'row', gap: 8 }}>
            <Button title="Leave it" grow small onPress={() => setRead(null)} />
            {read.drafts.length > 0 ? (
              <Button
                title={`Take ${plural(read.drafts.length, 'change')}`}
                look="main"
                grow
                small
                busy={busy}
                onPress={() => void take()}
              />
            ) : null}
          </View>
        </View>
      ) : (
        <View style={{ flexDirection: 'row', gap: 8 }}>
          <Button title="Save it" label="Save the plan as a map file" grow small onPress={write} />
          <Button
            title="Read one"
            label="Read a map file"
            grow
            small
            busy={reading}
            onPress={() => void open()}
          />
        </View>
      )}
    </Card>
  );
}
