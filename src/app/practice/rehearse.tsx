import { useMemo, useState } from 'react';
import { useRouter } from 'expo-router';
import { catalogue, cropOf, type CropId } from '@core/crops';
import { costliest, perfectForesight, playOut, rehearsalOf } from '@core/simulation';
import { useDraft } from '@/data/device/draft';
import { useGarden } from '@/data/garden/garden';
import { usePractice } from '@/data/practice/practice';
import { Button } from '@/ui/controls';
import { gated } from '@/ui/Gate';
import { Page } from '@/ui/Page';
import { RehearsalDawn } from '@/ui/practice/RehearsalDawn';
import { RehearsalEvening } from '@/ui/practice/RehearsalEvening';
import { RehearsalScore } from '@/ui/practice/RehearsalScore';
import { walkOrder } from '@core/patch';

interface Kept {
  readonly seed: number;
  readonly crop: string;
  readonly shut: readonly string[];
  readonly part: 'evening' | 'dawn' | 'fruit';
}

/** An evening, its dawn and its fruit on a made-up patch. Half a rehearsal is kept through a reload. */
function Rehearse() {
  const router = useRouter();
  const { space, state } = useGarden();
  const { keep } = usePractice();
  const [fresh] = useState(() => (crypto.getRandomValues(new Uint32Array(1))[0] as number) % 1_000_000);
  const mine = walkOrder(state).find(({ crop }) => crop.family === 'cucurbit')?.crop.id ?? 'squash-maxima';
  const { value, ready, change, clear } = useDraft<Kept>(`rehearsal/${space}`, {
    seed: fresh,
    crop: mine,
    shut: [],
    part: 'evening',
  });
  const crop = (catalogue.some(({ id }) => id === value.crop) ? value.crop : 'squash-maxima') as CropId;
  const rehearsal = useMemo(() => rehearsalOf(value.seed, crop), [value.seed, crop]);
  const result = useMemo(() => playOut(rehearsal, value.shut), [rehearsal, value.shut]);
  const best = useMemo(() => perfectForesight(rehearsal), [rehearsal]);
  const mistakes = useMemo(
    () => (value.part === 'fruit' ? costliest(rehearsal, value.shut) : []),
    [rehearsal, value.shut, value.part],
  );
  if (!ready) return null;
  const leave = () => router.replace('/practice');
  const corner = (
    <Button title="Leave" look="quiet" small label="Leave the rehearsal; it is kept" onPress={leave} />
  );
  const toFruit = () => {
    change({ part: 'fruit' });
    // A refused record loses no rehearsal: the score stands on the screen either way.
    keep({
      kind: 'rehearsed',
      crop,
      seed: value.seed,
      shut: [...value.shut],
      fruits: result.fruits,
      best: best.fruits,
    }).catch(() => undefined);
  };
  if (value.part === 'evening')
    return (
      <RehearsalEvening
        rehearsal={rehearsal}
        shut={value.shut}
        corner={corner}
        onShut={(shut) => change({ shut })}
        onCrop={(next) => change({ crop: next, shut: [] })}
        onDone={() => change({ part: 'dawn' })}
      />
    );
  if (value.part === 'dawn')
    return <RehearsalDawn rehearsal={rehearsal} result={result} corner={corner} onNext={toFruit} />;
  return (
    <Page
      title="Two weeks on"
      over={`Rehearsal · ${cropOf(crop).name}`}
      corner={corner}
      foot={
        <Button
          title="Another evening"
          look="main"
          onPress={() => {
            clear();
            change({ seed: (value.seed + 7919) % 1_000_000, crop, shut: [], part: 'evening' });
          }}
        />
      }
    >
      <RehearsalScore rehearsal={rehearsal} result={result} best={best.fruits} mistakes={mistakes} />
    </Page>
  );
}

export default gated(Rehearse);
