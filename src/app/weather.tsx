import { useState } from 'react';
import { View } from 'react-native';
import { FELT } from '@core/ledger';
import { addDays, dayText, weekdayText } from '@core/time';
import { useChangePrefs } from '@/data/device/prefs';
import { useDraft } from '@/data/device/draft';
import { useGarden } from '@/data/garden/garden';
import { useWeather } from '@/data/weather/weather';
import { readWeather, type TypedWeather } from '@/data/forms/weatherForm';
import { Card, Field, Button, Notice, Row, Tile, Tiles } from '@/ui/controls';
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
  const { patch, prefs, place, today, record, space, demo } = useGarden();
  const { weatherOf, station } = useWeather();
  const changePrefs = useChangePrefs();
  const [back, setBack] = useState(0);
  const date = addDays(today, -back);
  const { value, change, clear } = useDraft<TypedWeather>(`weather/${space}/${date}`, BLANK);
  const [errors, setErrors] = useState<Record<string, string>>({});
  const us = prefs.units === 'us';
  const days = Array.from({ length: 9 }, (_, i) => weatherOf(addDays(today, i - 5))).filter(
    (day) => day !== null,
  );
  const save = async () => {
    if (!patch) return;
    const read = readWeather(date, value, prefs.units);
    if ('errors' in read) return setErrors(read.errors);
    setErrors({});
    try {
      await record({ kind: 'weatherNoted', patch: patch.id, origin: 'hand', days: [read.day] });
      clear();
    } catch (problem) {
      setErrors({ minimum: (problem as Error).message });
    }
  };
  return (
    <Page
      title="Weather"
      corner={<ToToday />}
      over={place.name}
      foot={
        <Button
          title={`Note the weather of ${back === 0 ? 'today' : weekdayText(date)}`}
          look="main"
          onPress={() => void save()}
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
              onPress={() => {
                setErrors({});
                setBack(n);
              }}
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
              onPress={() => change({ felt: value.felt === felt ? null : felt })}
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
              <Field
                label={label}
                value={value[field]}
                onChange={(text) => change({ [field]: text })}
                error={errors[field] ?? null}
                keyboard="decimal-pad"
              />
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
              onPress={() => change({ wind: value.wind === i * 45 ? null : i * 45 })}
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
