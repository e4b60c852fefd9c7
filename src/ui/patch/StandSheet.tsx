import { ScrollView, View } from 'react-native';
import type { Bed } from '@core/ledger';
import type { LocalDate } from '@core/time';
import { useDraft, type KeptDraft } from '@/data/device/draft';
import { plantingDrafts } from '@/data/forms/planting';
import { plantingForm } from '@/data/forms/standForm';
import { useGarden } from '@/data/garden/garden';
import { useRecording } from '@/data/garden/useRecording';
import { Button, Notice, Sheet } from '../controls';
import { useTyped } from '../forms/useTyped';
import { plural } from '../words';
import { PlantedOn } from './PlantedOn';
import { NEW_STAND, StandForm } from './StandForm';

/** The form of the sheet: what grows, and since when (`null`: not said). */
const NEW_PLANTING = { ...NEW_STAND, plantedOn: null as LocalDate | null };
type Planted = typeof NEW_PLANTING;

/** Puts plants of one variety into a bed. */
export function StandSheet({ bed, onClose }: { bed: Bed; onClose: () => void }) {
  const { space } = useGarden();
  const draft = useDraft(`stand/${space}/${bed.id}`, NEW_PLANTING);
  return draft.ready ? <Planting bed={bed} draft={draft} onClose={onClose} /> : null;
}

function Planting({ bed, draft, onClose }: { bed: Bed; draft: KeptDraft<Planted>; onClose: () => void }) {
  const { newId, state, patch } = useGarden();
  const { busy, problem, save } = useRecording();
  const form = useTyped<Planted, Planted>(plantingForm, draft.value, draft.change);
  const { value, wrong, set } = form;
  if (!patch) return null;
  const keep = form.keep(async (read) => {
    if (!(await save(...plantingDrafts(newId, state, patch.id, bed, read, read.plantedOn)))) return;
    draft.clear();
    onClose();
  });
  return (
    <Sheet open onClose={onClose} title={`Add plants to ${bed.name}`}>
      <ScrollView style={{ maxHeight: 560 }}>
        <StandForm value={value} onChange={set} error={wrong.variety ?? null} />
        <View style={{ height: 12 }} />
        <PlantedOn value={value.plantedOn} onChange={(plantedOn) => set({ plantedOn })} />
      </ScrollView>
      {problem ? <Notice tone="brick" text={problem} /> : null}
      <Button title={`Add ${plural(value.plants, 'plant')}`} look="main" busy={busy} onPress={keep} />
    </Sheet>
  );
}
