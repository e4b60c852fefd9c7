import { placeForm, placeOf, typedPlace, type ReadPlace, type TypedPlace } from '@/data/forms/placeForm';
import { useGarden } from '@/data/garden/garden';
import { useRecording } from '@/data/garden/useRecording';
import { Button, Notice, Sheet } from '../controls';
import { useTyped } from '../forms/useTyped';
import { PlacePicker } from '../PlacePicker';

/** Says anew where the patch lies. */
export function MovePlace({ onClose }: { onClose: () => void }) {
  const { patch, place } = useGarden();
  const { busy, problem, save } = useRecording();
  const form = useTyped<TypedPlace, ReadPlace>(placeForm, typedPlace(place));
  if (!patch) return null;
  const keep = form.keep(async (read) => {
    if (await save({ kind: 'placeSet', patch: patch.id, place: placeOf(read) })) onClose();
  });
  return (
    <Sheet open onClose={onClose} title="Where the patch lies">
      {problem ? <Notice tone="brick" text={problem} /> : null}
      <PlacePicker value={form.value} wrong={form.wrong} onChange={form.set} />
      <Button title="Keep this place" look="main" busy={busy} onPress={keep} />
    </Sheet>
  );
}
