import { useMemo } from 'react';
import { View } from 'react-native';
import { mdiCog, mdiMagnify } from '@/ui/controls/iconPaths';
import { useRouter } from 'expo-router';
import { keepingHours, bloomDayOf, morningOver, windowNow, type BloomDay } from '@core/bloom';
import { kitchenRound, mayFlower, type KitchenPlant } from '@core/kitchen';
import { bandDay, nextRounds, toLookAt, type Round } from '@core/rounds';
import { keptOut, walkOrder } from '@core/patch';
import { clockText, dayText } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { useOutlook } from '@/data/foresight/outlook';
import { useTonight } from '@/data/foresight/tonight';
import { useOnline } from '@/data/device/update';
import { useWeather } from '@/data/weather/weather';
import { DawnBand, type BandBar } from '@/ui/charts/DawnBand';
import { Card, Icon, Button, Notice } from '@/ui/controls';
import { LeftCard } from '@/ui/today/LeftCard';
import { LooksCard } from '@/ui/today/LooksCard';
import { OutlookCard } from '@/ui/today/OutlookCard';
import { GoalsCard } from '@/ui/today/GoalsCard';
import { OtherRounds } from '@/ui/today/OtherRounds';
import { TakeAlong } from '@/ui/today/TakeAlong';
import { SprayNotice } from '@/ui/care/SprayNotice';
import { ContradictionCard } from '@/ui/today/ContradictionCard';
import { IdleCard } from '@/ui/today/IdleCard';
import { KitchenCard } from '@/ui/today/KitchenCard';
import { RoundCard } from '@/ui/today/RoundCard';
import { TonightCard } from '@/ui/today/TonightCard';
import { SeenNow } from '@/ui/today/SeenNow';
import { WeatherCard } from '@/ui/today/WeatherCard';
import { UndoLine } from '@/ui/UndoLine';
import { gated } from '@/ui/Gate';
import { Page } from '@/ui/Page';
import { BESIDE, Txt, useIsWide } from '@/ui/theme';
import { plural } from '@/ui/words';

