import { useRouter } from 'expo-router';
import { cropOf } from '@core/crops';
import { DEFAULT_BED } from '@core/patch';
import { useDraft, type KeptDraft } from '@/data/device/draft';
import { beginForm, type ReadBegin, type TypedBegin } from '@/data/forms/beginForm';
import { useChooseSpace, useGarden } from '@/data/garden/garden';
import { placeOf } from '@/data/forms/placeForm';
import { plantingDrafts } from '@/data/forms/planting';
import { useRecording } from '@/data/garden/useRecording';
import { Card, Button, Notice } from '@/ui/controls';
import { TypedField } from '@/ui/forms/TypedField';
import { useTyped } from '@/ui/forms/useTyped';
import { PlacePicker } from '@/ui/PlacePicker';
import { NEW_STAND, ReasonTiles, StandForm } from '@/ui/patch/StandForm';
import { gated } from '@/ui/Gate';
import { Page } from '@/ui/Page';
import { Txt } from '@/ui/theme';

const EMPTY: TypedBegin = {
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
  const draft = useDraft('begin', EMPTY);
  return draft.ready ? <BeginForm draft={draft} /> : null;
}

function BeginForm({ draft }: { draft: KeptDraft<TypedBegin> }) {
  const { newId, state, space } = useGarden();
  const { busy, problem, save } = useRecording();
  const form = useTyped<TypedBegin, ReadBegin>(beginForm, draft.value, draft.change);
  const { value, wrong, set } = form;
  const router = useRouter();
  const choose = useChooseSpace();
  const { asked } = value;
  const short = value.reason === 'fruit';
  const first = problem ?? Object.values(wrong)[0];
  const begin = form.keep(async (read) => {
    const patch = newId('patch');
    const bed = { id: newId('bed'), first: { xM: 0, yM: 0 }, ...DEFAULT_BED };
    const unnamed = read.variety.trim() === '';
    const begun = await save(
      { kind: 'patchBegun', patch, name: read.patch || EMPTY.patch },
      { kind: 'placeSet', patch, place: placeOf(read) },
      { kind: 'bedAdded', bed: bed.id, patch, name: read.bed || EMPTY.bed, ...bed.first, ...DEFAULT_BED },
      ...plantingDrafts(
        newId,
        state,
        patch,
        bed,
        unnamed ? { ...read, variety: plainName(cropOf(read.crop).name) } : read,
        null,
      ),
    );
    if (!begun) return;
    draft.clear();
    router.replace('/');
  });
  return (
    <Page
      title="Begin my patch"
      over={space === 'demo' ? 'Demo' : 'Under a minute; all of it can be changed later'}
      foot={
        <>
          {asked ? (
            <>
              {first ? <Notice tone="brick" text={first} /> : null}
              <Button
                title={`Begin with ${value.plants} ${value.plants === 1 ? 'plant' : 'plants'}`}
                look="main"
                busy={busy}
                onPress={begin}
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
            <StandForm value={value} onChange={set} error={wrong.variety ?? null} short={short} />
          </Card>
        ) : undefined
      }
    >
      <Card>
        <ReasonTiles value={value} asked={asked} onChange={(part) => set({ ...part, asked: true })} />
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
          <PlacePicker value={value} wrong={wrong} onChange={set} />
          {short ? null : (
            <>
              <TypedField of={form} name="patch" label="Name of the patch" />
              <TypedField of={form} name="bed" label="First bed" />
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
