import { useState } from 'react';
import { useRouter } from 'expo-router';
import { closureFacts, cropOf, SCHOOLS, type Closure } from '@core/crops';
import { dayText, toInstant } from '@core/time';
import { useChangePrefs } from '@/data/device/prefs';
import { LIGHTS, type Light } from '@/data/device/readPrefs';
import { exportEverything } from '@/data/device/exports';
import { useChooseSpace, useGarden } from '@/data/garden/garden';
import { Card, Field, Button, Notice, Row, Tile, Tiles } from '@/ui/controls';
import { TablesCard } from '@/ui/settings/TablesCard';
import { MovePlace } from '@/ui/settings/MovePlace';
import { HandOverCard } from '@/ui/settings/HandOverCard';
import { ImportCard } from '@/ui/settings/ImportCard';
import { StartAfresh } from '@/ui/settings/StartAfresh';
import { gated } from '@/ui/Gate';
import { Page } from '@/ui/Page';
import { Txt } from '@/ui/theme';

const lightWords: Record<Light, { title: string; note: string }> = {
  'by-itself': { title: 'by itself', note: 'rounds before sunrise go dark' },
  day: { title: 'day', note: 'warm paper' },
  sun: { title: 'sun', note: 'black on white, larger' },
  'before-dawn': { title: 'before dawn', note: 'dark, warm, dim' },
};

/** Place, units, light, ways of working, and the records in and out. */
function Settings() {
  const { state, prefs, patch, place, record, store, today, now, space } = useGarden();
  const changePrefs = useChangePrefs();
  const choose = useChooseSpace();
  const router = useRouter();
  const [moving, setMoving] = useState(false);
  // The choices come back a moment later; what is being typed must not wait for them.
  const [by, setBy] = useState(prefs.by);
  const [wrong, setWrong] = useState<string | null>(null);
  const exportAll = async () => {
    try {
      await exportEverything(await store.allEvents(), space, today);
      await changePrefs({ exportedAt: toInstant(now) });
      setWrong(null);
    } catch (problem) {
      setWrong((problem as Error).message);
    }
  };
  // What is about a crop that nobody grows here asks for no thought.
  const grown = new Set([...state.varieties.values()].map(({ crop }) => cropOf(crop).family));
  const schools = SCHOOLS.filter((school) => !('of' in school) || grown.has(school.of));
  return (
    <Page
      title="Settings"
      over={space === 'demo' ? 'Demo patch: kept apart from your own' : (patch?.name ?? '')}
      corner={<Button title="Back" look="quiet" small onPress={() => router.replace('/')} />}
      side={
        <>
          <Card>
            <Txt size="heading">Your records</Txt>
            <Txt>
              {state.count} records, in this browser only.{' '}
              {prefs.exportedAt
                ? `Last exported on ${dayText(prefs.exportedAt.slice(0, 10))}.`
                : 'Not carried out yet: export now and then, a lost phone loses them.'}
            </Txt>
            <Button title="Export everything (JSON)" onPress={() => void exportAll()} />
            <TablesCard />
            {wrong ? <Notice tone="brick" text={wrong} /> : null}
            <ImportCard />
          </Card>
          <HandOverCard />
          <Card>
            <Txt size="heading">Demo and own patch</Txt>
            <Txt size="label" tone="muted">
              The demo has a storage of its own; nothing of it mixes with yours.
            </Txt>
            {space === 'demo' ? (
              <Button
                title="Go to my own patch"
                onPress={() => void choose('own').then(() => router.replace('/'))}
              />
            ) : (
              <Button title="Look round the demo patch" onPress={() => router.replace('/demo')} />
            )}
          </Card>
          <StartAfresh />
        </>
      }
    >
      <Card>
        <Txt size="heading">Where and who</Txt>
        {patch ? (
          <>
            <Txt>
              {place.name} · {place.latitude}, {place.longitude} · {place.zone}
            </Txt>
            <Row>
              <Button title="Change the place" small onPress={() => setMoving(true)} />
            </Row>
          </>
        ) : (
          <Txt>No patch here yet: bring one in from a file, or go back and begin one.</Txt>
        )}
        <Field
          label="Who works with this device (written into each record)"
          value={by}
          onChange={(typed) => {
            setBy(typed.slice(0, 80));
            void changePrefs({ by: typed.slice(0, 80) });
          }}
          placeholder="first name"
        />
        <Tiles question="Units">
          <Tile
            title="metric"
            note="m, mm"
            chosen={prefs.units === 'metric'}
            onPress={() => void changePrefs({ units: 'metric' })}
          />
          <Tile
            title="US"
            note="feet, inches"
            chosen={prefs.units === 'us'}
            onPress={() => void changePrefs({ units: 'us' })}
          />
        </Tiles>
        <Tiles question="Clock">
          <Tile
            title="24 hours"
            chosen={prefs.clock === '24'}
            onPress={() => void changePrefs({ clock: '24' })}
          />
          <Tile
            title="12 hours"
            chosen={prefs.clock === '12'}
            onPress={() => void changePrefs({ clock: '12' })}
          />
        </Tiles>
        <Tiles question="Light">
          {LIGHTS.map((light) => (
            <Tile
              key={light}
              {...lightWords[light]}
              chosen={prefs.light === light}
              onPress={() => void changePrefs({ light })}
              minWidth={120}
            />
          ))}
        </Tiles>
      </Card>
      <Card>
        <Txt size="heading">Ways of working</Txt>
        <Txt size="label" tone="muted">
          Growers differ on these. Each choice is written into the log.
        </Txt>
        {schools.map(({ key, question, why, choices }) => (
          <Tiles key={key} question={`${question} ${why.value}`}>
            {choices.map(({ value, label, words }) => (
              <Tile
                key={value}
                title={label}
                note={key === 'closure' ? closureNote(value as Closure, words) : words}
                chosen={patch?.schools[key] === value}
                onPress={() =>
                  patch && void record({ kind: 'schoolChosen', patch: patch.id, school: key, choice: value })
                }
                minWidth={120}
              />
            ))}
          </Tiles>
        ))}
      </Card>
      {moving ? <MovePlace onClose={() => setMoving(false)} /> : null}
    </Page>
  );
}

/** How it is put on, what it takes, and how it goes wrong. */
function closureNote(closure: Closure, words: string): string {
  const { minutes, tools, failsWhen } = closureFacts(closure);
  return `${words} About ${Math.round(minutes.value * 60)} s, with ${tools}. Fails when: ${failsWhen.value}`;
}

export default gated(Settings, { needsPatch: false });
