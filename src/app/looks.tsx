import { useMemo, useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { useRouter } from 'expo-router';
import { toLookAt, type OwedLook } from '@core/rounds';
import { plantName, type Growing } from '@core/patch';
import type { Draft, Flower, LookResult } from '@core/ledger';
import { piece, usePiece } from '@/data/device/pieces';
import { useGarden } from '@/data/garden/garden';
import { useLookDays } from '@/ui/fruit/useLookDays';
import { Button } from '@/ui/controls';
import { AllFine } from '@/ui/fruit/AllFine';
import { CauseSheet } from '@/ui/fruit/CauseSheet';
import { CountRow } from '@/ui/fruit/CountRow';
import { LookRow } from '@/ui/fruit/LookRow';
import { AllShut, ShutRow } from '@/ui/fruit/ShutRow';
import { LoopRow } from '@/ui/fruit/LoopRow';
import { MarkRow } from '@/ui/fruit/MarkRow';
import { MarkQuestions } from '@/ui/marks/MarkQuestions';
import { gated } from '@/ui/Gate';
import { FEW_CARDS, LongList } from '@/ui/LongList';
import { Page } from '@/ui/Page';
import { Txt, useIsWide } from '@/ui/theme';
import { UndoLine } from '@/ui/UndoLine';

/** Every fruit owed a look today: one tap each; a drop asks the cause. */
function Looks() {
  const { state, place, today, record, patch } = useGarden();
  const router = useRouter();
  const looks = useMemo(() => toLookAt(state, place.zone, today), [state, place.zone, today]);
  const { owed, counts: owedCounts, early, unmarked, shut, loops, rogues, total } = looks;
  const [asking, setAsking] = useState<Asking | null>(null);
  const lookDays = useLookDays();
  const wide = useIsWide();
  const answer = ({ flower, growing, due }: OwedLook, said: Said) => {
    const { result } = said;
    const early = !due.verdict;
    // Still the same on the day of the verdict: it may have been given up, and then there is a cause.
    const asks = result === 'yellowing' || result === 'gone' || (result === 'same' && !early);
    if (asks) setAsking({ flower, growing, said, early });
    else void record(lookDraft(flower, said));
  };
  const plants = byPlant(owed);
  const half = Math.ceil(plants.length / 2);
  const rows = (of: readonly OwedLook[][]) => (
    <LongList
      items={of}
      keyOf={(here) => here[0]?.growing.plant.id ?? ''}
      row={(here) => (
        <View style={{ gap: 12 }}>
          {here.length > 1 ? <AllFine owed={here} /> : null}
          {here.map((each) => (
            <LookRow
              key={each.flower.id}
              owed={each}
              onAnswer={(result, sizeMm, markRead) => answer(each, { result, sizeMm, markRead })}
              markWhenGrowing={patch?.schools.marking === 'when-growing'}
            />
          ))}
        </View>
      )}
      about={430}
      short={FEW_CARDS}
      gap={12}
    />
  );
  return (
    <Page
      title={total === 0 ? 'All looked at' : `${total} to look at`}
      over="Fruit owed a look today"
      corner={<Button title="Back" look="quiet" small onPress={() => router.replace('/')} />}
      side={wide && half < plants.length ? rows(plants.slice(half)) : undefined}
    >
      <UndoLine />
      <MarkQuestions />
      {total === 0 ? (
        <Txt>{`Nothing more today. Worked flowers come up on the days when a look tells something${lookDays ? `: ${lookDays}` : ''}.`}</Txt>
      ) : null}
      {owedCounts.map((due) => (
        <CountRow key={`${due.stand.id}/${due.from}/${due.to}`} due={due} />
      ))}
      {rogues.length > 0 ? <Rogues rogues={rogues} /> : null}
      {shut.length > 1 ? <AllShut flowers={shut.map(({ flower }) => flower)} /> : null}
      <Cards of={shut} row={({ flower, growing }) => <ShutRow flower={flower} growing={growing} />} />
      <Cards of={unmarked} row={({ flower, growing }) => <MarkRow flower={flower} growing={growing} />} />
      <Cards of={loops} row={(due) => <LoopRow due={due} />} />
      {rows(wide ? plants.slice(0, half) : plants)}
      {early.map((due) => (
        <CountRow key={`${due.stand.id}/${due.from}/${due.to}/early`} due={due} />
      ))}
      <CauseSheet
        open={asking !== null}
        title={asking ? `${plantName(asking.growing)}: what happened?` : ''}
        onClose={() => {
          // What was seen is kept; its cause stays open.
          if (asking) void record(lookDraft(asking.flower, asking.said));
          setAsking(null);
        }}
        onCause={(cause) => {
          if (!asking) return;
          const { flower, said } = asking;
          setAsking(null);
          void record(lookDraft(flower, said), { kind: 'lost', flower: flower.id, cause });
        }}
        onWait={
          asking && (asking.early || asking.said.result === 'same') && asking.said.result !== 'gone'
            ? () => {
                const { flower, said } = asking;
                setAsking(null);
                void record(lookDraft(flower, said));
              }
            : undefined
        }
        of={asking}
      />
    </Page>
  );
}

/** Three times a season, so fetched when it is. */
const rogueRows = piece(() => import('@/ui/fruit/RogueRows'));

function Rogues({ rogues }: Pick<ReturnType<typeof toLookAt>, 'rogues'>) {
  const { RogueRows } = usePiece(rogueRows) ?? {};
  return RogueRows ? <RogueRows rogues={rogues} /> : null;
}

/** Flowers, a card each. */
function Cards<T extends { readonly flower: Flower }>({
  of,
  row,
}: {
  of: readonly T[];
  row: (due: T) => ReactNode;
}) {
  return (
    <LongList items={of} keyOf={({ flower }) => flower.id} row={row} about={190} short={FEW_CARDS} gap={12} />
  );
}

/** All that was said at one look: what waits for its cause keeps its size and its mark. */
interface Said {
  readonly result: LookResult;
  readonly sizeMm: number | null;
  readonly markRead: boolean | null;
}

function lookDraft({ id }: Flower, { result, sizeMm, markRead }: Said): Draft {
  return { kind: 'lookedAt', flower: id, result, sizeMm, ...(markRead === null ? {} : { markRead }) };
}

interface Asking {
  readonly flower: Flower;
  readonly growing: Growing;
  readonly said: Said;
  readonly early: boolean;
}

/** Plant after plant, in walking order. */
function byPlant(owed: readonly OwedLook[]): OwedLook[][] {
  const plants = new Map<string, OwedLook[]>();
  for (const each of owed) {
    const { id } = each.growing.plant;
    plants.set(id, [...(plants.get(id) ?? []), each]);
  }
  return [...plants.values()];
}

export default gated(Looks);
