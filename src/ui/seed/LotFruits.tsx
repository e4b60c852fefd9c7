import { Pressable } from 'react-native';
import type { PlantId } from '@core/ids';
import type { FruitProof } from '@core/purity';
import { useGarden } from '@/data/garden/garden';
import { BESIDE, Row, Badge, Card } from '../controls';
import { gradeText, gradeTone } from '../purity/words';
import { LongList } from '../LongList';
import { Txt, useColours } from '../theme';
import { listText, plantText } from '../words';

/** The fruits of a lot with their parents, each with its proof. */
export function LotFruits({
  fruits,
  onOpen,
}: {
  fruits: readonly FruitProof[];
  onOpen: (flower: string) => void;
}) {
  const { state } = useGarden();
  const colours = useColours();
  if (fruits.length === 0) return null;
  const name = (plant: PlantId) => plantText(state, plant);
  return (
    <Card>
      <Txt size="heading">Its fruits</Txt>
      <LongList
        items={fruits}
        keyOf={({ flower }) => flower.id}
        about={74}
        row={({ flower, proof }) => {
          const fathers = [
            ...new Set(flower.pollinations.flatMap((visit) => visit.fathers.map(({ plant }) => plant))),
          ];
          const parents = `${name(flower.plant)} × ${fathers.length === 0 ? 'father not noted' : listText(fathers.map(name))}`;
          return (
            <Pressable
              role="link"
              aria-label={`${flower.mark ?? 'no mark'}: ${parents}; proof ${gradeText(proof)}`}
              onPress={() => onOpen(flower.id)}
              style={{ borderTopWidth: 1, borderTopColor: colours.rule, paddingVertical: 8, minHeight: 48 }}
            >
              <Row>
                <Txt size="strong" style={BESIDE}>
                  {flower.mark ?? 'no mark'}
                </Txt>
                <Badge text={gradeText(proof)} tone={gradeTone[proof.grade]} />
              </Row>
              <Txt>{parents}</Txt>
            </Pressable>
          );
        }}
      />
    </Card>
  );
}
