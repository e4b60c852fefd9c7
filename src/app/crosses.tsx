import { useMemo } from 'react';
import { crossDay } from '@core/crosses';
import type { Draft } from '@core/ledger';
import { useGarden } from '@/data/garden/garden';
import { useRecording } from '@/data/garden/useRecording';
import { Notice } from '@/ui/controls';
import { CrossCard } from '@/ui/crosses/CrossCard';
import { FatherCard } from '@/ui/crosses/FatherCard';
import { gated } from '@/ui/Gate';
import { NoStand } from '@/ui/NoStand';
import { Page } from '@/ui/Page';
import { ToToday } from '@/ui/ToToday';
import { UndoLine } from '@/ui/UndoLine';

/** Crosses of perfect flowers: fathers bagged, mothers opened, pollen on three or four times a day, bags off. */
function Crosses() {
  const { state, place, today } = useGarden();
  const { busy, problem, save } = useRecording();
  const crosses = useMemo(() => crossDay(state, place, today), [state, place, today]);
  // Two crosses may have one father: his buds are listed once, for all that want them.
  const fathers = useMemo(() => {
    const byVariety = new Map(
      crosses.flatMap(({ father }) => (father ? [[father.variety, father] as const] : [])),
    );
    return [...byVariety.values()].map((father) => ({
      ...father,
      wanted: Math.max(
        ...crosses.map((each) => (each.father?.variety === father.variety ? each.father.wanted : 0)),
      ),
    }));
  }, [crosses]);
  const onSave = (...drafts: Draft[]) => void save(...drafts);
  return (
    <Page
      title="Crosses"
      corner={<ToToday />}
      over="Perfect flowers: both in one"
      side={fathers.map((father) => (
        <FatherCard key={father.variety} father={father} busy={busy} onSave={onSave} />
      ))}
    >
      <UndoLine />
      {problem ? <Notice tone="brick" text={problem} /> : null}
      {crosses.length === 0 ? (
        <NoStand text="No stand of tomato, pepper, aubergine, potato or strawberry is grown for a cross. A stand’s reason is set on the Patch." />
      ) : null}
      {crosses.map((cross) => (
        <CrossCard key={cross.growing.stand.id} cross={cross} busy={busy} onSave={onSave} />
      ))}
    </Page>
  );
}

export default gated(Crosses);
