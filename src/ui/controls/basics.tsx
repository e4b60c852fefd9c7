import { useId, type ReactNode, type Ref } from 'react';
import { StyleSheet, View, type StyleProp, type ViewStyle } from 'react-native';
import { Input, Overlay } from '@rneui/themed';
import { rem } from '../rem';
import { CORNER, FONT, TOUCH, Txt, useColours, type Colours } from '../theme';
import { Button } from './Button';

export function Card({ children, style }: { children: ReactNode; style?: ViewStyle }) {
  const colours = useColours();
  return (
    <View style={[styles.card, { backgroundColor: colours.card, borderColor: colours.rule }, style]}>
      {children}
    </View>
  );
}

/** A number that matters, with what it counts. */
export function Stat({ value, name }: { value: number | string; name: string }) {
  return (
    <View style={styles.stat}>
      <Txt size="number">{value}</Txt>
      <Txt size="label" tone="muted">
        {name}
      </Txt>
    </View>
  );
}

/** A short word on a soft ground. */
export function Badge({
  text,
  tone = 'pollen',
}: {
  text: string;
  tone?: 'pollen' | 'leaf' | 'brick' | 'dusk';
}) {
  const colours = useColours();
  const ground: Record<string, string> = {
    pollen: colours.pollenSoft,
    leaf: colours.leafSoft,
    brick: colours.brickSoft,
    dusk: colours.duskSoft,
  };
  return (
    <View style={[styles.badge, { backgroundColor: ground[tone] }]}>
      <Txt size="label" style={styles.bold}>
        {text}
      </Txt>
    </View>
  );
}

/**
 * Something to know, with what can be done about it. Trouble is announced to screen readers, unless it is `standing`: there each time the
 * screen opens.
 */
export function Notice({
  tone,
  title,
  text,
  children,
  standing = false,
}: {
  tone: 'pollen' | 'brick' | 'leaf' | 'dusk';
  title?: string;
  text?: string;
  children?: ReactNode;
  standing?: boolean;
}) {
  const colours = useColours();
  const ground: Record<string, string> = {
    pollen: colours.pollenSoft,
    brick: colours.brickSoft,
    leaf: colours.leafSoft,
    dusk: colours.duskSoft,
  };
  return (
    <View
      role={standing ? 'note' : tone === 'brick' ? 'alert' : 'status'}
      style={[
        styles.notice,
        { backgroundColor: ground[tone], borderLeftColor: colours[tone as keyof Colours] },
      ]}
    >
      {title ? <Txt size="strong">{title}</Txt> : null}
      {text ? <Txt>{text}</Txt> : null}
      {children ? <View style={styles.noticeButtons}>{children}</View> : null}
    </View>
  );
}

export interface FieldProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly error?: string | null;
  readonly placeholder?: string;
  readonly keyboard?: 'default' | 'decimal-pad' | 'number-pad';
  readonly multiline?: boolean;
  /** A single word to be read at arm's length. */
  readonly large?: boolean;
  readonly onBlur?: () => void;
  /** What to take the cursor to. */
  readonly inputRef?: Ref<{ focus(): void }>;
}

export function Field({
  label,
  value,
  onChange,
  error,
  placeholder,
  keyboard = 'default',
  multiline,
  large,
  onBlur,
  inputRef,
}: FieldProps) {
  const colours = useColours();
  const about = useId();
  return (
    <Input
      ref={inputRef as never}
      label={label}
      aria-label={label}
      value={value}
      onChangeText={onChange}
      onBlur={onBlur}
      errorMessage={error ?? undefined}
      placeholder={placeholder}
      placeholderTextColor={colours.muted}
      inputMode={keyboard === 'decimal-pad' ? 'decimal' : keyboard === 'number-pad' ? 'numeric' : 'text'}
      multiline={multiline}
      containerStyle={styles.field}
      labelStyle={{ color: colours.muted, fontFamily: FONT, fontSize: rem(14), fontWeight: '400' }}
      inputStyle={{
        color: colours.ink,
        fontFamily: FONT,
        fontSize: rem(large ? 30 : 17),
        fontWeight: large ? '700' : '400',
        minHeight: TOUCH,
        // A browser's own input is some twenty letters wide, whatever its frame.
        minWidth: 0,
      }}
      inputContainerStyle={{
        backgroundColor: colours.card,
        borderWidth: 1,
        borderColor: error ? colours.brick : colours.muted,
        borderRadius: CORNER,
        paddingHorizontal: 12,
      }}
      errorStyle={{
        color: colours.brick,
        fontFamily: FONT,
        fontSize: rem(14),
        margin: error ? 4 : 0,
        height: error ? undefined : 0,
      }}
      // Read with the field that the cursor is taken to.
      errorProps={{ id: about }}
      aria-describedby={error ? about : undefined}
      aria-invalid={error ? true : undefined}
    />
  );
}

