import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button as ThemedButton } from '@rneui/themed';
import { mdiCheck } from './iconPaths';
import { Icon } from './Icon';
import { rem } from '../rem';
import { CORNER, Txt, useColours, useLight } from '../theme';
import { useSteady } from '../useSteady';

export interface TileProps {
  readonly title: string;
  readonly note?: string;
  readonly chosen: boolean;
  readonly onPress: () => void;
  readonly picture?: ReactNode;
  readonly disabled?: boolean;
  readonly minWidth?: number;
  readonly label?: string;
  /** For rows of five on a phone. */
  readonly small?: boolean;
}

/** One of several answers. Chosen shows by a thick edge, a tick and `aria-pressed`, not by colour alone. */
export function Tile({
  title,
  note,
  chosen,
  onPress,
  picture,
  disabled,
  minWidth = 76,
  label,
  small,
}: TileProps) {
  const colours = useColours();
  const press = useSteady(onPress);
  const heavy = useLight() === 'sun';
  return (
    <ThemedButton
      type="clear"
      onPress={press}
      disabled={disabled}
      aria-pressed={chosen}
      aria-label={label ?? (note ? `${title}, ${note}` : title)}
      containerStyle={{
        flexGrow: 1,
        flexBasis: rem(minWidth),
        borderRadius: CORNER,
        opacity: disabled ? 0.5 : 1,
      }}
      style={{ flex: 1 }}
      buttonStyle={{
        flex: 1,
        minHeight: 56,
        paddingHorizontal: chosen ? 3 : 5,
        paddingVertical: chosen ? 3 : 5,
        flexDirection: 'column',
        borderRadius: CORNER,
        backgroundColor: chosen ? colours.pollenSoft : colours.card,
        borderWidth: chosen ? 3 : heavy ? 2 : 1,
        borderColor: chosen ? colours.pollen : colours.rule,
      }}
    >
      <View style={styles.inside}>
        {picture}
        <Txt size={small ? 'label' : 'strong'} style={[styles.centre, styles.bold]}>
          {title}
        </Txt>
        {note ? (
          <Txt size="label" tone={chosen ? 'ink' : 'muted'} style={styles.centre}>
            {note}
          </Txt>
        ) : null}
      </View>
      {chosen ? (
        <View style={[styles.tick, { backgroundColor: colours.pollen }]}>
          <Icon path={mdiCheck} size={14} tone="onPollen" />
        </View>
      ) : null}
    </ThemedButton>
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
  bold: { fontWeight: '700' },
  tick: { position: 'absolute', top: 0, right: 0, borderBottomLeftRadius: 6, padding: 1 },
});
