import { useState } from 'react';
import { View } from 'react-native';
import { FELT } from '@core/ledger';
import { addDays, dayText, weekdayText, type LocalDate } from '@core/time';
import { useChangePrefs } from '@/data/device/prefs';
import { useDraft, type KeptDraft } from '@/data/device/draft';
import { useGarden } from '@/data/garden/garden';
import { useWeather } from '@/data/weather/weather';
import { weatherDay, weatherForm, type ReadWeather, type TypedWeather } from '@/data/forms/weatherForm';
import { useRecording } from '@/data/garden/useRecording';
import { TypedField } from '@/ui/forms/TypedField';
import { useTyped } from '@/ui/forms/useTyped';
import { Card, Button, Notice, Row, Tile, Tiles } from '@/ui/controls';
import { gated } from '@/ui/Gate';
import { Page } from '@/ui/Page';
import { ToToday } from '@/ui/ToToday';
import { Txt } from '@/ui/theme';
import { UndoLine } from '@/ui/UndoLine';
import { WeatherChart } from '@/ui/weather/WeatherChart';
import { WeatherImport } from '@/ui/weather/WeatherImport';
import { feltWords, WINDS } from '@/ui/weather/words';

const BLANK: TypedWeather = { minimum: '', maximum: '', rain: '', dew: '', wind: null, felt: null };

/** The weather of this place: what is known, from where, and what the grower notes. */
function WeatherPage() {
  const { today, space } = useGarden();
  const [back, setBack] = useState(0);
  const date = addDays(today, -back);
  const draft = useDraft<TypedWeather>(`weather/${space}/${date}`, BLANK);
  return draft.ready ? <OneDay key={date} date={date} draft={draft} back={back} onBack={setBack} /> : null;
}

function OneDay({
  date,
  draft,
  back,
  onBack,
}: {
  date: LocalDate;
  draft: KeptDraft<TypedWeather>;
  /** Days before today. */
  back: number;
  onBack: (days: number) => void;
}) {
  const { patch, prefs, place, today, demo } = useGarden();
  const { busy, problem, save } = useRecording();
  const { weatherOf, station } = useWeather();
  const changePrefs = useChangePrefs();
  const form = useTyped<TypedWeather, ReadWeather>(weatherForm(prefs.units), draft.value, draft.change);
  const { value, set } = form;
  const us = prefs.units === 'us';
  const days = Array.from({ length: 9 }, (_, i) => weatherOf(addDays(today, i - 5))).filter(
    (day) => day !== null,
  );
  const keep = form.keep(async (read) => {
    if (!patch) return;
    const day = weatherDay(date, read);
    if (!(await save({ kind: 'weatherNoted', patch: patch.id, origin: 'hand', days: [day] }))) return;
    draft.clear();
    form.begin(BLANK);
  });
  return (
    <Page
      title="Weather"
      corner={<ToToday />}
      over={place.name}
      foot={
        <Button
          title={`Note the weather of ${back === 0 ? 'today' : weekdayText(date)}`}
          look="main"
          busy={busy}
          onPress={keep}
        />
      }
      side={
        <>
          <Card>
            <Txt size="heading">Station</Txt>
            <Txt>
              {station
                ? `The ${station.name} tells the last days and the next three. It stands in for a real one and knows nothing of the real weather.`
                : 'No station is read. Notes by hand or a file serve as well; without any, the usual weather of the latitude stands in, with wide ranges.'}
            </Txt>
            {demo ? null : (
              <Tiles question="Read a station?">
                <Tile
                  title="None"
                  chosen={prefs.station === 'none'}
                  onPress={() => void changePrefs({ station: 'none' })}
                />
                <Tile
                  title="Made-up station"
                  note="to try things out"
                  chosen={prefs.station === 'simulated'}
                  onPress={() => void changePrefs({ station: 'simulated' })}
                />
              </Tiles>
            )}
          </Card>
          <WeatherImport />
        </>
      }
    >
      <UndoLine />
      {problem ? <Notice tone="brick" text={problem} /> : null}
      <Card>
        <WeatherChart days={days} today={today} units={prefs.units} />
      </Card>
      <Card>
        <Txt size="heading">Note a day</Txt>
        <Tiles question="Which day">
          {[0, 1, 2, 3].map((n) => (
            <Tile
              key={n}
              title={n === 0 ? 'today' : n === 1 ? 'yesterday' : weekdayText(addDays(today, -n))}
              small
              chosen={back === n}
              onPress={() => onBack(n)}
              minWidth={70}
            />
          ))}
        </Tiles>
        <Tiles question={`How ${dayText(date)} felt`}>
          {FELT.map((felt) => (
            <Tile
              key={felt}
              title={feltWords[felt]}
              small
              chosen={value.felt === felt}
              onPress={() => set({ felt: value.felt === felt ? null : felt })}
              minWidth={58}
            />
          ))}
        </Tiles>
        <Row gap={8} style={{ alignItems: 'flex-start' }}>
          {(
            [
              ['minimum', `Coldest, °${us ? 'F' : 'C'}`],
              ['maximum', `Warmest, °${us ? 'F' : 'C'}`],
              ['rain', `Rain, ${us ? 'in' : 'mm'}`],
              ['dew', `Dew point, °${us ? 'F' : 'C'}`],
            ] as const
          ).map(([field, label]) => (
            <View key={field} style={{ flexGrow: 1, flexBasis: '42%', minWidth: 0 }}>
              <TypedField of={form} name={field} label={label} keyboard="decimal-pad" />
            </View>
          ))}
        </Row>
        <Tiles question="Wind from, where it was felt">
          {WINDS.map((wind, i) => (
            <Tile
              key={wind}
              title={wind}
              small
              chosen={value.wind === i * 45}
              onPress={() => set({ wind: value.wind === i * 45 ? null : i * 45 })}
              minWidth={64}
            />
          ))}
        </Tiles>
        <Txt size="label" tone="muted">
          What is noted by hand stands over a file, and a file over a station: each value on its own.
        </Txt>
      </Card>
      {days.every(({ source }) => source === 'climate') ? (
        <Notice
          tone="dusk"
          text="Nobody measured here yet: windows and forecasts go by the sun and the usual warmth, with wide ranges."
        />
      ) : null}
    </Page>
  );
}

export default gated(WeatherPage);
