import { useState } from 'react';
import { View } from 'react-native';
import { useRouter } from 'expo-router';
import {
  filialUntilTrue,
  fixedShare,
  heterozygosityOf,
  plantsToFind,
  recurrentShare,
  showingShare,
  type Shows,
} from '@core/lineage';
import { growOutSize } from '@core/purity';
import { upperBound } from '@core/fruitset';
import { Button, Card, Stat, Stepper, Tile, Tiles } from '@/ui/controls';
import { gated } from '@/ui/Gate';
import { Page } from '@/ui/Page';
import { percentText } from '@/ui/seed/words';
import { Txt } from '@/ui/theme';
import { plural } from '@/ui/words';

const SURE = [0.9, 0.95, 0.99] as const;
const OFF = [0.01, 0.02, 0.05, 0.1] as const;

/** Sums that nobody does in the head: how many plants, how many seasons. */
function Generations() {
  const router = useRouter();
  return (
    <Page
      title="Crosses and growing out"
      over="How many plants, how many seasons"
      corner={<Button title="Seed" look="quiet" small onPress={() => router.navigate('/seed')} />}
      side={
        <>
          <Backcross />
          <GrowOut />
        </>
      }
    >
      <FirstGeneration />
      <Find />
      <TrueBreeding />
    </Page>
  );
}

function FirstGeneration() {
  return (
    <Card>
      <Txt size="heading">The first generation (F1)</Txt>
      <Txt>
        Grow 3 to 5 plants of it. One that is like its mother where the father’s trait should show was selfed:
        anthers were missed. If they differ from each other, a parent was not pure.
      </Txt>
      <Txt size="label" tone="muted">
        The fruit wall and the seed coat are the mother’s: a cross shows only next year, but for the kernels
        of corn. Mother × father and father × mother are kept apart.
      </Txt>
    </Card>
  );
}

function Find() {
  const [genes, setGenes] = useState(2);
  const [shows, setShows] = useState<Shows>('recessive');
  const [confidence, setConfidence] = useState<number>(0.95);
  const plants = plantsToFind({ genes, shows, confidence });
  return (
    <Card>
      <Txt size="heading">How many plants to find it</Txt>
      <Stat value={plants} name="plants of F2, of a selfed F1" />
      <Stepper label="Genes it takes" value={genes} least={1} most={6} onChange={setGenes} />
      <Tiles question="It shows">
        <Tile
          title="from both parents"
          note="recessive"
          small
          chosen={shows === 'recessive'}
          onPress={() => setShows('recessive')}
          minWidth={130}
        />
        <Tile
          title="from one"
          note="dominant"
          small
          chosen={shows === 'dominant'}
          onPress={() => setShows('dominant')}
          minWidth={130}
        />
      </Tiles>
      <SureTiles value={confidence} onChange={setConfidence} />
      <Txt>
        {`One plant in ${Math.round(1 / showingShare(genes, shows))} shows it. Of ${plants} plants at least one does, with ${percentText(confidence)} certainty.${shows === 'dominant' ? ' Most that show it will still split: grow their seed apart.' : ''}`}
      </Txt>
      <Txt size="label" tone="muted">
        If the genes lie apart from each other; linked ones need more.
      </Txt>
    </Card>
  );
}

function SureTiles({ value, onChange }: { value: number; onChange: (confidence: number) => void }) {
  return (
    <Tiles question="How sure?">
      {SURE.map((each) => (
        <Tile
          key={each}
          title={percentText(each)}
          small
          chosen={value === each}
          onPress={() => onChange(each)}
        />
      ))}
    </Tiles>
  );
}

function TrueBreeding() {
  const [genes, setGenes] = useState(5);
  const filial = filialUntilTrue(genes);
  return (
    <Card>
      <Txt size="heading">How many seasons until it breeds true</Txt>
      <Stat value={`F${filial}`} name={`${plural(filial - 1, 'season')} of selfing after the F1`} />
      <Stepper label="Genes its parents differ in" value={genes} least={1} most={40} onChange={setGenes} />
      <Txt>
        {`In F${filial} ${percentText(fixedShare(filial, genes))} of the plants are settled in all of them. One gene alone is still mixed in ${percentText(heterozygosityOf(filial))} of the plants.`}
      </Txt>
      <Txt size="label" tone="muted">
        In practice F6 to F8 is called stable. Potatoes never need it: each seedling is a finished variety,
        kept by its tubers.
      </Txt>
    </Card>
  );
}

function Backcross() {
  const [times, setTimes] = useState(3);
  return (
    <Card>
      <Txt size="heading">Crossing back to one parent</Txt>
      <Stat value={percentText(recurrentShare(times))} name={`of that parent in BC${times}, on average`} />
      <Stepper label="Times crossed back" value={times} least={1} most={8} onChange={setTimes} />
      <Txt>Choose in each generation for what the other parent was to bring, or it is gone.</Txt>
    </Card>
  );
}

function GrowOut() {
  const [most, setMost] = useState<number>(0.05);
  const [confidence, setConfidence] = useState<number>(0.95);
  const [grown, setGrown] = useState(60);
  const [off, setOff] = useState(0);
  const bound = upperBound(off, grown, confidence);
  return (
    <>
      <Card>
        <Txt size="heading">How many to grow out</Txt>
        <Stat value={growOutSize({ maxOffTypeShare: most, confidence })} name="plants, none of them off" />
        <Tiles question="Off-types no more than">
          {OFF.map((each) => (
            <Tile
              key={each}
              title={percentText(each)}
              small
              chosen={most === each}
              onPress={() => setMost(each)}
            />
          ))}
        </Tiles>
        <SureTiles value={confidence} onChange={setConfidence} />
      </Card>
      <Card>
        <Txt size="heading">What a count proves</Txt>
        <Stepper
          label="Plants grown"
          value={grown}
          least={1}
          most={1000}
          onChange={(next) => {
            setGrown(next);
            setOff(Math.min(off, next));
          }}
        />
        <Stepper label="Of these off" value={off} least={0} most={grown} onChange={setOff} />
        <View role="status">
          <Txt>
            {`With ${percentText(confidence)} certainty no more than ${percentText(bound)} are off (exact, one-sided).`}
          </Txt>
        </View>
        <Txt size="label" tone="muted">
          Only what can show at the stage you grow them to counts.
        </Txt>
      </Card>
    </>
  );
}

export default gated(Generations);
