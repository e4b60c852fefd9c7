import { bedSized, DEFAULT_BED, nextBedCorner } from '@core/patch';
import type { Bed, Draft } from '@core/ledger';
import { bedForm, typedBed, type Measured, type TypedBed } from '@/data/forms/bedForm';
import { useGarden } from '@/data/garden/garden';
import { useRecording } from '@/data/garden/useRecording';
import { Button, Notice, Sheet } from '../controls';
import { TypedField } from '../forms/TypedField';
import { useTyped } from '../forms/useTyped';
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
  const { state, newId, patch } = useGarden();
  const { busy, problem, save } = useRecording();
  const unit = groundUnit(units);
  const corner = nextBedCorner(beds);
  const form = useTyped<TypedBed, Measured>(
    bedForm(unit),
    typedBed(bed ?? { name: `Bed ${beds.length + 1}`, ...DEFAULT_BED, ...corner }, unit),
  );
  if (!patch) return null;
  const empty = ![...state.stands.values()].some((stand) => stand.bed === bed?.id);
  const keep = form.keep(async (values) => {
    const drafts: Draft[] = bed
      ? changesOf(bed, values)
      : [{ kind: 'bedAdded', bed: newId('bed'), patch: patch.id, ...values }];
    if (drafts.length === 0 || (await save(...drafts))) onClose();
  });
  const field = (name: keyof TypedBed, label: string) => (
    <TypedField of={form} name={name} label={`${label}, ${unit.name}`} keyboard="decimal-pad" />
  );
  return (
    <Sheet open onClose={onClose} title={bed ? `Edit ${bed.name}` : 'Add a bed'}>
      {problem ? <Notice tone="brick" text={problem} /> : null}
      <TypedField of={form} name="name" label="Name" />
      {field('lengthM', 'Length')}
      {field('widthM', 'Width')}
      {field('xM', 'From the left edge of the patch')}
      {field('yM', 'From its top edge')}
      <Txt size="label" tone="muted">
        Guessed until you measure: rounds are walked in the order in which beds lie.
      </Txt>
      {bed && empty ? (
        <Button
          title={`Remove ${bed.name}`}
          look="danger"
          onPress={() =>
            void save({ kind: 'withdrawn', subject: bed.id, target: bed.event }).then(
              (gone) => gone && onClose(),
            )
          }
        />
      ) : null}
      <Button title={bed ? 'Keep the change' : 'Add the bed'} look="main" busy={busy} onPress={keep} />
    </Sheet>
  );
}

/** Feet and back again are off by less, m. */
const SAME_M = 0.02;

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
