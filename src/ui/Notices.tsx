import { useState } from 'react';
import { ScrollView, View } from 'react-native';
import { gardenDay } from '@core/bloom';
import { addDays, clockText, dayText, localDateOf } from '@core/time';
import { exportEverything } from '@/data/device/exports';
import { saveFile } from '@/data/device/files';
import { piece, usePiece } from '@/data/device/pieces';
import { useChangePrefs } from '@/data/device/prefs';
import { useLedger, useMaybeGarden, type Garden } from '@/data/garden/garden';
import { useUpdate } from '@/data/device/update';
import { Button, Notice, Row } from './controls';
import { useLasting } from './useLasting';
import { plural } from './words';
import { Txt, useColours } from './theme';

/** Two phones' clocks may differ by so much without a word. */
const CLOCK_SLACK_MS = 10 * 60_000;

/** What must be known wherever one is: storage trouble, unreadable records, a new version, the demo's clock. */
export function Notices({ atWork, bare }: { atWork: boolean; bare: boolean }) {
  const garden = useMaybeGarden();
  const ledger = useLedger();
  const update = useUpdate(atWork);
  const { trouble, unjudged, unsaved = [], waiting = [], damaged = [] } = ledger ?? { trouble: null };
  const stuck = useLasting(waiting.length > 0, 2000);
  const latest = ledger?.latestAt ? Date.parse(ledger.latestAt) : null;
  const exportAll = async ({ store, space, today }: Garden) =>
    exportEverything(await store.allEvents(), space, today);
  return (
    <View>
      {garden && trouble ? (
        <Notice
          tone="brick"
          title={
            trouble === 'full'
              ? 'Not saved: the storage of this browser is full'
              : 'Not saved: this browser refused to store it'
          }
          text={`${plural(unsaved.length, 'record')} only on this screen. Export now, or make room and save again.`}
        >
          <Button title="Export now" small onPress={() => void exportAll(garden)} />
          <Button title="Save again" small onPress={() => void garden.store.saveAgain()} />
        </Notice>
      ) : null}
      {unjudged ? (
        <Notice
          tone="brick"
          title="Not recorded"
          text="The part of the app that checks entries could not be fetched. Enter it again once you are online."
        />
      ) : null}
      {stuck && !trouble ? (
        <Notice
          tone="pollen"
          title="Still being saved"
          text={`${plural(waiting.length, 'record')} on the screen that storage has not answered for yet. Keep this page open.`}
        />
      ) : null}
      {garden && damaged.length > 0 ? (
        <Notice
          tone="brick"
          title={`${plural(damaged.length, 'stored batch', 'stored batches')} could not be read`}
          text="Everything else is here. The unread text is left where it is; save it so that it can be mended."
        >
          <Button
            title="Save the unread text"
            small
            onPress={() =>
              void Promise.all(damaged.map((key) => garden.store.rawText(key))).then((texts) =>
                saveFile('steady-trowel-unread.txt', 'text/plain', texts.join('\n')),
              )
            }
          />
        </Notice>
      ) : null}
      {/* The demo's clock is its own, and may be put back. */}
      {garden && !garden.demo && latest !== null && latest > garden.now + CLOCK_SLACK_MS && !bare ? (
        <Notice
          tone="brick"
          title="A clock is wrong"
          text={`The latest entry is of ${dayText(localDateOf(latest, garden.place.zone))}, ${clockText(latest, garden.place.zone, garden.prefs.clock === '12')}, after the time on this device. Check its clock: what is entered now would stand before it. Nothing is lost, and times can be corrected.`}
        />
      ) : null}
      {update.ready && !atWork ? (
        <Notice
          tone="dusk"
          text={
            update.held
              ? 'Another tab is in the middle of work. Finish there first: a new version would take its files away.'
              : 'A new version of Steady Trowel is ready.'
          }
        >
          <Button title="Use it now" small onPress={update.use} />
        </Notice>
      ) : null}
      {garden?.demo && garden.patch && !bare ? <DemoBar garden={garden} /> : null}
      {garden?.demo && garden.prefs.guided ? <Guide /> : null}
    </View>
  );
}

const guide = piece(() => import('./DemoGuide'));

/** The guided way, fetched when somebody wants it. */
function Guide() {
  const { DemoGuide } = usePiece(guide, true) ?? {};
  return DemoGuide ? <DemoGuide /> : null;
}

function DemoBar({ garden }: { garden: Garden }) {
  const colours = useColours();
  const [busy, setBusy] = useState(false);
  const changePrefs = useChangePrefs();
  const { place, now, prefs, moveDemoTo } = garden;
  const today = localDateOf(now, place.zone);
  const evening = gardenDay(place, today).sunset - 70 * 60_000;
  const nextEvening = evening > now ? evening : gardenDay(place, addDays(today, 1)).sunset - 70 * 60_000;
  const dawn = gardenDay(place, today).sunrise - 15 * 60_000;
  const nextDawn = dawn > now ? dawn : gardenDay(place, addDays(today, 1)).sunrise - 15 * 60_000;
  const move = (time: number) => {
    setBusy(true);
    void moveDemoTo(time).finally(() => setBusy(false));
  };
  return (
    <View
      role="region"
      aria-label="Demo clock"
      style={{ backgroundColor: colours.duskSoft, paddingHorizontal: 12, paddingVertical: 4 }}
    >
      <ScrollView
        horizontal
        showsHorizontalScrollIndicator={false}
        contentContainerStyle={{ alignItems: 'center', gap: 6 }}
      >
        <Txt size="label">
          <Txt size="label" style={{ fontWeight: '700' }}>
            Demo
          </Txt>{' '}
          {clockText(now, place.zone, prefs.clock === '12')}, {dayText(today).split(' ').slice(1).join(' ')}
        </Txt>
        <Row gap={0} style={{ flexWrap: 'nowrap' }}>
          {prefs.guided ? null : (
            <Button
              title="Guide"
              label="Guide me through one flower"
              look="quiet"
              small
              onPress={() => void changePrefs({ guided: true })}
            />
          )}
          <Button
            title={evening > now ? 'Evening' : 'Next evening'}
            label={
              evening > now
                ? 'Move the demo clock to this evening'
                : 'Move the demo clock to tomorrow evening'
            }
            look="quiet"
            small
            disabled={busy}
            onPress={() => move(nextEvening)}
          />
          <Button
            title={dawn > now ? 'Sunrise' : 'Next dawn'}
            label={dawn > now ? 'Move the demo clock to sunrise' : 'Move the demo clock to tomorrow’s dawn'}
            look="quiet"
            small
            disabled={busy}
            onPress={() => move(nextDawn)}
          />
        </Row>
      </ScrollView>
    </View>
  );
}
