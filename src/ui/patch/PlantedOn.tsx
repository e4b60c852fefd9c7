import { useState } from 'react';
import { View } from 'react-native';
import type { LocalDate } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { DateField, Tile, Tiles } from '../controls';
import { Txt } from '../theme';

/** Far enough back for any plant, a strawberry bed among them. */
const LEAST = '2000-01-01';

/** When plants were sown or set there: bloom and the flowers of a day are reckoned from it, so nobody answers for the grower. */
export function PlantedOn({
  value,
  onChange,
}: {
  value: LocalDate | null;
  onChange: (value: LocalDate | null) => void;
}) {
  const { today } = useGarden();
  const [other, setOther] = useState(value !== null && value !== today);
  return (
    <View style={{ gap: 6 }}>
      <Tiles question="When was it sown or planted, if you know?">
        <Tile
          title="today"
          small
          chosen={!other && value === today}
          onPress={() => {
            setOther(false);
            onChange(!other && value === today ? null : today);
          }}
        />
        <Tile
          title="another day"
          small
          chosen={other}
          onPress={() => {
            setOther(!other);
            onChange(null);
          }}
        />
      </Tiles>
      {other ? (
        <DateField label="Sown or planted on" value={value} onChange={onChange} least={LEAST} most={today} />
      ) : null}
      <Txt size="label" tone="muted">
        Without it there is no telling when they will flower, until the first one does.
      </Txt>
    </View>
  );
}
