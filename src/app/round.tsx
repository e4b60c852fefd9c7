import { useEffect, useMemo } from 'react';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { isNight } from '@/ui/round/isNight';
import { growing } from '@core/patch';
import { numberedStops, pollinationRound } from '@core/rounds';
import { clockText, isLocalDate } from '@core/time';
import { useDawnPlan } from '@/data/round/dawnPlan';
import { useDraft } from '@/data/device/draft';
import { useGarden } from '@/data/garden/garden';
import { useWeather } from '@/data/weather/weather';
import { Button } from '@/ui/controls';
import { gated } from '@/ui/Gate';
import { LeaveButton } from '@/ui/LeaveButton';
import { Page } from '@/ui/Page';
import { BeesBadge } from '@/ui/round/BeesBadge';
import { CollectMales } from '@/ui/round/CollectMales';
import { DeadlineLine } from '@/ui/round/DeadlineLine';
import { NextStops } from '@/ui/round/NextStops';
import { RoundDone } from '@/ui/round/RoundDone';
import { RoundStop } from '@/ui/round/RoundStop';
import { startWords } from '@/ui/round/startWords';
import { LightProvider, Txt, useIsWide, useLight } from '@/ui/theme';
import { useKept } from '@/ui/useKept';

/** Where someone stands in the round: kept on the device, so that a round can be taken up again. */
interface Standing {
  /** The stop gone to by hand. */
  readonly flower: string | null;
  /** The flower on the screen. */
  readonly shown: string | null;
  /** Its males are still to be picked. */
  readonly picking: boolean;
  /** The list as it stood when a stop was gone to by hand. */
  readonly leafed: readonly string[];
}
const NOWHERE: Standing = { flower: null, shown: null, picking: false, leafed: [] };

/** The round of one morning (or dusk), planned and run one stop a screen. It can be left and taken up again. */
function Round() {
  const { state, place, today, now, prefs, space } = useGarden();
  const { weatherOf } = useWeather();
  const params = useLocalSearchParams<{ date?: string; kind?: string }>();
  const router = useRouter();
  const light = useLight();
  const wide = useIsWide();
  const date = params.date && isLocalDate(params.date) ? params.date : today;
  const kind = params.kind === 'dusk' ? 'dusk' : 'dawn';
  const round = useMemo(
    () => pollinationRound(state, place, date, kind, weatherOf),
    [state, place, date, kind, weatherOf],
  );
  const dawn = useDawnPlan(round);
  const { value, ready, change } = useDraft<Standing>(`round/${space}/${date}`, NOWHERE);
  const pinned = value.shown;
  const toDo = round?.toDo ?? [];
  const chosen = round?.stops.find(({ flower }) => flower.id === value.flower);
  // What the plan leaves out comes up only when it is asked for.
  const open = (id: string) => toDo.some(({ flower }) => flower.id === id);
  // One for which there is no male is not passed over in silence: it comes last, with the ways out.
  const without = dawn?.plan?.skipped.find(({ id, reason }) => reason === 'pollen' && open(id))?.id ?? null;
  const planned = dawn?.order.find((id) => open(id) && (dawn.plan === null || dawn.at.has(id))) ?? without;
  // What is on the screen stays there while the plan changes under it: no tap may land on another flower. Males are not picked for a
  // flower that can't be worked any more.
  const stays = !value.picking || !dawn?.plan || (pinned !== null && dawn.at.has(pinned));
  const held =
    stays && toDo.some(({ flower, state: how }) => flower.id === pinned && how === 'to-do') ? pinned : null;
  const stop = chosen ?? round?.stops.find(({ flower }) => flower.id === (held ?? planned)) ?? null;
  const shown = stop?.flower.id ?? null;
  // The males to pick are those of the latest entry: a plan that comes after it adds none while someone counts them.
  const males = useKept(
    `${shown}/${state.count}/${dawn?.plan ? 'planned' : ''}`,
    dawn?.collectFor(shown) ?? [],
  );
  const collecting = chosen ? [] : males;
  const picking = collecting.length > 0;
  // Pinned as soon as it is shown: a plan that comes a moment later must not take away what somebody has begun to read.
  const settled = ready && dawn !== null && dawn.plan !== null;
  const asked = chosen !== undefined;
  useEffect(() => {
    if (settled && !asked && (shown !== pinned || picking !== value.picking)) change({ shown, picking });
  }, [settled, asked, shown, pinned, picking, value.picking, change]);
  if (!ready) return null;
  const night = date === today && isNight({ prefs, place, now, today });
  const windowOf = (plant: string | undefined) => {
    const father = plant === undefined ? null : growing(state, plant);
    return father && dawn ? dawn.morning.window(father.crop) : null;
  };
  const leave = () => router.replace('/');
  if (!round) {
    return (
      <Page title="No round" foot={<Button title="Back to Today" onPress={leave} />}>
        <Txt>No flower was shut for this {kind}. Flowers are shut on the evening walk.</Txt>
      </Page>
    );
  }
  if (round.date > today && round.kind === 'dawn') {
    // The evening before there is nothing to do yet, and nothing to record.
    return (
      <LightProvider light={light}>
        <Page
          title="Tomorrow’s round"
          over={`${startWords(round, now, (at) => clockText(at, place.zone, prefs.clock === '12'))} · ${round.toDo.length} shut`}
          foot={<Button title="Back to Today" onPress={leave} />}
        >
          <Txt>To look at only: the males are picked and the flowers worked in the morning.</Txt>
          <NextStops
            round={round}
            dawn={dawn}
            numbered={numberedStops(round, [], dawn?.order ?? [])}
            current=""
            all
          />
        </Page>
      </LightProvider>
    );
  }
  const planning = toDo.length > 0 && dawn !== null && dawn.plan === null;
  const next = held ?? planned;
  const numbered = numberedStops(round, chosen ? value.leafed : next ? [next] : [], dawn?.order ?? []);
  const onGo = (flower: string | null) => change({ flower, leafed: flower ? numbered : [] });
  return (
    <LightProvider light={night ? 'before-dawn' : light}>
      {planning ? (
        <Page title="Planning the round" corner={<LeaveButton onPress={leave} />}>
          <Txt>Who goes where, in what order, before the insects.</Txt>
        </Page>
      ) : stop && picking && dawn ? (
        <CollectMales
          key={collecting[0]?.variety}
          collecting={collecting}
          hands={dawn.hands}
          window={windowOf(collecting[0]?.plant)}
          badge={<BeesBadge round={round} />}
          foot={<DeadlineLine round={round} dawn={dawn} />}
          side={<NextStops round={round} dawn={dawn} numbered={numbered} current="" onGo={onGo} all={wide} />}
          onLeave={leave}
        />
      ) : stop ? (
        <RoundStop
          key={stop.flower.id}
          round={round}
          stop={stop}
          dawn={dawn}
          numbered={numbered}
          onGo={onGo}
          onPin={() => change({ shown: stop.flower.id, picking: false })}
          onLeave={leave}
        />
      ) : (
        <RoundDone round={round} dawn={dawn} numbered={numbered} onLeave={leave} onGo={onGo} />
      )}
    </LightProvider>
  );
}

export default gated(Round);
