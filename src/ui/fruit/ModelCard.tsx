import type { CaseNumber, ModelDot, Study } from '@core/study';
import { NUMBERS } from '@core/study';
import { useGarden } from '@/data/garden/garden';
import { ModelChart } from '../charts/ModelChart';
import { NumbersTable, type NumbersColumn } from '../charts/NumbersTable';
import { Card, Tile, Tiles } from '../controls';
import { Txt } from '../theme';
import { modelWords, noModelWords, numberWords, termWords } from './studyWords';

/** `sunrise`, `+30 min`, `−1.5 h`. */
function hoursText(minutes: number): string {
  if (minutes === 0) return 'sunrise';
  const sign = minutes < 0 ? '−' : '+';
  const all = Math.abs(minutes);
  return all < 90 && all % 60 !== 0 ? `${sign}${all} min` : `${sign}${Math.round(all / 6) / 10} h`;
}

/** How a value on the axis is written. */
function valueText(along: CaseNumber, value: number, us: boolean): string {
  if (along === 'minutes') return hoursText(Math.round(value));
  if (along === 'maxC' || along === 'dewPointC')
    return us ? `${Math.round(32 + 1.8 * value)} °F` : `${Math.round(value)} °C`;
  return String(Math.round(value));
}

const axisWords: Readonly<Record<CaseNumber, string>> = {
  minutes: 'hours from sunrise',
  maxC: 'the day’s highest',
  dewPointC: 'dew point',
  males: 'males to a flower',
  lobes: 'lobes with pollen',
  load: 'fruits on the plant by then',
};

/** Set against the hour, the warmth and what else was noted: a fitted curve with its band, and the flowers themselves. */
export function ModelCard({
  study: { model },
  along,
  onAlong,
}: {
  study: Study;
  along: CaseNumber;
  onAlong: (along: CaseNumber) => void;
}) {
  const us = useGarden().prefs.units === 'us';
  const columns: readonly NumbersColumn<ModelDot>[] = [
    {
      name: axisWords[along],
      of: ({ from }) => from,
      text: ({ from, to }) =>
        from === to
          ? valueText(along, from, us)
          : `${valueText(along, from, us)} to ${valueText(along, to, us)}`,
      wide: 2,
    },
    { name: 'Set', of: ({ set, judged }) => set / judged, text: ({ set, judged }) => `${set} of ${judged}` },
    {
      name: '95 %',
      of: ({ low }) => low,
      text: ({ low, high }) => `${Math.round(low * 100)}–${Math.round(high * 100)}`,
    },
  ];
  return (
    <Card>
      <Txt size="heading">What set hangs on</Txt>
      <Tiles question="Set against">
        {NUMBERS.map((each) => (
          <Tile
            key={each}
            title={numberWords[each]}
            small
            minWidth={78}
            chosen={along === each}
            onPress={() => onAlong(each)}
          />
        ))}
      </Tiles>
      {'none' in model ? (
        <Txt tone="muted">{noModelWords[model.none]}</Txt>
      ) : (
        <>
          <Txt>{modelWords(model)}</Txt>
          <ModelChart
            model={model}
            tick={(value) => valueText(along, value, us)}
            summary={`Share that set against ${axisWords[along]}: ${modelWords(model)}`}
          />
          <Txt size="label" tone="muted">
            {`Along the bottom: ${axisWords[along]}. What each brings: ${model.terms.map((term) => termWords(term, model.share)).join('; ')}. `}
            The band is the 95 % range of the curve, with flowers of one plant going together; what changes
            together can’t be parted by any sum.
          </Txt>
          <NumbersTable of={`set against ${axisWords[along]}`} columns={columns} rows={model.dots} />
        </>
      )}
    </Card>
  );
}
