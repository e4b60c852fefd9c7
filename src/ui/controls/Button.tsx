import { useId, type ReactElement } from 'react';
import { Button as ThemedButton } from '@rneui/themed';
import { rem } from '../rem';
import { CORNER, FONT, TOUCH, useColours, useLight } from '../theme';
import { useHold } from '../useHold';
import { useSteady } from '../useSteady';
import { useAsleep } from './useAsleep';

export interface ButtonProps {
  readonly title: string;
  readonly onPress: () => void;
  /** main: the one thing to do here. plain: outlined. quiet: words only. danger: takes something away. */
  readonly look?: 'main' | 'plain' | 'quiet' | 'danger';
  /** What happens again and again while the key is held. */
  readonly onHold?: () => void;
  readonly disabled?: boolean;
  readonly busy?: boolean;
  readonly icon?: ReactElement<object>;
  readonly label?: string;
  readonly small?: boolean;
  readonly grow?: boolean;
  readonly testID?: string;
}

/** A button that says what happens. */
export function Button({
  title,
  onPress,
  onHold,
  look = 'plain',
  disabled,
  busy,
  icon,
  label,
  small,
  grow,
  testID,
}: ButtonProps) {
  const colours = useColours();
  const filled = look === 'main';
  const id = useId();
  const asleep = useAsleep(id, label ?? title, filled);
  const press = useSteady(() => {
    if (!asleep) onPress();
  });
  const hold = useHold(disabled ? undefined : onHold);
  const heavy = useLight() === 'sun';
  const ink = filled
    ? asleep
      ? colours.muted
      : colours.onAction
    : look === 'danger'
      ? colours.brick
      : colours.ink;
  const props = {
    title,
    id,
    onPress: press,
    ...hold,
    disabled,
    loading: busy,
    icon,
    radius: CORNER,
    'aria-label': label ?? title,
    testID,
    type: filled ? ('solid' as const) : ('clear' as const),
    // Long words wrap inside the button; they never push it off the screen.
    containerStyle: { borderRadius: CORNER, maxWidth: '100%' as const, ...(grow ? { flex: 1 } : null) },
    buttonStyle: {
      minHeight: filled ? 58 : small ? TOUCH : 52,
      paddingHorizontal: look === 'quiet' ? 10 : 16,
      gap: 8,
      backgroundColor: filled
        ? asleep
          ? colours.rule
          : colours.action
        : look === 'plain'
          ? colours.card
          : 'transparent',
      borderWidth: look === 'plain' || look === 'danger' ? (heavy ? 2 : 1) : 0,
      borderColor: look === 'danger' ? colours.brick : colours.rule,
    },
    disabledStyle: { backgroundColor: colours.rule },
    disabledTitleStyle: { color: colours.muted },
    titleStyle: {
      color: ink,
      fontFamily: FONT,
      fontWeight: '700' as const,
      fontSize: rem(filled ? 19 : 16),
      flexShrink: 1,
      ...(look === 'quiet' ? { textDecorationLine: 'underline' as const } : null),
    },
    loadingProps: { color: ink },
  };
  return <ThemedButton {...props} />;
}
