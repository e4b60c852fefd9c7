import type { ReactNode } from 'react';
import { View } from 'react-native';
import type { Dawn, FlowerResult, Rehearsal, RehearsalResult } from '@core/simulation';
import { Card, Button } from '../controls';
import { FlowerDrawing } from '../drawings/FlowerDrawing';
import { Page } from '../Page';
import { Txt, useColours } from '../theme';
import { plural } from '../words';

const dawnWords: Record<Dawn, string> = {
  'shut-and-open': 'shut, ready',
  'shut-and-torn': 'tape torn',
  'shut-not-open': 'shut, not open yet',
  'open-unshut': 'open, bees in',
  'still-a-bud': 'still a bud',
  over: 'over',
};

/** What really opened, tore and was missed. */
export function RehearsalDawn({
  rehearsal,
  result,
  corner,
  onNext,
}: {
  rehearsal: Rehearsal;
  result: RehearsalResult;
  corner: ReactNode;
  onNext: () => void;
}) {
  const of = (dawn: Dawn, sex?: string) =>
    result.flowers.filter((each) => each.dawn === dawn && (sex === undefined || each.flower.sex === sex))
      .length;
  return (
    <Page
      title="Dawn"
      over="Rehearsal · next morning"
      corner={corner}
      foot={<Button title="Pollinate, and see the fruit two weeks on" look="main" onPress={onNext} />}
      side={
        <Card>
          <Txt size="strong">This morning</Txt>
          <Txt>
            {plural(of('shut-and-open', 'female'), 'female')} and{' '}
            {plural(of('shut-and-open', 'male'), 'male')} shut and ready.{' '}
            {plural(of('shut-and-torn'), 'closure')} torn, {of('shut-not-open')} shut too early.
          </Txt>
          <Txt>
            Missed: {plural(of('open-unshut', 'female'), 'female')} and{' '}
            {plural(of('open-unshut', 'male'), 'male')} opened unshut.
          </Txt>
        </Card>
      }
    >
      {Array.from({ length: rehearsal.plants }, (_, i) => i + 1).map((plant) => (
        <Card key={plant} style={{ padding: 8, gap: 6 }}>
          <Txt size="strong">Plant {plant}</Txt>
          <View role="list" style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 6 }}>
            {result.flowers
              .filter(({ flower }) => flower.plant === plant)
              .map((each) => (
                <Flower key={each.flower.id} result={each} rehearsal={rehearsal} />
              ))}
          </View>
        </Card>
      ))}
    </Page>
  );
}

function Flower({ result: { flower, dawn }, rehearsal }: { result: FlowerResult; rehearsal: Rehearsal }) {
  const colours = useColours();
  const shut = dawn.startsWith('shut');
  const edge =
    dawn === 'shut-and-open'
      ? colours.leaf
      : dawn === 'open-unshut' || dawn === 'shut-and-torn'
        ? colours.brick
        : colours.rule;
  return (
    <View
      role="listitem"
      aria-label={`Node ${flower.node}, ${flower.sex}: ${dawnWords[dawn]}`}
      style={{
        width: 82,
        alignItems: 'center',
        borderWidth: dawn === 'shut-and-open' ? 3 : 1,
        borderColor: edge,
        borderRadius: 6,
        padding: 3,
      }}
    >
      <FlowerDrawing
        crop={rehearsal.crop}
        sex={flower.sex}
        appearance={
          dawn === 'open-unshut'
            ? 'open'
            : dawn === 'over'
              ? 'spent'
              : dawn === 'still-a-bud' || dawn === 'shut-not-open'
                ? flower.stage
                : 'coloured'
        }
        fullness={dawn === 'shut-not-open' || dawn === 'still-a-bud' ? flower.fullness : 0.6}
        shape={rehearsal.shape}
        closure={shut ? 'tape' : null}
        closureState={dawn === 'shut-and-torn' ? 'torn' : 'whole'}
        size={84}
      />
      <Txt size="label" style={{ textAlign: 'center' }}>
        {dawnWords[dawn]}
      </Txt>
    </View>
  );
}
