import { useState } from 'react';
import { View } from 'react-native';
import { isLocalDate, dayText, shortDayText, type LocalDate } from '@core/time';
import { Txt } from '../theme';
import { DateInput } from './DateInput';

export interface DateFieldProps {
  readonly label: string;
  readonly value: LocalDate | null;
  /** `null`: none, or one that won't do. */
  readonly onChange: (value: LocalDate | null) => void;
  readonly least?: LocalDate;
  readonly most?: LocalDate;
  /** What is wrong with it beside the days around it. */
  readonly error?: string | null;
  /** Said of a day that is too early. */
  readonly early?: string;
  /** Whether the year does not matter. */
  readonly everyYear?: boolean;
}

/** A day from the browser's own picker; what is chosen stands in words under it. */
export function DateField({
  label,
  value,
  onChange,
  least,
  most,
  error,
  early = 'That day is too long ago.',
  everyYear,
}: DateFieldProps) {
  // A date half typed is empty for the browser: what is typed is kept here, and judged when it is whole.
  const [typed, setTyped] = useState(value ?? '');
  const wrong =
    typed !== '' && !isLocalDate(typed)
      ? 'There is no such day.'
      : most && typed > most
        ? 'That day is still to come.'
        : least && typed !== '' && typed < least
          ? early
          : (error ?? null);
  return (
    <View style={{ gap: 4 }}>
      <Txt size="label" tone="muted">
        {label}
      </Txt>
      <DateInput
        label={label}
        value={typed}
        least={least}
        most={most}
        wrong={wrong !== null}
        onChange={(text) => {
          setTyped(text);
          const within = isLocalDate(text) && !(least && text < least) && !(most && text > most);
          onChange(within ? text : null);
        }}
      />
      {wrong ? (
        <Txt size="label" tone="brick" role="alert">
          {wrong}
        </Txt>
      ) : value ? (
        <Txt size="label">{everyYear ? shortDayText(value) : `${dayText(value)} ${value.slice(0, 4)}`}</Txt>
      ) : null}
    </View>
  );
}
