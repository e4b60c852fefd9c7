import { useState } from 'react';
import { ScrollView, View } from 'react-native';
import type { Bed } from '@core/ledger';
import type { LocalDate } from '@core/time';
import { useDraft } from '@/data/device/draft';
import { useGarden } from '@/data/garden/garden';
import { plantingDrafts } from '@/data/forms/planting';
import { Button, Sheet } from '../controls';
import { plural } from '../words';
import { PlantedOn } from './PlantedOn';
import { NEW_STAND, StandForm } from './StandForm';

/** The form of the sheet: what grows, and since when (`null`: not said). */
const NEW_PLANTING = { ...NEW_STAND, plantedOn: null as LocalDate | null };

/** Puts plants of one variety into a bed. */
export function StandSheet({ bed, onClose }: { bed: Bed; onClose: () => void }) {
  const { record, newId, state, patch, space } = useGarden();
  const { value, ready, change, clear } = useDraft(`stand/${space}/${bed.id}`, NEW_PLANTING);
  const [error, setError] = useState<string | null>(null);
  if (!ready || !patch) return null;
  const save = async () => {
    if (value.variety.trim() === '') return setError('Write the name of the variety');
    try {
      await record(...plantingDrafts(newId, state, patch.id, bed, value, value.plantedOn));
      clear();
      onClose();
    } catch (problem) {
      setError((problem as Error).message);
    }
  };
  return (
    <Sheet open onClose={onClose} title={`Add plants to ${bed.name}`}>
      <ScrollView style={{ maxHeight: 560 }}>
        <StandForm value={value} onChange={change} error={error} />
        <View style={{ height: 12 }} />
        <PlantedOn value={value.plantedOn} onChange={(plantedOn) => change({ plantedOn })} />
      </ScrollView>
      <Button title={`Add ${plural(value.plants, 'plant')}`} look="main" onPress={() => void save()} />
    </Sheet>
  );
}
