import { useState } from 'react';
import { bedSized, DEFAULT_BED, nextBedCorner } from '@core/patch';
import type { Bed, Draft } from '@core/ledger';
import { useGarden } from '@/data/garden/garden';
import { Field, Button, Sheet } from '../controls';
import { Txt } from '../theme';
import type { Units } from '@/data/device/prefs';
import { groundUnit } from '../words';

/** A bed's name, size and place on the plan; new or put right. */
export function BedSheet({
  bed,
  beds,
  units,
  onClose,
}: {
  bed: Bed | null;
  beds: readonly Bed[];
  units: Units;
  onClose: () => void;
}) {
  const { state, record, newId, patch } = useGarden();
  const { name: unit, metres: one } = groundUnit(units);
  const show = (metres: number) => String(Math.round((metres / one) * 100) / 100);
  const corner = nextBedCorner(beds);
  const [typed, setTyped] = useState({
    name: bed?.name ?? `Bed ${beds.length + 1}`,
    lengthM: show(bed?.lengthM ?? DEFAULT_BED.lengthM),
    widthM: show(bed?.widthM ?? DEFAULT_BED.widthM),
    xM: show(bed?.xM ?? corner.xM),
    yM: show(bed?.yM ?? corner.yM),
  });
  const [error, setError] = useState<{ field: string | null; message: string } | null>(null);
  if (!patch) return null;
  const empty = ![...state.stands.values()].some((stand) => stand.bed === bed?.id);
  const metres = (text: string) => Math.round(Number(text.replace(',', '.')) * one * 100) / 100;
  const save = async () => {
    const values = {
      name: typed.name.trim(),
      lengthM: metres(typed.lengthM),
      widthM: metres(typed.widthM),
      xM: metres(typed.xM),
      yM: metres(typed.yM),
    };
    const wrong = (['lengthM', 'widthM', 'xM', 'yM'] as const).find(
      (field) =>
        !Number.isFinite(values[field]) ||
        typed[field].trim() === '' ||
        (field.length > 2 && values[field] <= 0) ||
        Math.abs(values[field]) > 1000,
    );
    if (wrong)
      return setError({
        field: wrong,
        message: `Write a number of ${unit}${wrong.length > 2 ? ' above 0' : ''}, up to ${Math.floor(1000 / one)}`,
      });
    if (values.name === '' || values.name.length > 80)
      return setError({ field: 'name', message: 'The bed needs a name of 1 to 80 characters' });
    try {
      const changes = bed ? changesOf(bed, values) : null;
      if (changes) {
        if (changes.length > 0) await record(...changes);
      } else await record({ kind: 'bedAdded', bed: newId('bed'), patch: patch.id, ...values });
      onClose();
    } catch (problem) {
      setError({ field: 'name', message: (problem as Error).message });
    }
  };
  const field = (name: keyof typeof typed, label: string, numeric = true) => (
    <Field
      label={label}
      value={typed[name]}
      onChange={(text) => setTyped({ ...typed, [name]: text })}
      keyboard={numeric ? 'decimal-pad' : 'default'}
      error={error?.field === name ? error.message : null}
    />
  );
  return (
    <Sheet open onClose={onClose} title={bed ? `Edit ${bed.name}` : 'Add a bed'}>
      {field('name', 'Name', false)}
      {field('lengthM', `Length, ${unit}`)}
      {field('widthM', `Width, ${unit}`)}
      {field('xM', `From the left edge of the patch, ${unit}`)}
      {field('yM', `From its top edge, ${unit}`)}
      <Txt size="label" tone="muted">
        Guessed until you measure: rounds are walked in the order in which beds lie.
      </Txt>
      {bed && empty ? (
        <Button
          title={`Remove ${bed.name}`}
          look="danger"
          onPress={() => void record({ kind: 'withdrawn', subject: bed.id, target: bed.event }).then(onClose)}
        />
      ) : null}
      <Button title={bed ? 'Keep the change' : 'Add the bed'} look="main" onPress={() => void save()} />
    </Sheet>
  );
}

/** Feet and back again are off by less, m. */
const SAME_M = 0.02;

type Measured = Pick<Bed, 'name' | 'lengthM' | 'widthM' | 'xM' | 'yM'>;

/** A bed that lies elsewhere takes its plants along; a name or a size is put right where it was first written. */
function changesOf(bed: Bed, { xM, yM, ...changes }: Measured): Draft[] {
  const drafts: Draft[] = [];
  const other = (a: number, b: number) => Math.abs(a - b) > SAME_M;
  const { name, lengthM, widthM } = changes;
  const resized = other(lengthM, bed.lengthM) || other(widthM, bed.widthM);
  // A bed that was turned or sized since stays as it was first written: its plants would move with its middle.
  const since = bed.sized || bed.turnedDeg !== 0;
  if (name !== bed.name || (resized && !since))
    drafts.push({
      kind: 'corrected',
      subject: bed.id,
      target: bed.event,
      changes: since ? { name } : changes,
    });
  if (resized && since) drafts.push(bedSized(bed, { lengthM, widthM, xM, yM }));
  else if (other(xM, bed.xM) || other(yM, bed.yM))
    drafts.push({ kind: 'bedPlaced', bed: bed.id, xM, yM, turnedDeg: bed.turnedDeg });
  return drafts;
}
