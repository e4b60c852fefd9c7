import { View } from 'react-native';
import type { Specimen, TrainerQuestion } from '@core/practice';
import { FlowerDrawing } from '../drawings/FlowerDrawing';
import { Txt, useColours } from '../theme';

/** What is asked about: drawn as chance has it, or told in words that give nothing away. */
export function SpecimenView({
  question,
  inWords,
  chosen,
}: {
  question: TrainerQuestion;
  inWords: boolean;
  chosen: string | null;
}) {
  const { specimens, described, options, truth } = question;
  const colours = useColours();
  const many = specimens.length > 1;
  return (
    <View
      style={{
        flexDirection: inWords ? 'column' : 'row',
        justifyContent: 'center',
        gap: 10,
        flexWrap: 'wrap',
      }}
    >
      {specimens.map((specimen, i) => {
        const right = many && chosen !== null && options[i]?.id === truth;
        return (
          <View
            key={i}
            style={{
              alignItems: inWords ? 'flex-start' : 'center',
              padding: 4,
              borderWidth: 3,
              borderRadius: 6,
              borderColor: right ? colours.leaf : 'transparent',
            }}
          >
            {inWords ? (
              <Txt>
                {many ? `Number ${i + 1}. ` : ''}
                {described[i]}
              </Txt>
            ) : (
              <>
                <Drawn specimen={specimen} words={described[i] ?? ''} size={many ? 150 : 300} />
                {many ? <Txt size="strong">number {i + 1}</Txt> : null}
              </>
            )}
          </View>
        );
      })}
    </View>
  );
}

function Drawn({ specimen, words, size }: { specimen: Specimen; words: string; size: number }) {
  const { lean, grown, cover, coverSide, tint, wet, ...look } = specimen;
  return (
    <FlowerDrawing
      {...look}
      wet={wet}
      size={size}
      summary={words}
      chance={{ lean, grown, cover, coverSide, tint }}
    />
  );
}
