import { useMemo, useState } from 'react';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { expectedMakeup, isFirstGeneration, plantsOfLot } from '@core/lineage';
import { lotName } from '@core/patch';
import { lotStanding, untrueShare } from '@core/seed';
import { useGarden } from '@/data/garden/garden';
import { Badge, Button, Card, Notice, Row } from '@/ui/controls';
import { gated } from '@/ui/Gate';
import { NotHere } from '@/ui/NotHere';
import { Page } from '@/ui/Page';
import { gradeTone, gradeWords, shareWords } from '@/ui/purity/words';
import { GrowOutCard } from '@/ui/seed/GrowOutCard';
import { GrowOutSheet } from '@/ui/seed/GrowOutSheet';
import { LotFruits } from '@/ui/seed/LotFruits';
import { MixingCard, SmallCard } from '@/ui/seed/MixingCard';
import { SownHere } from '@/ui/seed/SownHere';
import { fromWords, generationText, offWords, lotOddityText, percentText } from '@/ui/seed/words';
import { Txt } from '@/ui/theme';
import { UndoLine } from '@/ui/UndoLine';
import { listText, plantText, plural } from '@/ui/words';

const FEW = 8;

/** One lot of seed: what it is, whose, how pure, and what came of it. */
function LotPage() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const { state, today } = useGarden();
  const router = useRouter();
  const [growOut, setGrowOut] = useState(false);
  const lot = state.lots.get(id);
  const standing = useMemo(() => (lot ? lotStanding(state, lot, today) : null), [state, lot, today]);
  const share = useMemo(() => standing && untrueShare(standing), [standing]);
  if (!lot || !standing)
    return <NotHere title="No such lot" back="Seed" onBack={() => router.replace('/seed')} />;
  const { crop, generation, grade, mixture, oddities, caution, growOut: finding } = standing;
  const makeup = expectedMakeup(generation);
  const sown = plantsOfLot(state, lot.id);
  const names = sown.slice(0, FEW).map((plant) => plantText(state, plant));
  const more = sown.length > FEW ? [plural(sown.length - FEW, 'other')] : [];
  return (
    <Page
      title={lotName(lot, state)}
      over={`A lot of ${crop?.name ?? 'seed'}, ${fromWords[lot.from]}`}
      badge={grade ? <Badge text={gradeWords[grade]} tone={gradeTone[grade]} /> : undefined}
      corner={<Button title="Seed" look="quiet" small onPress={() => router.navigate('/seed')} />}
      side={
        <>
          <GrowOutCard
            lot={lot}
            finding={finding}
            first={isFirstGeneration(generation)}
            onCount={() => setGrowOut(true)}
          />
          {mixture && mixture.size > 0 ? <SmallCard size={mixture.size} /> : null}
        </>
      }
      foot={
        <Row>
          <Button
            title="Its forebears"
            grow
            onPress={() => router.navigate({ pathname: '/lineage/[id]', params: { id: lot.id } })}
          />
          <Button title="Sow it: go to Patch" grow onPress={() => router.navigate('/patch')} />
        </Row>
      }
    >
      <UndoLine />
      {oddities.map((what) => (
        <Notice key={what} tone="brick" text={lotOddityText[what]} />
      ))}
      {caution ? <Notice tone="brick" text={caution} /> : null}
      <Card>
        <Txt size="heading">What it is</Txt>
        <Txt>{generationText(state, generation)}</Txt>
        {crop?.id === 'potato' ? (
          <Txt>
            Every seedling of a potato is a new variety: none comes true, and selfing does not halve what is
            mixed, as it does elsewhere. What you like is kept by its tubers.
          </Txt>
        ) : makeup && generation.kind !== 'pure' ? (
          <Txt>
            {`Of what its first parents differed in, ${percentText(makeup.heterozygosity)} is still mixed in a plant, on average${makeup.recurrent === null ? '' : `; ${percentText(makeup.recurrent)} of it is from the parent crossed back to`}.`}
          </Txt>
        ) : null}
        {generation.kind === 'f1' && generation.selfings === 0 ? (
          <Txt tone="muted">Seed saved from an F1 hybrid does not come true: it splits up.</Txt>
        ) : null}
        {share ? (
          <Txt>{finding.off > 0 ? offWords(share) : shareWords(share)}</Txt>
        ) : (
          <Txt tone="muted">How pure it is, nobody here has seen: grow some out.</Txt>
        )}
        {lot.note === '' ? null : <Txt>“{lot.note}”</Txt>}
        <Txt>
          {sown.length === 0
            ? 'No plant on record was sown from it.'
            : `Sown from it: ${listText([...names, ...more])}.`}
        </Txt>
        <SownHere lot={lot} />
      </Card>
      {mixture && mixture.fruits > 0 ? <MixingCard title="Who stands behind it" mixture={mixture} /> : null}
      <LotFruits
        fruits={standing.fruits}
        onOpen={(flower) => router.navigate({ pathname: '/proof/[id]', params: { id: flower } })}
      />
      {growOut ? (
        <GrowOutSheet lot={lot} first={isFirstGeneration(generation)} onClose={() => setGrowOut(false)} />
      ) : null}
    </Page>
  );
}

export default gated(LotPage);
