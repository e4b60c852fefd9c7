import { Pressable, View } from 'react-native';
import { generationCode } from '@core/lineage';
import { lotName, type LotStanding } from '@core/seed';
import { useGarden } from '@/data/garden/garden';
import { Badge } from '../controls';
import { gradeTone, gradeWords } from '../purity/words';
import { Txt, useColours } from '../theme';
import { plural } from '../words';
import { fromWords, plantsText } from './words';

/** One lot in a list: what it is, how pure, how many stand behind it. */
export function LotRow({ standing, onOpen }: { standing: LotStanding; onOpen: () => void }) {
  const { state } = useGarden();
  const colours = useColours();
  const { lot, crop, generation, grade, mixture, sown, oddities } = standing;
  const code = generationCode(generation);
  const name = lotName(lot, state);
  const facts = [
    ...(crop ? [crop.name] : []),
    ...(code ? [code] : []),
    lot.from === 'fruits' ? plural(lot.fruits.length, 'fruit') : fromWords[lot.from],
    ...(mixture && mixture.size > 0
      ? [`worth ${plantsText(mixture.size)} ${mixture.size === 1 ? 'plant' : 'plants'}`]
      : []),
    ...(sown > 0 ? [`${plural(sown, 'plant')} sown from it`] : []),
  ].join(' · ');
  return (
    <Pressable
      role="link"
      aria-label={`${name}: ${facts}${grade ? `; proof ${gradeWords[grade]}` : ''}`}
      onPress={onOpen}
      style={{ borderTopWidth: 1, borderTopColor: colours.rule, paddingVertical: 10, gap: 2, minHeight: 56 }}
    >
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}>
        <Txt size="strong" style={{ flex: 1 }}>
          {name}
        </Txt>
        {oddities.length > 0 ? <Badge text="look at this" tone="brick" /> : null}
        {grade ? <Badge text={gradeWords[grade]} tone={gradeTone[grade]} /> : null}
      </View>
      <Txt tone="muted">{facts}</Txt>
    </Pressable>
  );
}
