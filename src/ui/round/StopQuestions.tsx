import { View } from 'react-native';
import { windowNow, type ColdPollen, type OpenWindow } from '@core/bloom';
import type { Crop } from '@core/crops';
import { CLOSURE_FOUND, type LossCause } from '@core/ledger';
import { shutAgainWith, type Found, type Stop } from '@core/rounds';
import { clockText } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { Notice, Tile, Tiles } from '../controls';
import { flowerAppearance } from '../drawings/appearance';
import { FlowerDrawing } from '../drawings/FlowerDrawing';
import { degrees } from '../weather/words';
import { checkWords, closureWords } from '../words';
import { useShortcuts } from '../useShortcuts';

/** The flower drawn as it stands, and what its closure looks like. */
export function ClosureQuestion({
  stop,
  found,
  onFound,
}: {
  stop: Stop;
  found: Found | null;
  onFound: (result: Found) => void;
}) {
  const { place } = useGarden();
  const { crop, variety } = stop.growing;
  const look = flowerAppearance(stop.flower, crop, place.zone);
  const holed = found === 'holed' || found === 'insect';
  const asked = CLOSURE_FOUND.flatMap((result): Found[] =>
    result !== 'not-open' ? [result] : stop.again ? [] : [result, 'already-shut'],
  );
  useShortcuts(Object.fromEntries(asked.map((result, i) => [String(i + 1), () => onFound(result)])));
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12, alignItems: 'center' }}>
      <View style={{ width: 112, alignItems: 'center' }}>
        <FlowerDrawing
          {...look}
          closureState={found === 'torn' ? 'torn' : holed ? 'holed' : (look.closureState ?? 'whole')}
          shape={variety.shape}
          crop={crop.id}
          size={150}
        />
      </View>
      <View style={{ flexGrow: 1, flexShrink: 1, flexBasis: 150, gap: 6 }}>
        <Tiles question={`How is the ${closureWords[shutAgainWith(stop)]}?`}>
          {asked.map((result) => (
            <Tile
              key={result}
              title={result === 'already-shut' ? 'already shut' : checkWords[result]}
              chosen={found === result}
              onPress={() => onFound(result)}
              minWidth={92}
            />
          ))}
        </Tiles>
      </View>
    </View>
  );
}

const GONE_CAUSES: readonly { cause: LossCause; words: string }[] = [
  { cause: 'knocked-off', words: 'knocked off' },
  { cause: 'pest', words: 'eaten' },
  { cause: 'weather', words: 'weather' },
  { cause: 'unknown', words: 'can’t tell' },
];

export function GoneTiles({ onCause }: { onCause: (cause: LossCause) => void }) {
  return (
    <Tiles question="How was it lost?">
      {GONE_CAUSES.map(({ cause, words }) => (
        <Tile key={cause} title={words} chosen={false} onPress={() => onCause(cause)} />
      ))}
    </Tiles>
  );
}

/** Too early, or most likely too late. */
export function HoursNotice({ crop, window, asked }: { crop: Crop; window: OpenWindow; asked: boolean }) {
  const { now, place, prefs } = useGarden();
  const status = windowNow(window, now);
  if (status === 'before')
    return (
      <Notice
        tone="dusk"
        text={`${crop.plural} open from about ${clockText(window.opens, place.zone, prefs.clock === '12')}. If it is still shut, say “not open” and come back.`}
      />
    );
  if (status === 'open' && asked && now >= window.bestUntil)
    return (
      <Notice
        tone="pollen"
        text={`Past its best hours: till about ${clockText(window.closes, place.zone, prefs.clock === '12')} it may still take pollen, less surely. Give it more males.`}
      />
    );
  if (status !== 'over' || !asked) return null;
  return (
    <Notice
      tone="brick"
      text="By now this flower has most likely shut: then say “already shut”, as it takes no pollen any more. If it is still open, go on."
    />
  );
}

/** A morning too cold for the anthers: a flower may be open and give nothing yet. */
export function ColdNotice({ crop, cold }: { crop: Crop; cold: ColdPollen }) {
  const { now, place, prefs } = useGarden();
  if (cold.from !== null && now >= cold.from) return null;
  const when =
    cold.from === null
      ? 'today that is not to be expected'
      : `about ${clockText(cold.from, place.zone, prefs.clock === '12')} this morning`;
  return (
    <Notice
      tone="dusk"
      text={`Cold: anthers of ${crop.plural} open from about ${degrees(cold.limitC, prefs.units)}, ${when}. A flower may be open and its anthers still shut: look for loose pollen on a finger first; if there is none, wait for warmth.`}
    />
  );
}

/** Insects may have been in: what is still to be had of the flower. */
export function SpoiledTiles({
  kitchen,
  onKitchen,
}: {
  kitchen: boolean;
  onKitchen: (kitchen: boolean) => void;
}) {
  return (
    <Tiles question="Insects may have been in it: not for seed. What now?">
      <Tile title="Skip it" note="leave it to the bees" chosen={!kitchen} onPress={() => onKitchen(false)} />
      <Tile
        title="For the kitchen"
        note="work it, no mark"
        chosen={kitchen}
        onPress={() => onKitchen(true)}
      />
    </Tiles>
  );
}
