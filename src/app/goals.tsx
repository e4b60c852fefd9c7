import { useMemo } from 'react';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { cropOf, hasRounds } from '@core/crops';
import type { Stand, Variety } from '@core/ledger';
import { NO_GOAL } from '@core/goals';
import { plantsOfStand } from '@core/patch';
import { useDraft, type KeptDraft } from '@/data/device/draft';
import { piece, usePiece } from '@/data/device/pieces';
import { useGarden } from '@/data/garden/garden';
import { useRecording } from '@/data/garden/useRecording';
import { goalForm, goalOf, goalSoFar, typedGoal, type ReadGoal, type TypedGoal } from '@/data/forms/goalForm';
import { useGoals } from '@/data/foresight/goals';
import { useSumOf } from '@/data/foresight/sumOf';
import { Card, Button, Notice } from '@/ui/controls';
import { useTyped } from '@/ui/forms/useTyped';
import { gated } from '@/ui/Gate';
import { FrostCard } from '@/ui/goals/FrostCard';
import { GoalForm } from '@/ui/goals/GoalForm';
import { GoalRow } from '@/ui/goals/GoalRow';
import { SumCard } from '@/ui/goals/SumCard';
import { Page } from '@/ui/Page';
import { ToToday } from '@/ui/ToToday';
import { Txt, useIsWide } from '@/ui/theme';
import { UndoLine } from '@/ui/UndoLine';
import { reasonWords } from '@/ui/words';

/** What each stand is to bring; one stand's goal with its sum. */
function Goals() {
  const { state } = useGarden();
  const params = useLocalSearchParams<{ stand?: string }>();
  const stand = params.stand ? (state.stands.get(params.stand) ?? null) : null;
  const variety = stand ? (state.varieties.get(stand.variety) ?? null) : null;
  return stand && variety ? <OneGoal key={stand.id} stand={stand} variety={variety} /> : <AllGoals />;
}

/** Every stand that can have a goal, as rows; `chosen` is open beside them. */
function useGoalRows(chosen: string | null) {
  const { state } = useGarden();
  const router = useRouter();
  const sums = useGoals();
  const rows = [...state.stands.values()].flatMap((stand) => {
    const variety = state.varieties.get(stand.variety);
    const lives = plantsOfStand(state, stand.id).some(({ ended }) => !ended);
    return variety && lives && hasRounds(cropOf(variety.crop))
      ? [
          <GoalRow
            key={stand.id}
            stand={stand}
            sum={sums?.find((sum) => sum.stand.id === stand.id) ?? null}
            chosen={stand.id === chosen}
            onOpen={() => router.navigate({ pathname: '/goals', params: { stand: stand.id } })}
          />,
        ]
      : [];
  });
  return { rows, sums };
}

const mornings = piece(() => import('@/ui/goals/MorningsCard'));

/** Wanted by who can't come every day, so it is fetched with a goal on record. */
function Mornings() {
  const { MorningsCard } = usePiece(mornings) ?? {};
  return MorningsCard ? <MorningsCard /> : null;
}

function AllGoals() {
  const { patch } = useGarden();
  const wide = useIsWide();
  const { rows, sums } = useGoalRows(null);
  // A question comes before the answers that hang on it; once answered it stands aside.
  const asked = patch !== null && patch.frostOn === null && sums !== null && sums.length > 0;
  const half = wide ? Math.ceil(rows.length / 2) : rows.length;
  if (sums === null)
    return (
      <Page title="Goals" over="What each stand is to bring" corner={<ToToday />}>
        <Txt role="status">Adding up …</Txt>
      </Page>
    );
  return (
    <Page
      title="Goals"
      over="What each stand is to bring"
      corner={<ToToday />}
      side={
        <>
          {asked && !wide ? null : <FrostCard />}
          {sums.length > 0 ? <Mornings /> : null}
          {rows.slice(half)}
        </>
      }
    >
      <UndoLine />
      {asked && !wide ? <FrostCard /> : null}
      {rows.length === 0 ? (
        <Txt>No plants yet: add some on the Patch, then say what they are to bring.</Txt>
      ) : null}
      {rows.slice(0, half)}
    </Page>
  );
}

interface OfStand {
  readonly stand: Stand;
  readonly variety: Variety;
}

function OneGoal({ stand, variety }: OfStand) {
  const { space } = useGarden();
  const draft = useDraft(`goal/${space}/${stand.id}`, typedGoal(stand.goal ?? NO_GOAL));
  return draft.ready ? <GoalPage stand={stand} variety={variety} draft={draft} /> : null;
}

function GoalPage({ stand, variety, draft }: OfStand & { draft: KeptDraft<TypedGoal> }) {
  const { busy, problem, save } = useRecording();
  const router = useRouter();
  const { rows } = useGoalRows(stand.id);
  const form = useTyped<TypedGoal, ReadGoal>(goalForm, draft.value, draft.change, true);
  const goal = useMemo(() => goalSoFar(form.value), [form.value]);
  const sum = useSumOf(stand, goal);
  const crop = cropOf(variety.crop);
  const asks = goal.seed !== null || goal.kitchenFruits !== null;
  const wrong = Object.keys(form.wrong).length > 0;
  const back = () => router.navigate('/goals');
  const keep = form.keep(async (read) => {
    if (!(await save({ kind: 'goalSet', stand: stand.id, goal: asks ? goalOf(read) : null }))) return;
    draft.clear();
    back();
  });
  return (
    <Page
      title={`Goal: ${variety.name}`}
      over={`${crop.name} · for ${reasonWords[stand.reason]}`}
      list={rows.length > 1 ? rows : undefined}
      corner={<Button title="Back" look="quiet" small label="Back to all goals" onPress={back} />}
      side={
        sum ? (
          <SumCard sum={sum} />
        ) : (
          <Card>
            <Txt size="heading">The sum</Txt>
            {asks && sum === undefined ? (
              <Txt role="status">Adding up …</Txt>
            ) : (
              <Txt>Say how much you want, and the sum works back from there to tonight’s tape.</Txt>
            )}
          </Card>
        )
      }
      foot={
        <Button
          title={asks || stand.goal === null || wrong ? 'Keep this goal' : 'No goal for this stand'}
          look="main"
          busy={busy}
          disabled={!asks && stand.goal === null && !wrong}
          onPress={keep}
        />
      }
    >
      {problem ? <Notice tone="brick" text={problem} /> : null}
      {stand.reason === 'fruit' && goal.seed ? (
        <Notice
          tone="pollen"
          text="This stand is grown for the fruit; for seed its flowers have to be shut. Change its reason on the Patch."
        />
      ) : null}
      <GoalForm stand={stand} variety={variety} of={form} />
    </Page>
  );
}

export default gated(Goals);
