import { useMemo, useState } from 'react';
import { useRouter } from 'expo-router';
import { fruitsWaiting, type ComingLot, type SeedOverview } from '@core/seed';
import type { TypedLot } from '@/data/forms/lotForm';
import { useGarden } from '@/data/garden/garden';
import { useSeedOverview } from '@/data/study/study';
import { BESIDE, Button, Card, Notice, Row } from '@/ui/controls';
import { gated } from '@/ui/Gate';
import { InOrder, type Part } from '@/ui/InOrder';
import { Page } from '@/ui/Page';
import { LotRow } from '@/ui/seed/LotRow';
import { LotSheet } from '@/ui/seed/LotSheet';
import { plantsText } from '@/ui/seed/words';
import { Txt, useIsWide } from '@/ui/theme';
import { UndoLine } from '@/ui/UndoLine';
import { plural } from '@/ui/words';

/** Is it pure, is it enough, who stands behind it: lots and what comes into the next. */
function Seed() {
  const router = useRouter();
  const [begun, setBegun] = useState<Partial<TypedLot> | null>(null);
  const overview = useSeedOverview();
  const openLot = (id: string) => router.navigate({ pathname: '/lot/[id]', params: { id } });
  const wide = useIsWide();
  const side: readonly Part[] = [
    {
      key: 'coming',
      ready: overview !== null,
      node: <ComingLots coming={overview?.coming ?? []} />,
    },
    { key: 'generations', ready: true, node: <Generations /> },
  ];
  const main: readonly Part[] = [
    {
      key: 'fruits',
      ready: true,
      node: (
        <>
          <UndoLine />
          <InNoLot onBegin={setBegun} />
        </>
      ),
    },
    {
      key: 'lots',
      ready: overview !== null,
      node: <Lots lots={overview?.lots ?? []} onOpen={openLot} />,
    },
  ];
  return (
    <Page
      title="Seed"
      over="Lots, their parents, how pure they are"
      corner={<Button title="Purity" look="quiet" small onPress={() => router.navigate('/purity')} />}
      side={wide ? <InOrder parts={side} /> : undefined}
      foot={<Button title="Begin a lot" look="main" onPress={() => setBegun({})} />}
    >
      <InOrder parts={wide ? main : [...main, ...side]} />
      {overview === null ? <Txt role="status">Adding up …</Txt> : null}
      {begun ? (
        <LotSheet
          start={begun}
          onClose={(lot) => {
            setBegun(null);
            if (lot) openLot(lot);
          }}
        />
      ) : null}
    </Page>
  );
}

/** Fruits picked for seed that are in no lot yet. */
function InNoLot({ onBegin }: { onBegin: (lot: Partial<TypedLot>) => void }) {
  const { state } = useGarden();
  const waiting = useMemo(() => fruitsWaiting(state), [state]);
  return waiting.map(({ variety, year, fruits }) => (
    <Notice
      key={`${variety.id} ${year}`}
      tone="pollen"
      text={`${plural(fruits.length, 'fruit', 'fruits')} of ${variety.name} of ${year}, picked for seed, ${fruits.length === 1 ? 'is' : 'are'} in no lot yet.`}
    >
      <Button
        title="Make a lot of them"
        small
        label={`Make a lot of ${variety.name} ${year}`}
        onPress={() =>
          onBegin({
            variety: variety.id,
            from: 'fruits',
            fruits: fruits.map(({ id }) => id),
            year: Number(year),
          })
        }
      />
    </Notice>
  ));
}

function Lots({ lots, onOpen }: { lots: SeedOverview['lots']; onOpen: (lot: string) => void }) {
  if (lots.length === 0)
    return (
      <Txt>
        No lot yet. A lot is seed that is kept together: what you bought or were given to sow, and later what
        comes of your own fruits. Plants that name their lot can be traced back.
      </Txt>
    );
  return (
    <Card>
      <Txt size="heading">Lots</Txt>
      {lots.map((lot) => (
        <LotRow key={lot.lot} lot={lot} onOpen={() => onOpen(lot.lot)} />
      ))}
    </Card>
  );
}

function Generations() {
  const router = useRouter();
  return (
    <Card>
      <Txt size="heading">Reckon with generations</Txt>
      <Txt tone="muted">
        How many plants to find a trait, how many seasons until it breeds true, how many to grow out.
      </Txt>
      <Button title="Crosses and growing out" onPress={() => router.navigate('/generations')} />
    </Card>
  );
}

/** This year's varieties grown for seed: how their coming lots are mixed. */
function ComingLots({ coming }: { coming: readonly ComingLot[] }) {
  const { today } = useGarden();
  const router = useRouter();
  if (coming.length === 0) return null;
  return (
    <Card>
      <Txt size="heading">{`The lots of ${today.slice(0, 4)}, as they come`}</Txt>
      {coming.map(({ variety, name, fruits, size }) => (
        <Row key={variety}>
          <Txt style={BESIDE}>
            {`${name}: ${plural(fruits, 'fruit', 'fruits')}, as varied as ${plantsText(size)} ${size === 1 ? 'plant' : 'plants'}`}
          </Txt>
          <Button
            title="Mixing"
            small
            label={`How ${name} is mixed`}
            onPress={() => router.navigate({ pathname: '/mixing/[id]', params: { id: variety } })}
          />
        </Row>
      ))}
    </Card>
  );
}

export default gated(Seed);
