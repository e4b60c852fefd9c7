import { useMemo } from 'react';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { gardenDay } from '@core/bloom';
import { pollinationRound } from '@core/rounds';
import { isLocalDate } from '@core/time';
import { useDraft } from '@/data/draft';
import { useGarden } from '@/data/garden';
import { Key } from '@/ui/controls';
import { gated } from '@/ui/Gate';
import { Page } from '@/ui/Page';
import { RoundDone } from '@/ui/round/RoundDone';
import { RoundStop } from '@/ui/round/RoundStop';
import { LightProvider, Txt, useLight } from '@/ui/theme';

/** The round of one morning (or dusk), one flower a screen. It can be left and taken up again at any stop. */
function Round() {
  const { state, place, today, now, prefs, space } = useGarden();
  const params = useLocalSearchParams<{ date?: string; kind?: string }>();
  const router = useRouter();
  const light = useLight();
  const date = params.date && isLocalDate(params.date) ? params.date : today;
  const kind = params.kind === 'dusk' ? 'dusk' : 'dawn';
  const round = useMemo(() => pollinationRound(state, place, date, kind), [state, place, date, kind]);
  const { value, ready, change } = useDraft<{ flower: string | null }>(`round/${space}/${date}`, {
    flower: null,
  });
  if (!ready) return null;
  const night = prefs.light === 'by-itself' && now < gardenDay(place, date).sunrise && date === today;
  const leave = () => router.replace('/');
  if (!round) {
    return (
      <Page title="No round" foot={<Key title="Back to Today" onPress={leave} />}>
        <Txt>No flower was shut for this {kind}. Flowers are shut on the evening walk.</Txt>
      </Page>
    );
  }
  const chosen = round.stops.find(({ flower }) => flower.id === value.flower);
  const stop =
    chosen ??
    round.stops.find(({ state: how }) => how === 'to-do') ??
    round.stops.find(({ state: how }) => how === 'later') ??
    null;
  return (
    <LightProvider light={night ? 'before-dawn' : light}>
      {stop ? (
        <RoundStop
          key={stop.flower.id}
          round={round}
          stop={stop}
          onGo={(flower) => change({ flower })}
          onLeave={leave}
        />
      ) : (
        <RoundDone round={round} onLeave={leave} onGo={(flower) => change({ flower })} />
      )}
    </LightProvider>
  );
}

export default gated(Round);
