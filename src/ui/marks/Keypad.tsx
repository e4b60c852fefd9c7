import { Pressable, View } from 'react-native';
import { MARK_ALPHABET } from '@core/purity';
import { CORNER, Txt, useColours } from '../theme';

const ROWS = [0, 4, 8, 12].map((from) => [...MARK_ALPHABET].slice(from, from + 4));

/** The sixteen characters of marks, large enough for a muddy thumb. */
export function Keypad({
  onKey,
  onBack,
  onClear,
}: {
  onKey: (key: string) => void;
  onBack: () => void;
  onClear: () => void;
}) {
  return (
    <View style={{ gap: 6 }} role="group" aria-label="Keys for a mark">
      {ROWS.map((row) => (
        <View key={row.join('')} style={{ flexDirection: 'row', gap: 6 }}>
          {row.map((key) => (
            <Key key={key} title={key} label={key} onPress={() => onKey(key)} />
          ))}
        </View>
      ))}
      <View style={{ flexDirection: 'row', gap: 6 }}>
        <Key title="⌫" label="Take back the last one" onPress={onBack} />
        <Key title="Clear" label="Clear the mark" onPress={onClear} />
      </View>
    </View>
  );
}

function Key({ title, label, onPress }: { title: string; label: string; onPress: () => void }) {
  const colours = useColours();
  return (
    <Pressable
      role="button"
      aria-label={label}
      onPress={onPress}
      style={({ pressed }) => ({
        flex: 1,
        minHeight: 58,
        alignItems: 'center',
        justifyContent: 'center',
        borderRadius: CORNER,
        borderWidth: 1,
        borderColor: colours.muted,
        backgroundColor: pressed ? colours.pollenSoft : colours.card,
      })}
    >
      <Txt size="heading">{title}</Txt>
    </Pressable>
  );
}
