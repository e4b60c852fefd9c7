import { View } from 'react-native';
import type { Flower } from '@core/ledger';
import { fitForSeed, type FitReason, type Fitness } from '@core/purity';
import { useGarden } from '@/data/garden/garden';
import { Badge } from '../controls';
import { reasonText } from '../purity/words';
import { Txt } from '../theme';

const verdictWords: Record<Fitness, string> = {
  fit: 'fit for seed',
  'not-recorded': 'seed: not all recorded',
  unfit: 'not for seed',
};
const verdictTone = { fit: 'leaf', 'not-recorded': 'pollen', unfit: 'brick' } as const;

const linkText: Record<FitReason['link'], string> = {
  'shut-before': 'before it opened',
  whole: 'at dawn',
  'kept-shut': 'the closure, after the work',
  kept: 'the flower',
  'no-insect': 'bees while it was worked',
  'shut-again': 'shut again afterwards',
  fathers: 'fathers',
  'father-variety': 'fathers',
  'anthers-out': 'anthers taken out',
};

/** What a flower is fit for as seed by what was recorded of it, and what speaks against it or is missing. */
export function FitnessLine({ flower }: { flower: Flower }) {
  const { state } = useGarden();
  const { verdict, reasons } = fitForSeed(flower, state);
  const wanting = reasons.filter((reason) => reason.state !== 'seen');
  const shown = wanting.filter(({ state: how }) => verdict !== 'unfit' || how === 'broken');
  return (
    <View style={{ gap: 4, alignItems: 'flex-start' }}>
      <Badge text={verdictWords[verdict]} tone={verdictTone[verdict]} />
      {shown.length > 0 ? (
        <Txt size="label" tone="muted">
          {[...new Set(shown.map(sentence))].join('; ')}.
        </Txt>
      ) : null}
    </View>
  );
}

function sentence({ link, what }: FitReason): string {
  return what === 'nobody-said' ? `${linkText[link]}: ${reasonText[what]}` : reasonText[what];
}
