import { useMemo } from 'react';
import { View } from 'react-native';
import type { FruitShape } from '@core/crops';
import {
  fruitsBefore,
  likelyCauses,
  trialOf,
  workedOn,
  type CauseClue,
  type LikelyCause,
} from '@core/fruitset';
import { LOSS_CAUSES, type Flower, type LossCause } from '@core/ledger';
import { mainPatch, type Growing } from '@core/patch';
import { useGarden } from '@/data/garden/garden';
import { Button, Row, Sheet, Tile } from '../controls';
import { LossDrawing } from '../drawings/LossDrawing';
import { Txt } from '../theme';
import { causeHints, causeWords } from '../words';

const capital = (words: string) => `${words[0]?.toUpperCase() ?? ''}${words.slice(1)}`;

const clueWords: Readonly<Record<CauseClue, string>> = {
  'stopped-early': 'it never grew',
  'few-males': 'one male only',
  'few-lobes': 'one lobe only',
  bent: 'it grew bent',
  'grew-well': 'it had grown well',
  load: 'older fruits stood on the plant',
  hot: 'hot days since',
  frost: 'frost since',
  'wet-heat': 'wet and warm since',
  insects: 'left to the insects',
};

/** Why a fruit was lost, with pictures; what the record speaks for comes first, and nothing is chosen. Growers disagree on brown tips. */
export function CauseSheet({
  open,
  title,
  onClose,
  onCause,
  onWait,
  of,
}: {
  open: boolean;
  title: string;
  onClose: () => void;
  onCause: (cause: LossCause) => void;
  /** Where it may still come round: only noted, and looked at again. */
  onWait?: (() => void) | undefined;
  of: { readonly flower: Flower; readonly growing: Growing } | null;
}) {
  const likely = useLikely(open ? of : null);
  const first = likely.map(({ cause }) => cause);
  const rest = LOSS_CAUSES.filter((cause) => !first.includes(cause));
  const shape = of?.growing.variety.shape ?? 'round';
  return (
    <Sheet open={open} title={title} onClose={onClose}>
      {onWait ? <Button title="Not given up yet: look again" onPress={onWait} /> : null}
      {likely.length > 0 ? (
        <View role="group" aria-label="What you wrote down speaks for" style={{ gap: 4 }}>
          <Txt size="label" tone="muted">
            What you wrote down speaks for
          </Txt>
          <Row gap={6} style={{ alignItems: 'stretch' }}>
            {likely.map(({ cause, clues }) => (
              <CauseTile
                key={cause}
                cause={cause}
                shape={shape}
                note={clues.map((clue) => clueWords[clue]).join(', ')}
                onCause={onCause}
              />
            ))}
          </Row>
        </View>
      ) : null}
      <Row gap={6} style={{ alignItems: 'stretch' }}>
        {rest.map((cause) => (
          <CauseTile key={cause} cause={cause} shape={shape} onCause={onCause} />
        ))}
      </Row>
      <Txt size="label" tone="muted">
        {(['poorly-pollinated', 'blossom-end-rot', 'wet-rot', 'borer'] as const)
          .map((cause) => `${capital(causeWords[cause])}: ${causeHints[cause]}`)
          .join('. ')}
        . Growers disagree on brown tips: one school blames water and calcium, the other too little pollen;
        when it stopped growing tells most. Take the failed fruit off, so that the plant doesn’t feed it. If
        you spray: nothing on open flowers, it kills the bees; read the label, keep its days to re-entry and
        to harvest, and local law.
      </Txt>
    </Sheet>
  );
}

function CauseTile({
  cause,
  shape,
  note,
  onCause,
}: {
  cause: LossCause;
  shape: FruitShape;
  note?: string;
  onCause: (cause: LossCause) => void;
}) {
  return (
    <Tile
      title={causeWords[cause]}
      {...(note ? { note } : {})}
      chosen={false}
      onPress={() => onCause(cause)}
      picture={<LossDrawing cause={cause} shape={shape} size={46} />}
      minWidth={104}
    />
  );
}

/** What the record says of this fruit: its looks, its males, the fruits before it, the weather noted since. */
function useLikely(
  of: { readonly flower: Flower; readonly growing: Growing } | null,
): readonly LikelyCause[] {
  const { state, place } = useGarden();
  return useMemo(() => {
    if (!of) return [];
    const { flower, growing } = of;
    const trial = trialOf(flower, growing, place.zone);
    const from = workedOn(flower, place.zone);
    const weather = mainPatch(state)?.weather ?? {};
    return likelyCauses({
      flower,
      crop: growing.crop,
      zone: place.zone,
      load: trial ? fruitsBefore(state, trial, place.zone) : null,
      days: from === null ? [] : Object.values(weather).filter(({ date }) => date >= from),
    });
  }, [of, state, place.zone]);
}