function Today() {
  const { state, place, now, today, prefs, patch } = useGarden();
  const router = useRouter();
  const outlook = useOutlook();
  const tonight = useTonight();
  const wide = useIsWide();
  const online = useOnline();
  const { weatherOf } = useWeather();
  const rounds = useMemo(() => nextRounds(state, place, now, weatherOf), [state, place, now, weatherOf]);
  const order = useMemo(() => walkOrder(state), [state]);
  const looks = useMemo(() => toLookAt(state, place.zone, today), [state, place.zone, today]);
  const hour12 = prefs.clock === '12';
  const first = rounds[0];
  const ownRounds = order.some(
    ({ crop, stand }) =>
      stand.reason !== 'fruit' && (crop.family === 'corn' || crop.flowers.perfect !== undefined),
  );
  const kitchen = useMemo(
    () =>
      kitchenRound(state, place.zone, today).filter(({ growing }) => mayFlower(state, place, growing, today)),
    [state, place, today],
  );
  const bloomToday = useMemo(
    () => bloomDayOf(state, place, today, weatherOf),
    [state, place, today, weatherOf],
  );
  const kitchenLeads = kitchen.length > 0 && leads(kitchen, bloomToday, first, now);
  const othersLead = !first && kitchen.length === 0;
  const kitchenCard = <KitchenCard plants={kitchen} bloomDay={bloomToday} lead={kitchenLeads} />;
  const date = useMemo(() => bandDay(place, now).date, [place, now]);
  const morning = useMemo(() => bloomDayOf(state, place, date, weatherOf), [state, place, date, weatherOf]);
  const { day } = morning;
  const hours = useMemo(() => keepingHours(order), [order]);
  const evening =
    first !== undefined &&
    first.kind !== 'dawn' &&
    first.date === today &&
    morningOver(
      morning,
      hours.map(({ crop }) => crop),
      now,
    );
  const windows = useMemo(() => {
    const bars = new Map<string, BandBar>();
    // What has all day would only crowd what keeps hours.
    for (const { crop } of hours.length > 0 ? hours : order) {
      const squash = crop.id.startsWith('squash');
      if (crop.clock.round !== (evening ? 'dusk' : 'dawn')) continue;
      const { opens, bestUntil, closes } = morning.window(crop);
      bars.set(squash ? 'squash' : crop.id, {
        name: `${squash ? 'squash' : crop.name} open`,
        from: opens,
        best: bestUntil,
        to: closes,
      });
    }
    return [...bars.values()];
  }, [order, hours, morning, evening]);
  const onBand =
    first &&
    (first.kind === 'walk' ? evening : evening === (first.kind === 'dusk') && first.date === day.date);
  const start = first
    ? first.kind === 'walk'
      ? Math.max(now, first.startsAt)
      : Math.max(now, first.window.opens)
    : 0;
  const bar =
    first && onBand
      ? {
          name: first.kind === 'walk' ? 'evening walk' : 'your round',
          from: start,
          to: start + first.minutes * 60_000,
        }
      : null;
  const summary = `${dayText(day.date)}: sun ${evening ? `sets ${clockText(day.sunset, place.zone, hour12)}` : `rises ${clockText(day.sunrise, place.zone, hour12)}, bees about ${clockText(day.insectsFrom, place.zone, hour12)}`}. ${windows.map(({ name, from, to }) => `${name} ${clockText(from, place.zone, hour12)} to ${clockText(to, place.zone, hour12)}`).join('; ')}`;
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
      banner={
        <DawnBand
          day={day}
          zone={place.zone}
          now={now}
          hour12={hour12}
          windows={windows}
          round={bar}
          summary={summary}
          part={evening ? 'dusk' : 'dawn'}
        />
      }
      side={
        <>
          <LooksCard looks={looks} onOpen={() => router.navigate('/looks')} />
          <Button title="What am I looking at? Ask the key" onPress={() => router.navigate('/key')} />
          <GoalsCard />
          <TakeAlong />
          {wide ? null : <OutlookCard outlook={outlook} />}
        </>
      }
    >
      {day.fromSun ? null : (
        <Notice
          tone="pollen"
          text="The sun does not rise or set here on this date: the times hang on solar noon, and the insects on warmth."
        />
      )}
      <UndoLine />
      {keptOut(state, now, place.zone).map(({ stand }) => (
        <SprayNotice key={stand.id} stand={stand} name={state.varieties.get(stand.variety)?.name} entering />
      ))}
      {kitchenLeads ? kitchenCard : null}
      {othersLead ? <OtherRounds morning={morning} lead /> : null}
      {first ? (
        <RoundCard
          round={first}
          onStart={() =>
            router.navigate(first.kind === 'walk' ? '/walk' : `/round?date=${first.date}&kind=${first.kind}`)
          }
        />
      ) : null}
      {first?.kind === 'walk' ? <TonightCard plan={tonight} /> : null}
      {kitchen.length > 0 && !kitchenLeads ? kitchenCard : null}
      <ContradictionCard />
      <LeftCard />
      {othersLead ? null : <OtherRounds morning={morning} />}
      <WeatherCard bloomDay={morning} />
      <SeenNow spreadMin={morning.spreadMin} />
      {first || kitchen.length > 0 || ownRounds ? null : <IdleCard worked={order.length} />}
      {rounds.slice(1).map((round) => (
        <Later
          key={`${round.kind}${round.date}`}
          round={round}
          onOpen={() =>
            router.navigate(round.kind === 'walk' ? '/walk' : `/round?date=${round.date}&kind=${round.kind}`)
          }
        />
      ))}
      {wide ? <OutlookCard outlook={outlook} /> : null}
    </Page>
  );
}

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
  const { place, prefs } = useGarden();
  const time = clockText(
    round.kind === 'walk' ? round.startsAt : round.startBy,
    place.zone,
    prefs.clock === '12',
  );
  const what =
    round.kind === 'walk'
      ? `Evening walk from ${time}`
      : `${round.kind === 'dawn' ? 'Dawn' : 'Dusk'} round, start by ${time}`;
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

export default gated(Today);
