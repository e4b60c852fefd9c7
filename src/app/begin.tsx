import { useCallback, useState } from 'react';
import { useRouter } from 'expo-router';
import { TrowelError } from '@core/errors';
import { DEFAULT_BED } from '@core/patch';
import { useDraft } from '@/data/device/draft';
import { useChooseSpace, useGarden } from '@/data/garden/garden';
import { readPlace } from '@/data/forms/placeForm';
import { plantingDrafts } from '@/data/forms/planting';
import { Card, Field, Button, Notice } from '@/ui/controls';
import { PlacePicker, type PlaceDraft } from '@/ui/PlacePicker';
import { NEW_STAND, StandForm, type StandDraft } from '@/ui/patch/StandForm';
import { gated } from '@/ui/Gate';
import { Page } from '@/ui/Page';
import { Txt } from '@/ui/theme';

type Begin = PlaceDraft & StandDraft & { readonly patch: string; readonly bed: string };

const EMPTY: Begin = {
  placeName: '',
  latitude: '',
  longitude: '',
  zone: '',
  patch: 'My patch',
  bed: 'Bed 1',
  ...NEW_STAND,
};

/** The first patch: place, bed, variety, plants. Everything has a default but the variety's name. */
function BeginPatch() {
  const { record, newId, state, space } = useGarden();
  const { value, ready, change, clear } = useDraft('begin', EMPTY);
  const [errors, setErrors] = useState<Record<string, string>>({});
  const [busy, setBusy] = useState(false);
  const router = useRouter();
  const choose = useChooseSpace();
  const changePlace = useCallback((part: Partial<PlaceDraft>) => change(part), [change]);
  if (!ready) return null;
  const begin = async () => {
    const read = readPlace(value);
    const found: Record<string, string> = 'errors' in read ? { ...read.errors } : {};
    if (value.variety.trim() === '') found.variety = 'Write the name of the variety';
    setErrors(found);
    if ('errors' in read || Object.keys(found).length > 0) return;
    setBusy(true);
    const patch = newId('patch');
    const bed = { id: newId('bed'), first: { xM: 0, yM: 0 }, ...DEFAULT_BED };
    try {
      await record(
        { kind: 'patchBegun', patch, name: value.patch.trim() || 'My patch' },
        { kind: 'placeSet', patch, place: read.place },
        {
          kind: 'bedAdded',
          bed: bed.id,
          patch,
          name: value.bed.trim() || 'Bed 1',
          ...bed.first,
          ...DEFAULT_BED,
        },
        ...plantingDrafts(newId, state, patch, bed, value, null),
      );
      clear();
      router.replace('/');
    } catch (error) {
      const field = error instanceof TrowelError ? error.field : null;
      setErrors({ [field === 'name' ? 'variety' : (field ?? 'form')]: (error as Error).message });
    } finally {
      setBusy(false);
    }
  };
  return (
    <Page
      title="Begin my patch"
      over={space === 'demo' ? 'Demo' : 'Under a minute; all of it can be changed later'}
      foot={
        <>
          {errors.form ? <Notice tone="brick" text={errors.form} /> : null}
          {Object.keys(errors).length > 0 ? <Notice tone="brick" text={Object.values(errors)[0]} /> : null}
          <Button
            title={`Begin with ${value.plants} ${value.plants === 1 ? 'plant' : 'plants'}`}
            look="main"
            busy={busy}
            onPress={() => void begin()}
          />
          <Button
            title="Back"
            look="quiet"
            small
            onPress={() => void choose(null).then(() => router.replace('/'))}
          />
        </>
      }
      side={
        <Card>
          <Txt size="heading">What grows there</Txt>
          <StandForm value={value} onChange={change} error={errors.variety} />
        </Card>
      }
    >
      <Card>
        <Txt size="heading">Where it is</Txt>
        <PlacePicker value={value} errors={errors} onChange={changePlace} />
        <Field label="Name of the patch" value={value.patch} onChange={(patch) => change({ patch })} />
        <Field label="First bed" value={value.bed} onChange={(bed) => change({ bed })} />
      </Card>
    </Page>
  );
}

export default gated(BeginPatch, { needsPatch: false });
