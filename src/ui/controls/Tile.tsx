import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button } from '@rneui/themed';
import { CORNER, Txt, useColours, useLight } from '../theme';

export interface TileProps {
  readonly title: string;
  readonly note?: string;
  readonly chosen: boolean;
  readonly onPress: () => void;
  readonly picture?: ReactNode;
  readonly disabled?: boolean;
  readonly minWidth?: number;
  readonly label?: string;
}

/** One of several answers. Chosen shows by a thick edge, a tick and `aria-pressed`, not by colour alone. */
export function Tile({ title, note, chosen, onPress, picture, disabled, minWidth = 76, label }: TileProps) {
  const colours = useColours();
  const heavy = useLight() === 'sun';
  return (
    <Button
      type="clear"
      onPress={onPress}
      disabled={disabled}
      aria-pressed={chosen}
      aria-label={label ?? (note ? `${title}, ${note}` : title)}
      containerStyle={{ flexGrow: 1, flexBasis: minWidth, borderRadius: CORNER, opacity: disabled ? 0.5 : 1 }}
      buttonStyle={{
        minHeight: 58,
        height: '100%',
        paddingHorizontal: 6,
        paddingVertical: 6,
        flexDirection: 'column',
        borderRadius: CORNER,
        backgroundColor: chosen ? colours.pollenSoft : colours.card,
        borderWidth: chosen ? 3 : heavy ? 2 : 1,
        borderColor: chosen ? colours.pollen : colours.rule,
        margin: chosen ? 0 : heavy ? 1 : 2,
      }}
    >
      <View style={styles.inside}>
        {picture}
        <Txt size="strong" style={styles.centre}>
          {chosen ? `✓ ${title}` : title}
        </Txt>
        {note ? (
          <Txt size="label" tone={chosen ? 'ink' : 'muted'} style={styles.centre}>
            {note}
          </Txt>
        ) : null}
      </View>
    </Button>
  );
}

/** A question with its tiles. */
export function Tiles({
  question,
  children,
  hideQuestion,
}: {
  question: string;
  children: ReactNode;
  hideQuestion?: boolean;
}) {
  return (
    <View role="group" aria-label={question} style={styles.group}>
      {hideQuestion ? null : (
        <Txt size="label" tone="muted">
          {question}
        </Txt>
      )}
      <View style={styles.row}>{children}</View>
    </View>
  );
}

const styles = StyleSheet.create({
  group: { gap: 4 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 6, alignItems: 'stretch' },
  inside: { alignItems: 'center', justifyContent: 'center', gap: 2 },
  centre: { textAlign: 'center' },
});
