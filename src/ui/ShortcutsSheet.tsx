import { View } from 'react-native';
import { Sheet } from './controls';
import { Txt } from './theme';

const KEYS: readonly [key: string, what: string][] = [
  ['t', 'Today'],
  ['p', 'Patch'],
  ['f', 'Fruit'],
  ['s', 'Seed'],
  ['r', 'Practice'],
  ['k', 'the key: what am I looking at?'],
  [
    '1 2 3 …',
    'the answers of the key and the trainer (0 = can’t tell, w = in words), and how a closure is found',
  ],
  ['Enter', 'on a round: what the green key says'],
  ['← →', 'the plant or stop before and after, on a walk or round'],
  ['u', 'undo the last entry, where its line shows what it was'],
  ['Tab, Enter', 'from one thing to the next, and do it'],
  ['/', 'find anything'],
  ['?', 'this list'],
];

export function ShortcutsSheet({ onClose }: { onClose: () => void }) {
  return (
    <Sheet open onClose={onClose} title="Keys">
      {KEYS.map(([key, what]) => (
        <View key={key} style={{ flexDirection: 'row', gap: 12 }}>
          <Txt size="strong" style={{ width: 96 }}>
            {key}
          </Txt>
          <Txt style={{ flex: 1 }}>{what}</Txt>
        </View>
      ))}
    </Sheet>
  );
}
