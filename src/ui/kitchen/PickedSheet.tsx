import { useState } from 'react';
import type { Stand } from '@core/ledger';
import { sprayWait } from '@core/patch';
import { useGarden } from '@/data/garden/garden';
import { useRecording } from '@/data/garden/useRecording';
import { pickedForm, type ReadPicked, type TypedPicked } from '@/data/forms/pickedForm';
import { Button, Notice, Sheet, Stepper } from '../controls';
import { TypedField } from '../forms/TypedField';
import { useTyped } from '../forms/useTyped';
import { SprayNotice } from '../care/SprayNotice';
import { Txt } from '../theme';
import { plural } from '../words';

/** Fruit picked, by count; the weight may be left out. */
export function PickedSheet({ stand, name, onClose }: { stand: Stand; name: string; onClose: () => void }) {
  const { prefs } = useGarden();
  const { busy, problem, save } = useRecording();
  const us = prefs.units === 'us';
  const form = useTyped<TypedPicked, ReadPicked>(pickedForm(prefs.units), { count: '', weight: '' });
  const keep = form.keep(async ({ count, weight }) => {
    if (await save({ kind: 'fruitsPicked', stand: stand.id, plant: null, count, weightG: weight })) onClose();
  });
  return (
    <Sheet open onClose={onClose} title={`Fruit picked from ${name}`}>
      {problem ? <Notice tone="brick" text={problem} /> : null}
      <SprayNotice stand={stand} />
      <TypedField of={form} name="count" label="How many" keyboard="number-pad" />
      <TypedField
        of={form}
        name="weight"
        label={`Weight of all, ${us ? 'ounces' : 'grams'} (may be left out)`}
        keyboard="decimal-pad"
      />
      <Button title="Keep it" look="main" busy={busy} onPress={keep} />
    </Sheet>
  );
}

/** Surplus males picked for the kitchen, counted, with what to mind. */
export function MalesButton({ stand, name }: { stand: Stand; name: string }) {
  const { now, place } = useGarden();
  const { busy, problem, save } = useRecording();
  const [open, setOpen] = useState(false);
  const [count, setCount] = useState(12);
  return (
    <>
      <Button
        title="Males for the kitchen"
        look="quiet"
        small
        label={`Males of ${name} for the kitchen`}
        onPress={() => setOpen(true)}
      />
      {open ? (
        <Sheet open onClose={() => setOpen(false)} title={`Males of ${name} for the kitchen`}>
          {problem ? <Notice tone="brick" text={problem} /> : null}
          <SprayNotice stand={stand} />
          {sprayWait(stand, now, place.zone) ? null : (
            <Txt size="label">
              No spray to wait for is written down here; what nobody wrote down is not known.
            </Txt>
          )}
          <Stepper
            label={`Males picked (${dozens(count)})`}
            value={count}
            least={1}
            most={500}
            onChange={setCount}
          />
          <Txt size="label">
            Only from plants treated with nothing that is not cleared for eating: read the label. Shake
            insects out; wasps and bees sleep in flowers. Leave males for tomorrow’s females. Where you sell
            them, food rules hold. A bitter flower or fruit is not eaten.
          </Txt>
          <Button
            title={`Keep it: ${plural(count, 'male')}`}
            look="main"
            busy={busy}
            onPress={() =>
              void save({ kind: 'malesPicked', stand: stand.id, count }).then(
                (saved) => saved && setOpen(false),
              )
            }
          />
        </Sheet>
      ) : null}
    </>
  );
}

/** Flowers are sold by two dozen (common practice). */
function dozens(count: number): string {
  const [dozen, rest] = [Math.floor(count / 12), count % 12];
  const whole = plural(dozen, 'dozen', 'dozen');
  return dozen === 0 ? 'less than a dozen' : rest === 0 ? whole : `${whole} and ${rest}`;
}
