import { useMemo } from 'react';
import { View } from 'react-native';
import { mdiCog, mdiMagnify } from '@/ui/controls/iconPaths';
import { useRouter } from 'expo-router';
import { bloomDayOf, inFlower, windowNow, type BloomDay } from '@core/bloom';
import { kitchenRound, type KitchenPlant } from '@core/kitchen';
import { bandDay, nextRounds, toLookAt, type Round } from '@core/rounds';
import { keptOut, walkOrder } from '@core/patch';
import { clockText, dayText } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { useForesight } from '@/data/foresight/foresight';
import { useOnline } from '@/data/device/update';
import { useWeather } from '@/data/weather/weather';
import { Card, Icon, Button, Notice } from '@/ui/controls';
import { LastSeasonCard } from '@/ui/patch/LastSeasonCard';
import { LeftCard } from '@/ui/today/LeftCard';
import { LooksCard } from '@/ui/today/LooksCard';
import { OutlookCard } from '@/ui/today/OutlookCard';
import { GoalsCard } from '@/ui/today/GoalsCard';
import { OtherRounds } from '@/ui/today/OtherRounds';
import { roundsBeside } from '@/ui/today/roundsBeside';
import { TakeAlong } from '@/ui/today/TakeAlong';
import { SprayNotice } from '@/ui/care/SprayNotice';
import { ContradictionCard } from '@/ui/today/ContradictionCard';
import { IdleCard } from '@/ui/today/IdleCard';
import { KitchenCard } from '@/ui/today/KitchenCard';
import { RipeCard } from '@/ui/today/RipeCard';
import { RoundCard } from '@/ui/today/RoundCard';
import { TodayBand } from '@/ui/today/TodayBand';
import { TonightCard } from '@/ui/today/TonightCard';
import { SeenNow } from '@/ui/today/SeenNow';
import { TurnCard } from '@/ui/today/TurnCard';
import { WeatherCard } from '@/ui/today/WeatherCard';
import { startWords } from '@/ui/round/startWords';
import { UndoLine } from '@/ui/UndoLine';
import { gated } from '@/ui/Gate';
import { InOrder, type Part } from '@/ui/InOrder';
import { Page } from '@/ui/Page';
import { BESIDE, Txt, useIsWide } from '@/ui/theme';
import { plural } from '@/ui/words';

