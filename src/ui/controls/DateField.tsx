import { useState } from 'react';
// @ts-expect-error react-native-web has it and the types of react-native do not: the browser's own picker knows every language.
import { View, unstable_createElement } from 'react-native';
import { isLocalDate, dayText, type LocalDate } from '@core/time';
import { CORNER, FONT, TOUCH, Txt, useColours } from '../theme';

/** A day from the browser's own picker, in the order of its language; what is chosen stands in words under it. */
export function DateField({
  label,
  value,
  onChange,
  least,
  most,
}: {
  label: string;
  value: LocalDate | null;
  onChange: (value: LocalDate | null) => void;
  least?: LocalDate;
  most?: LocalDate;
}) {
  const colours = useColours();
  // A date half typed is empty for the browser: what is typed is kept here, and judged when it is whole.
  const [typed, setTyped] = useState(value ?? '');
  const out = isLocalDate(typed) && ((least && typed < least) || (most && typed > most));
  return (
    <View style={{ gap: 4 }}>
      <Txt size="label" tone="muted">
        {label}
      </Txt>
      {unstable_createElement('input', {
        type: 'date',
        value: typed,
        min: least,
        max: most,
        'aria-label': label,
        'aria-invalid': out ? true : undefined,
        onChange: ({ target }: { target: { value: string } }) => {
          setTyped(target.value);
          const whole = isLocalDate(target.value);
          const within = whole && !(least && target.value < least) && !(most && target.value > most);
          onChange(within ? target.value : null);
        },
        style: {
          minHeight: TOUCH,
          fontFamily: FONT,
          fontSize: 17,
          color: colours.ink,
          backgroundColor: colours.card,
          borderWidth: 1,
          borderStyle: 'solid',
          borderColor: out ? colours.brick : colours.muted,
          borderRadius: CORNER,
          padding: 8,
        },
      })}
      {out ? (
        <Txt size="label" tone="brick">
          {most && typed > most ? 'That day is still to come.' : 'That day is too long ago.'}
        </Txt>
      ) : value ? (
        <Txt size="label">{`${dayText(value)} ${value.slice(0, 4)}`}</Txt>
      ) : null}
    </View>
  );
}
