import { useState } from 'react';
import { SHELTERS, type Bed, type Shelter } from '@core/ledger';
import { shelterOn } from '@core/patch';
import type { LocalDate } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { useRecording } from '@/data/garden/useRecording';
import { Button, DateField, Notice, Sheet, Stepper, Tile, Tiles } from '../controls';
import { Txt } from '../theme';
import { shelterWords } from '../words';

/** What stands over a bed, from when, and whether insects get in. */
export function ShelterSheet({ bed, onClose }: { bed: Bed; onClose: () => void }) {
  const { today } = useGarden();
  const { busy, problem, save } = useRecording();
  const now = shelterOn(bed, today);
  const [shelter, setShelter] = useState<Shelter | null>(now?.shelter ?? null);
  const [insects, setInsects] = useState<'out' | 'in' | null>(now?.insects ?? null);
  const [lamp, setLamp] = useState<number | null>(now?.lampHours ?? null);
  const [from, setFrom] = useState<LocalDate | null>(today);
  const [to, setTo] = useState<LocalDate | null>(now?.to ?? null);
  const turned = from !== null && to !== null && to < from;
  const blocked = from === null || turned || (shelter !== null && insects === null);
  const keep = async () => {
    if (blocked) return;
    const saved = await save({
      kind: 'shelterSet',
      bed: bed.id,
      shelter,
      insects: insects ?? 'in',
      lampHours: shelter === 'indoors' ? lamp : null,
      from,
      to: shelter === null ? null : to,
    });
    if (saved) onClose();
  };
  return (
    <Sheet open onClose={onClose} title={`What stands over ${bed.name}?`}>
      {problem ? <Notice tone="brick" text={problem} /> : null}
      <Tiles question="Over it">
        {([null, ...SHELTERS] as const).map((each) => (
          <Tile
            key={each ?? 'open'}
            title={each === null ? 'open air' : shelterWords[each]}
            chosen={shelter === each}
            onPress={() => setShelter(each)}
            minWidth={100}
          />
        ))}
      </Tiles>
      {shelter === null ? null : (
        <Tiles question="Insects">
          <Tile
            title="kept out"
            note="shut or netted everywhere"
            chosen={insects === 'out'}
            onPress={() => setInsects('out')}
            minWidth={140}
          />
          <Tile
            title="can get in"
            note="open vents or ends, or bees put in"
            chosen={insects === 'in'}
            onPress={() => setInsects('in')}
            minWidth={140}
          />
        </Tiles>
      )}
      {shelter === 'indoors' ? (
        <Stepper
          label={lamp === null ? 'Lamp, hours a day (may be left out)' : 'Lamp, hours a day'}
          value={lamp ?? 14}
          unset={lamp === null}
          least={0}
          most={24}
          onChange={setLamp}
        />
      ) : null}
      <DateField label="From which day on" value={from} onChange={setFrom} />
      {shelter === null ? null : (
        <DateField
          label="Last day (may be left out)"
          value={to}
          onChange={setTo}
          error={turned ? 'That is before the first day' : null}
        />
      )}
      {shelter === 'tunnel' || shelter === 'closed-house' ? (
        <Txt size="label" tone="muted">
          It is hotter in there than outside: work it in the cool of the morning, and drink.
        </Txt>
      ) : null}
      <Button title="Keep it" look="main" busy={busy} disabled={blocked} onPress={() => void keep()} />
    </Sheet>
  );
}
