import { View } from 'react-native';
import { countDay } from '@core/crops';
import type { CountDue } from '@core/fruitset';
import { plantName } from '@core/patch';
import { shortDayText } from '@core/time';
import { verdictForm, type ReadVerdict, type TypedVerdict } from '@/data/forms/countForm';
import { useRecording } from '@/data/garden/useRecording';
import { BESIDE, Badge, Button, Card, Notice, Row } from '../controls';
import { TypedField } from '../forms/TypedField';
import { useTyped } from '../forms/useTyped';
import { Txt } from '../theme';
import { plural, toolWords } from '../words';

/** Flowers that were worked and counted: of about so many, how many grow, and how many of these are bent? */
export function CountRow({ due }: { due: CountDue }) {
  const { busy, problem, save } = useRecording();
  const { growing, stand, plant, from, to, worked, how, byPlant, day, early } = due;
  const form = useTyped<TypedVerdict, ReadVerdict>(
    verdictForm(worked),
    { set: '', bent: '' },
    undefined,
    true,
  );
  const corn = growing.crop.family === 'corn';
  const days = from === to ? shortDayText(from) : `${shortDayText(from)} to ${shortDayText(to)}`;
  const keep = form.keep((read) =>
    save({
      kind: 'groupCounted',
      stand: stand.id,
      plant,
      from,
      to,
      how,
      worked,
      ...read,
      ...(early ? { early } : {}),
    }),
  );
  return (
    <Card>
      <Row gap={10}>
        <View style={BESIDE}>
          <Txt size="strong">{plant ? plantName(growing) : growing.variety.name}</Txt>
          <Txt size="label" tone="muted">
            {growing.bed.name} · {toolWords[how]} · {days}
          </Txt>
        </View>
        <Badge text={`day ${day}`} tone="pollen" />
      </Row>
      {problem ? <Notice tone="brick" text={problem} /> : null}
      <Txt>{`About ${plural(worked, 'flower')} worked${plant ? '' : ` on ${plural(byPlant.size, 'plant')}`}. ${corn ? 'How many ears fill? Feel through the husk, and open one or two only.' : 'How many of them grow now? Those that fell or yellowed do not.'}`}</Txt>
      {early ? (
        <Txt size="label" tone="muted">
          {`An early look, and it may be left: the verdict comes on day ${countDay(growing.crop)}.`}
        </Txt>
      ) : null}
      <TypedField
        of={form}
        name="set"
        label={`${growing.variety.name}: how many ${corn ? 'fill' : 'grow'}`}
        keyboard="number-pad"
      />
      <TypedField
        of={form}
        name="bent"
        label={`${growing.variety.name}: of these ${corn ? 'with gaps' : 'bent or small'} (may be left out)`}
        keyboard="number-pad"
      />
      <Row>
        <Button
          title={corn ? 'All of them fill' : 'All of them grow'}
          small
          disabled={busy}
          onPress={() => form.set({ set: String(worked) })}
        />
        <Button
          title={early ? 'Keep the look' : 'Keep the count'}
          look="main"
          small
          busy={busy}
          onPress={keep}
        />
      </Row>
    </Card>
  );
}