function Today() {
  const { state, place, now, today, prefs, patch } = useGarden();
  const router = useRouter();
  const told = useForesight();
  const outlook = told?.outlook ?? null;
  const wide = useIsWide();
  const online = useOnline();
  const { weatherOf } = useWeather();
  const done = told?.tonight.done;
  const rounds = useMemo(
    () => nextRounds(state, place, now, weatherOf, done),
    [state, place, now, weatherOf, done],
  );
  const order = useMemo(() => walkOrder(state), [state]);
  const looks = useMemo(() => toLookAt(state, place.zone, today), [state, place.zone, today]);
  const hour12 = prefs.clock === '12';
  const first = rounds[0];
  const flowering = useMemo(() => inFlower(state, place, today), [state, place, today]);
  const kitchen = useMemo(
    () => kitchenRound(state, place.zone, today).filter(({ growing }) => flowering(growing) === 'on'),
    [state, place, today, flowering],
  );
  const bloomToday = useMemo(
    () => bloomDayOf(state, place, today, weatherOf),
    [state, place, today, weatherOf],
  );
  // Out of season nothing opens or shuts that could be noted.
  const anyOn = useMemo(() => order.some((each) => flowering(each) === 'on'), [order, flowering]);
  // What stands for years only rests.
  const seasonOver = useMemo(() => {
    const annual = order.filter(({ crop }) => crop.perennial === null);
    return annual.length > 0 && annual.every((each) => flowering(each) === 'over');
  }, [order, flowering]);
  const kitchenLeads = kitchen.length > 0 && leads(kitchen, bloomToday, first, now);
  const othersLead = !first && kitchen.length === 0;
  const kitchenCard = <KitchenCard plants={kitchen} bloomDay={bloomToday} lead={kitchenLeads} />;
  const date = useMemo(() => bandDay(place, now).date, [place, now]);
  const morning = useMemo(() => bloomDayOf(state, place, date, weatherOf), [state, place, date, weatherOf]);
  const beside = useMemo(
    () => roundsBeside(state, place, today, morning, now),
    [state, place, today, morning, now],
  );
  const outlookPart = { key: 'outlook', ready: told !== null, node: <OutlookCard outlook={outlook} /> };
  const main: readonly Part[] = [
    {
      key: 'now',
      ready: true,
      node: (
        <>
          {morning.day.fromSun ? null : (
            <Notice
              tone="pollen"
              text="The sun does not rise or set here on this date: the times hang on solar noon, and the insects on warmth."
            />
          )}
          <UndoLine />
          {keptOut(state, now, place.zone).map(({ stand }) => (
            <SprayNotice
              key={stand.id}
              stand={stand}
              name={state.varieties.get(stand.variety)?.name}
              entering
            />
          ))}
          {anyOn ? <TurnCard insectsFrom={bloomToday.day.insectsFrom} /> : null}
          {kitchenLeads ? kitchenCard : null}
          {othersLead ? <OtherRounds rounds={beside} lead /> : null}
          {first ? <RoundCard round={first} onStart={() => router.navigate(pathOf(first))} /> : null}
        </>
      ),
    },
    {
      key: 'tonight',
      ready: told !== null || first?.kind !== 'walk',
      node: first?.kind === 'walk' ? <TonightCard plan={told?.tonight ?? null} /> : null,
    },
    {
      key: 'rest',
      ready: true,
      node: (
        <>
          {kitchen.length > 0 && !kitchenLeads ? kitchenCard : null}
          <ContradictionCard />
          <LeftCard />
          {othersLead ? null : <OtherRounds rounds={beside} />}
          <WeatherCard bloomDay={morning} />
          {anyOn ? <SeenNow spreadMin={morning.spreadMin} /> : null}
          {first || kitchen.length > 0 || beside.length > 0 ? null : (
            <IdleCard grown={order} over={seasonOver} />
          )}
          {rounds.slice(1).map((round) => (
            <Later
              key={`${round.kind}${round.date}`}
              round={round}
              onOpen={() => router.navigate(pathOf(round))}
            />
          ))}
        </>
      ),
    },
  ];
  const aside: readonly Part[] = [
    {
      key: 'looks',
      ready: true,
      node: (
        <>
          <LooksCard looks={looks} onOpen={() => router.navigate('/looks')} />
          <Button title="What am I looking at? Ask the key" onPress={() => router.navigate('/key')} />
        </>
      ),
    },
    {
      key: 'goals',
      ready: told !== null,
      node: (
        <>
          <RipeCard />
          {seasonOver ? <LastSeasonCard /> : null}
          <GoalsCard />
        </>
      ),
    },
    { key: 'take along', ready: true, node: <TakeAlong /> },
    ...(wide ? [] : [outlookPart]),
  ];
  return (
    <Page
      title={dayText(today)}
      over={`${patch?.name ?? ''} · ${clockText(now, place.zone, hour12)}${online ? '' : ' · no network, none needed'}`}
      corner={
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', flexShrink: 1 }}>
          <Button
            title="Find"
            label="Find anything"
            look="quiet"
            small
            icon={<Icon path={mdiMagnify} tone="muted" />}
            onPress={() => router.navigate('/search')}
          />
          <Button
            title="Settings"
            look="quiet"
            small
            icon={<Icon path={mdiCog} tone="muted" />}
            onPress={() => router.navigate('/settings')}
          />
        </View>
      }
      banner={<TodayBand bloom={morning} first={first} />}
      side={wide ? <InOrder parts={aside} /> : undefined}
    >
      <InOrder parts={wide ? [...main, outlookPart] : [...main, ...aside]} />
    </Page>
  );
}

const pathOf = (round: Round) =>
  round.kind === 'walk' ? '/walk' : (`/round?date=${round.date}&kind=${round.kind}` as const);

/** The kitchen round comes first where there is no other, or while its vines are open and the next walk is hours off. */
function leads(
  kitchen: readonly KitchenPlant[],
  bloomDay: BloomDay,
  first: Round | undefined,
  now: number,
): boolean {
  if (!first) return true;
  if (first.kind !== 'walk' || now >= first.startsAt) return false;
  return kitchen.some(({ growing: { crop } }) => windowNow(bloomDay.window(crop), now) === 'open');
}

function Later({ round, onOpen }: { round: Round; onOpen: () => void }) {
  const { place, prefs, now } = useGarden();
  const time = (at: number) => clockText(at, place.zone, prefs.clock === '12');
  const what =
    round.kind === 'walk'
      ? `Evening walk from ${time(round.startsAt)}`
      : `${round.kind === 'dawn' ? 'Dawn' : 'Dusk'} round, ${startWords(round, now, time)}`;
  const count =
    round.kind === 'walk'
      ? plural(round.plants.length, 'plant')
      : `${plural(round.toDo.length, 'female')} shut`;
  return (
    <Card style={{ paddingVertical: 8 }}>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8 }}>
        <View style={BESIDE}>
          <Txt size="strong">{what}</Txt>
          <Txt size="label" tone="muted">
            {dayText(round.date)} · {count}
          </Txt>
        </View>
        <Button title="Open" small label={`Open: ${what}`} onPress={onOpen} />
      </View>
    </Card>
  );
}

export default gated(Today, { early: true });
