import { useMemo } from 'react';
import { selfingDay } from '@core/crosses';
import type { Draft } from '@core/ledger';
import { useGarden } from '@/data/garden/garden';
import { useRecording } from '@/data/garden/useRecording';
import { Card, Notice } from '@/ui/controls';
import { SelfingCard } from '@/ui/crosses/SelfingCard';
import { gated } from '@/ui/Gate';
import { NoStand } from '@/ui/NoStand';
import { LongList } from '@/ui/LongList';
import { Page } from '@/ui/Page';
import { ToToday } from '@/ui/ToToday';
import { Steps } from '@/ui/Steps';
import { Txt, useIsWide } from '@/ui/theme';
import { UndoLine } from '@/ui/UndoLine';

const STEPS = [
  'Take off every open flower and fruit that has set.',
  'Cover a truss or bud before anything in it opens, at any hour.',
  'On a few mornings shake it inside its bag: it selfs.',
  'When fruits stand: bag off, mark on, further flowers of that truss pinched off, all on one visit.',
];

/** Pure seed of tomato, pepper, aubergine and potato: flowers that self under a cover. */
function Trusses() {
  const { state, place, today, patch } = useGarden();
  const { busy, problem, save } = useRecording();
  const plants = useMemo(() => selfingDay(state, place, today), [state, place, today]);
  const half = Math.ceil(plants.length / 2);
  const onSave = (...drafts: Draft[]) => void save(...drafts);
  const wide = useIsWide();
  const cards = (of: typeof plants) => (
    <LongList
      items={of}
      keyOf={({ growing }) => growing.plant.id}
      row={(plant) => <SelfingCard plant={plant} busy={busy} onSave={onSave} />}
      about={330}
      short={12}
      gap={12}
    />
  );
  const cautions = [...new Set(plants.map(({ growing }) => growing.crop.caution))];
  return (
    <Page
      title="Pure seed"
      over="Flowers that self under a cover"
      corner={<ToToday />}
      side={wide && half < plants.length ? cards(plants.slice(half)) : undefined}
    >
      <UndoLine />
      {problem ? <Notice tone="brick" text={problem} /> : null}
      {plants.length === 0 ? (
        <NoStand text="No tomato, pepper, aubergine, potato or alpine strawberry is grown for seed here. A stand’s reason is set on the Patch." />
      ) : (
        <Card>
          <Steps steps={STEPS} />
          {patch?.schools.cones === 'open' ? (
            <Notice
              tone="pollen"
              text="Tomatoes are saved without bags here (Settings): weaker evidence. Look whether the stigma sticks out of the cone: where it does, bag it."
            />
          ) : null}
          {cautions.map((caution) => (
            <Txt key={caution} size="label" tone="muted">
              {caution}
            </Txt>
          ))}
        </Card>
      )}
      {cards(wide ? plants.slice(0, half) : plants)}
    </Page>
  );
}

export default gated(Trusses);
