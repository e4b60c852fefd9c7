import { useCallback, useState } from 'react';
import { useRouter } from 'expo-router';
import { TrowelError } from '@core/errors';
import { cropOf } from '@core/crops';
import { DEFAULT_BED } from '@core/patch';
import { useDraft } from '@/data/device/draft';
import { useChooseSpace, useGarden } from '@/data/garden/garden';
import { readPlace } from '@/data/forms/placeForm';
import { plantingDrafts } from '@/data/forms/planting';
import { Card, Field, Button, Notice } from '@/ui/controls';
import { PlacePicker, type PlaceDraft } from '@/ui/PlacePicker';
import { NEW_STAND, ReasonTiles, StandForm, type StandDraft } from '@/ui/patch/StandForm';
import { gated } from '@/ui/Gate';
import { Page } from '@/ui/Page';
import { Txt } from '@/ui/theme';

type Begin = PlaceDraft &
  StandDraft & {
    readonly patch: string;
    readonly bed: string;
    /** Whether it was said what for. */
    readonly asked: boolean;
  };

const EMPTY: Begin = {
  placeName: '',
  latitude: '',
  longitude: '',
  zone: '',
  patch: 'My patch',
  bed: 'Bed 1',
  asked: false,
  ...NEW_STAND,
};

/** The first patch. What for comes first: who wants something to eat is asked for a place, a crop and how many plants, and no more. */
function BeginPatch() {
  const { record, newId, state, space } = useGarden();
  const { value, ready, change, clear } = useDraft('begin', EMPTY);
  const [errors, setErrors] = useState<Record<string, string>>({});
  const [busy, setBusy] = useState(false);
  const router = useRouter();
  const choose = useChooseSpace();
  const changePlace = useCallback((part: Partial<PlaceDraft>) => change(part), [change]);
  if (!ready) return null;
  const { asked } = value;
  const short = value.reason === 'fruit';
  const unnamed = short && value.variety.trim() === '';
  const begin = async () => {
    const read = readPlace(value);
    const found: Record<string, string> = 'errors' in read ? { ...read.errors } : {};
    if (value.variety.trim() === '' && !short) found.variety = 'Write the name of the variety';
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
        ...plantingDrafts(
          newId,
          state,
          patch,
          bed,
          unnamed ? { ...value, variety: plainName(cropOf(value.crop).name) } : value,
          null,
        ),
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
          {asked ? (
            <>
              {Object.keys(errors).length > 0 ? (
                <Notice tone="brick" text={Object.values(errors)[0]} />
              ) : null}
              <Button
                title={`Begin with ${value.plants} ${value.plants === 1 ? 'plant' : 'plants'}`}
                look="main"
                busy={busy}
                onPress={() => void begin()}
              />
            </>
          ) : null}
          <Button
            title="Back"
            look="quiet"
            small
            onPress={() => void choose(null).then(() => router.replace('/'))}
          />
        </>
      }
      side={
        asked ? (
          <Card>
            <Txt size="heading">What grows there</Txt>
            <StandForm value={value} onChange={change} error={errors.variety} short={short} />
          </Card>
        ) : undefined
      }
    >
      <Card>
        <ReasonTiles value={value} asked={asked} onChange={(part) => change({ ...part, asked: true })} />
        {asked ? null : (
          <>
            <Txt tone="muted">
              More can come later, each stand for a purpose of its own. For fruit there is little to say; for
              pure seed and crosses the proof begins here.
            </Txt>
            <Button
              title="I only want to learn: show me the demo patch"
              look="quiet"
              onPress={() => router.replace('/demo?guide=1')}
            />
          </>
        )}
      </Card>
      {asked ? (
        <Card>
          <Txt size="heading">Where it is</Txt>
          <PlacePicker value={value} errors={errors} onChange={changePlace} />
          {short ? null : (
            <>
              <Field label="Name of the patch" value={value.patch} onChange={(patch) => change({ patch })} />
              <Field label="First bed" value={value.bed} onChange={(bed) => change({ bed })} />
            </>
          )}
        </Card>
      ) : null}
    </Page>
  );
}

/** What a stand is called whose variety nobody knows: `Squash`. */
const plainName = (crop: string) => (crop.charAt(0).toUpperCase() + crop.slice(1)).replace(/ \(.*\)/, '');

export default gated(BeginPatch, { needsPatch: false });
