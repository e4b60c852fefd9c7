import { useMemo } from 'react';
import { useRouter } from 'expo-router';
import { cornScouting } from '@core/corn';
import type { Draft } from '@core/ledger';
import { useGarden } from '@/data/garden/garden';
import { useRecording } from '@/data/garden/useRecording';
import { Badge, Button, Card, Notice } from '@/ui/controls';
import { ScoutRow } from '@/ui/corn/ScoutRow';
import { gated } from '@/ui/Gate';
import { FEW_CARDS, LongList } from '@/ui/LongList';
import { NoStand } from '@/ui/NoStand';
import { Page } from '@/ui/Page';
import { Txt, useIsWide } from '@/ui/theme';
import { UndoLine } from '@/ui/UndoLine';

/** The daily look over the corn, plant by plant in walking order: shoots to bag, silk that came unbagged, tassels that shed. */
function Scout() {
  const { state, place, today } = useGarden();
  const { busy, problem, save } = useRecording();
  const router = useRouter();
  const wide = useIsWide();
  const plants = useMemo(() => cornScouting(state, place, today), [state, place, today]);
  const toLook = plants.filter(({ done }) => !done);
  const left = toLook.length;
  const half = Math.ceil(plants.length / 2);
  const onSave = (...drafts: Draft[]) => void save(...drafts);
  const rows = (of: typeof plants) => (
    <LongList
      items={of}
      keyOf={({ growing }) => growing.plant.id}
      row={(scouted) => <ScoutRow scouted={scouted} busy={busy} onSave={onSave} />}
      about={150}
      short={FEW_CARDS}
      gap={12}
    />
  );
  return (
    <Page
      title="Corn: the daily look"
      over={
        plants.length > 0 ? `${plants.length - left} of ${plants.length} looked at` : 'Shoots, silk, tassels'
      }
      badge={plants.length > 0 && left === 0 ? <Badge text="all looked at" tone="leaf" /> : undefined}
      corner={<Button title="Back" look="quiet" small onPress={() => router.replace('/corn')} />}
      side={wide ? rows(plants.slice(half)) : null}
      foot={
        <>
          {left > 1 && left < plants.length ? (
            <Button
              title={`Looked at the other ${left}: nothing new`}
              look="quiet"
              small
              disabled={busy}
              onPress={() =>
                onSave(
                  ...toLook.map(({ growing }): Draft => ({ kind: 'plantPassed', plant: growing.plant.id })),
                )
              }
            />
          ) : null}
          <Button title="To the swaps and bags" onPress={() => router.replace('/corn')} />
        </>
      }
    >
      <UndoLine />
      {problem ? <Notice tone="brick" text={problem} /> : null}
      {plants.length === 0 ? (
        <NoStand text="No corn is grown for seed or a cross here. A stand’s reason is set on the Patch." />
      ) : (
        <Card>
          <Txt tone="muted">
            Every day, in walking order. A shoot gets its bag before any silk shows: slide it over, wedge it
            between ear and stalk, cut the leaf below and trim the shoot’s leaf tips. Mind eyes and hands:
            leaf edges cut.
          </Txt>
        </Card>
      )}
      {rows(wide ? plants.slice(0, half) : plants)}
    </Page>
  );
}

export default gated(Scout);
