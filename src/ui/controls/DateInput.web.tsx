// @ts-expect-error react-native-web has it and the types of react-native do not: the browser's own picker knows every language.
import { unstable_createElement } from 'react-native';
import type { ReactElement } from 'react';
import { useDateStyle, type DateInputProps } from './dateStyle';

/** The browser's own picker of a day, in the order of its language. */
export function DateInput({ label, value, least, most, wrong, onChange }: DateInputProps): ReactElement {
  return unstable_createElement('input', {
    type: 'date',
    value,
    min: least,
    max: most,
    'aria-label': label,
    'aria-invalid': wrong ? true : undefined,
    onChange: ({ target }: { target: { value: string } }) => onChange(target.value),
    style: useDateStyle(wrong),
  });
}
