import { Pressable } from 'react-native';
import type { ListedLot } from '@core/seed';
import { BESIDE, Row, Badge } from '../controls';
import { gradeTone, gradeWords } from '../purity/words';
import { Txt, useColours } from '../theme';
import { plural } from '../words';
import { fromWords, plantsText } from './words';

/** One lot in a list: what it is, how pure, how many stand behind it. */
export function LotRow({ lot, onOpen }: { lot: ListedLot; onOpen: () => void }) {
  const colours = useColours();
  const { name, crop, code, from, fruits, size, sown, grade, odd } = lot;
  const facts = [
    ...(crop ? [crop] : []),
    ...(code ? [code] : []),
    from === 'fruits' ? plural(fruits, 'fruit') : fromWords[from],
    ...(size !== null && size > 0 ? [`worth ${plantsText(size)} ${size === 1 ? 'plant' : 'plants'}`] : []),
    ...(sown > 0 ? [`${plural(sown, 'plant')} sown from it`] : []),
  ].join(' · ');
  return (
    <Pressable
      role="link"
      aria-label={`${name}: ${facts}${grade ? `; proof ${gradeWords[grade]}` : ''}`}
      onPress={onOpen}
      style={{ borderTopWidth: 1, borderTopColor: colours.rule, paddingVertical: 10, gap: 2, minHeight: 56 }}
    >
      <Row>
        <Txt size="strong" style={BESIDE}>
          {name}
        </Txt>
        {odd ? <Badge text="look at this" tone="brick" /> : null}
        {grade ? <Badge text={gradeWords[grade]} tone={gradeTone[grade]} /> : null}
      </Row>
      <Txt tone="muted">{facts}</Txt>
    </Pressable>
  );
}
