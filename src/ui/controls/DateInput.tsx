import { TextInput } from 'react-native';
import { useDateStyle, type DateInputProps } from './dateStyle';

/** Where there is no browser with a picker of its own (`DateInput.web.tsx`), the day is typed. */
export function DateInput({ label, value, wrong, onChange }: DateInputProps) {
  const style = useDateStyle(wrong);
  return <TextInput aria-label={label} value={value} onChangeText={onChange} style={style} />;
}