export interface StepperProps {
  readonly label: string;
  readonly value: number;
  /** Nothing chosen yet: a dash is shown, and either key starts at `value`. */
  readonly unset?: boolean;
  readonly least: number;
  readonly most: number;
  /** What one press adds or takes away. */
  readonly step?: number;
  readonly onChange: (value: number) => void;
}

/** A number without typing: a press is one step, held keys run. */
export function Stepper({ label, value, unset = false, least, most, step = 1, onChange }: StepperProps) {
  const less = () => onChange(unset ? value : Math.max(least, value - step));
  const more = () => onChange(unset ? value : Math.min(most, value + step));
  return (
    <View style={styles.stepper} role="group" aria-label={`${label}: ${unset ? 'not given' : value}`}>
      <Txt size="label" tone="muted" style={styles.stepName}>
        {label}
      </Txt>
      <Button
        title="−"
        label={`${label}: ${step === 1 ? 'one' : step} less`}
        small
        disabled={!unset && value <= least}
        onPress={less}
        onHold={less}
      />
      {/* As large as a heading, but not one. */}
      <Txt size="heading" role={undefined} aria-level={undefined} style={styles.stepValue} aria-live="polite">
        {unset ? '–' : value}
      </Txt>
      <Button
        title="+"
        label={`${label}: ${step === 1 ? 'one' : step} more`}
        small
        disabled={!unset && value >= most}
        onPress={more}
        onHold={more}
      />
    </View>
  );
}

/** A sheet from the bottom (a box in the middle when wide) for one question. */
export function Sheet({
  open,
  onClose,
  title,
  children,
}: {
  open: boolean;
  onClose: () => void;
  title: string;
  children: ReactNode;
}) {
  const colours = useColours();
  return (
    <Overlay
      isVisible={open}
      onBackdropPress={onClose}
      onRequestClose={onClose}
      backdropStyle={{ backgroundColor: colours.veil }}
      overlayStyle={[styles.sheet, { backgroundColor: colours.paper, borderColor: colours.rule }]}
      aria-label={title}
    >
      <View style={styles.sheetInside}>
        <View style={styles.sheetHead}>
          <Txt size="heading" style={styles.grow}>
            {title}
          </Txt>
          <Button title="Close" look="quiet" small onPress={onClose} />
        </View>
        {children}
      </View>
    </Overlay>
  );
}

export function Row({
  children,
  gap = 8,
  style,
}: {
  children: ReactNode;
  gap?: number;
  style?: StyleProp<ViewStyle>;
}) {
  return <View style={[styles.row, { gap }, style]}>{children}</View>;
}

/** Words beside keys in a row: they take what is left, and where that is less than a word or two, the keys go below. */
export const BESIDE: ViewStyle = { flex: 1, minWidth: rem(112) };

/** A title and what stands at the other end of its row. */
export const BETWEEN: ViewStyle = { justifyContent: 'space-between' };

const styles = StyleSheet.create({
  card: { borderWidth: 1, borderRadius: CORNER, padding: 14, gap: 10 },
  stat: { minWidth: 56 },
  badge: { borderRadius: 4, paddingHorizontal: 8, paddingVertical: 4, alignSelf: 'flex-start' },
  bold: { fontWeight: '700' },
  notice: { borderLeftWidth: 5, borderRadius: CORNER, padding: 12, gap: 4 },
  noticeButtons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, marginTop: 4 },
  field: { paddingHorizontal: 0 },
  stepper: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8 },
  // Beside its keys where there is room for a word or two.
  stepName: { flexGrow: 1, flexShrink: 1, flexBasis: 90 },
  stepValue: { minWidth: 36, textAlign: 'center', fontVariant: ['tabular-nums'] },
  grow: { flex: 1 },
  sheet: {
    position: 'absolute',
    bottom: 0,
    width: '100%',
    maxWidth: 640,
    maxHeight: '92%',
    borderTopLeftRadius: 12,
    borderTopRightRadius: 12,
    borderWidth: 1,
    padding: 0,
  },
  // Shrinks to the sheet, or what lies below its edge could not be scrolled to.
  sheetInside: { padding: 16, gap: 12, overflow: 'scroll', flexShrink: 1 },
  sheetHead: { flexDirection: 'row', alignItems: 'center' },
  row: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center' },
});
