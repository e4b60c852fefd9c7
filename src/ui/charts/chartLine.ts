import type { ViewStyle } from 'react-native';
import { rem } from '../rem';

// A line of a chart: its name, then what is drawn. A third is the name's; where that is less than a word, the name has a line of
// its own. It grows only there: beside what is drawn, which grows a thousand times as fast, it gains nothing.
export const LINE_NAME: ViewStyle = { flexGrow: 1, flexShrink: 1, flexBasis: '36%', minWidth: rem(96) };
export const LINE_DRAWN: ViewStyle = {
  flexGrow: 1000,
  flexShrink: 1,
  flexBasis: 0,
  minWidth: rem(130),
  flexDirection: 'row',
  alignItems: 'center',
  gap: 6,
};
