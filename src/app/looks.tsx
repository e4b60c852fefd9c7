import { useMemo, useState } from 'react';
import { useRouter } from 'expo-router';
import { countsDue } from '@core/fruitset';
import { looksDue, marksMissing } from '@core/rounds';
import { plantName } from '@core/patch';
import type { Flower, LookResult } from '@core/ledger';
import { useGarden } from '@/data/garden/garden';
import { useLookDays } from '@/ui/fruit/useLookDays';
import { Button } from '@/ui/controls';
import { CauseSheet } from '@/ui/fruit/CauseSheet';
import { CountRow } from '@/ui/fruit/CountRow';
import { LookRow } from '@/ui/fruit/LookRow';
import { MarkRow } from '@/ui/fruit/MarkRow';
import { gated } from '@/ui/Gate';
import { Page } from '@/ui/Page';
import { Txt } from '@/ui/theme';
import { UndoLine } from '@/ui/UndoLine';

/** Every fruit owed a look today: one tap each; a drop asks the cause. */
function Looks() {
  const { state, place, today, record, patch } = useGarden();
  const router = useRouter();
  const owed = useMemo(() => looksDue(state, place.zone, today), [state, place.zone, today]);
  const [asking, setAsking] = useState<{ flower: Flower; result: LookResult; early: boolean } | null>(null);
  const lookDays = useLookDays();
  const answer = (flower: Flower, result: LookResult, early: boolean) => {
    // Still the same on the day of the verdict: it may have been given up, and then there is a cause.
    const asks = result === 'yellowing' || result === 'gone' || (result === 'same' && !early);
    if (asks) setAsking({ flower, result, early });
    else void record({ kind: 'lookedAt', flower: flower.id, result, sizeMm: null });
  };
  const counts = useMemo(() => countsDue(state, place.zone, today), [state, place.zone, today]);
  // Those owed a look can have their mark there.
  const unmarked = useMemo(
    () => marksMissing(state).filter(({ flower }) => !owed.some((each) => each.flower.id === flower.id)),
    [state, owed],
  );
  const owedCounts = counts.filter(({ early }) => !early);
  const total = owed.length + owedCounts.length + unmarked.length;
  const half = Math.ceil(owed.length / 2);
  const rows = owed.map((each) => (
    <LookRow
      key={each.flower.id}
      owed={each}
      onAnswer={(result) => answer(each.flower, result, !each.due.verdict)}
      markWhenGrowing={patch?.schools.marking === 'when-growing'}
    />
  ));
  return (
    <Page
      title={total === 0 ? 'All looked at' : `${total} to look at`}
      over="Fruit owed a look today"
      corner={<Button title="Back" look="quiet" small onPress={() => router.replace('/')} />}
      side={rows.slice(half)}
    >
      <UndoLine />
      {total === 0 ? (
        <Txt>{`Nothing more today. Worked flowers come up on the days when a look tells something: ${lookDays}.`}</Txt>
      ) : null}
      {owedCounts.map((due) => (
        <CountRow key={`${due.stand.id}/${due.from}/${due.to}`} due={due} />
      ))}
      {unmarked.map(({ flower, growing }) => (
        <MarkRow key={flower.id} flower={flower} growing={growing} />
      ))}
      {rows.slice(0, half)}
      {counts
        .filter(({ early }) => early)
        .map((due) => (
          <CountRow key={`${due.stand.id}/${due.from}/${due.to}/early`} due={due} />
        ))}
      <CauseSheet
        open={asking !== null}
        title={asking ? `${plantNameOf(state, asking.flower)}: what happened?` : ''}
        onClose={() => setAsking(null)}
        onCause={(cause) => {
          if (!asking) return;
          const { flower, result } = asking;
          setAsking(null);
          void record(
            { kind: 'lookedAt', flower: flower.id, result, sizeMm: null },
            { kind: 'lost', flower: flower.id, cause },
          );
        }}
        onWait={
          asking && (asking.early || asking.result === 'same') && asking.result !== 'gone'
            ? () => {
                const { flower, result } = asking;
                setAsking(null);
                void record({ kind: 'lookedAt', flower: flower.id, result, sizeMm: null });
              }
            : undefined
        }
        crop={asking ? cropAndShape(state, asking.flower) : null}
      />
    </Page>
  );
}

function plantNameOf(state: ReturnType<typeof useGarden>['state'], flower: Flower): string {
  const shape = cropAndShape(state, flower);
  return shape ? shape.name : 'This fruit';
}

function cropAndShape(state: ReturnType<typeof useGarden>['state'], flower: Flower) {
  const plant = state.plants.get(flower.plant);
  const stand = plant && state.stands.get(plant.stand);
  const variety = stand && state.varieties.get(stand.variety);
  return plant && variety ? { shape: variety.shape, name: plantName({ plant, variety }) } : null;
}

export default gated(Looks);
