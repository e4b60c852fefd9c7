import { useState } from 'react';
import { View } from 'react-native';
import { useRouter } from 'expo-router';
import type { Flower } from '@core/ledger';
import { findMark, marksBeginning } from '@core/purity';
import { markInCode } from '@core/tags';
import { useGarden } from '@/data/garden/garden';
import { Button, Field } from '@/ui/controls';
import { gated } from '@/ui/Gate';
import { CodeCamera } from '@/ui/marks/CodeCamera';
import { FoundMark } from '@/ui/marks/FoundMark';
import { Keypad } from '@/ui/marks/Keypad';
import { LostMark } from '@/ui/marks/LostMark';
import { MarkQuestions } from '@/ui/marks/MarkQuestions';
import { Page } from '@/ui/Page';
import { Txt } from '@/ui/theme';
import { UndoLine } from '@/ui/UndoLine';

/** The shortest mark there is. */
const WHOLE = 3;

/** A fruit in the hand: whose is it? By its mark, by the square code of its tag, or by what can be seen of it. */
function FindPage() {
  const { state } = useGarden();
  const router = useRouter();
  const [mark, setMark] = useState('');
  const [lost, setLost] = useState(false);
  const toProof = ({ id }: Flower) => router.navigate({ pathname: '/proof/[id]', params: { id } });
  const toPlant = ({ id, plant }: Flower) =>
    router.navigate({ pathname: '/plant/[id]', params: { id: plant, flower: id } });
  const keyed = mark.trim() === '' ? null : findMark(state, mark);
  // Before a mark is whole it is neither wrong nor unknown.
  const beginning = keyed === null || keyed.kind === 'found' ? [] : marksBeginning(state, mark);
  const found =
    keyed?.kind === 'found' || (beginning.length === 0 && mark.replace(/\W/g, '').length >= WHOLE)
      ? keyed
      : null;
  return (
    <Page
      title="Find a fruit"
      over="By its mark"
      corner={<Button title="Fruit" look="quiet" small onPress={() => router.navigate('/fruit')} />}
      side={
        <>
          <CodeCamera onCode={(text) => setMark(markInCode(text))} />
          {lost ? (
            <LostMark onProof={toProof} />
          ) : (
            <Button title="It has no mark" onPress={() => setLost(true)} />
          )}
          <Button title="Print tags" look="quiet" onPress={() => router.navigate('/tags')} />
        </>
      }
    >
      <UndoLine />
      <MarkQuestions />
      <Field label="The mark" large value={mark} onChange={setMark} />
      <Keypad
        onKey={(key) => setMark(mark + key)}
        onBack={() => setMark(mark.replace(/-?.$/, ''))}
        onClear={() => setMark('')}
      />
      {beginning.length > 0 ? (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 6 }}>
          {beginning.map((each) => (
            <Button
              key={`${each.mark}/${each.flower}`}
              title={each.mark}
              small
              onPress={() => setMark(each.mark)}
            />
          ))}
        </View>
      ) : null}
      {found ? <FoundMark found={found} onProof={toProof} onPlant={toPlant} onMark={setMark} /> : null}
      <Txt size="label" tone="muted">
        The last character is a check: one that is wrong, or two that are swapped, make no other mark. Marks
        of earlier years and of your own making are typed above.
      </Txt>
    </Page>
  );
}

export default gated(FindPage);
