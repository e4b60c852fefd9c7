import { View } from 'react-native';
import { piece, usePiece } from '@/data/device/pieces';
import type { LongListProps } from './LongWindow';

/** Only those with long lists wait for the package that windows them. */
const parts = piece(() => import('./listParts'));

/** `short` where each row has a drawing and keys: a page of more is slow to open. */
export const FEW_CARDS = 24;

/** Up to so many rows a list is simply drawn: the browser finds words in it, and nothing has to be measured. */
const SHORT = 40;

/** A list of any length on a page that scrolls: of a long one, only the rows in sight and some about them are drawn. */
export function LongList<T>(props: LongListProps<T>) {
  const { items, keyOf, row, gap = 0, short = SHORT } = props;
  if (items.length === 0) return null; // No gap for a list of nothing.
  if (items.length > short) return <Windowed {...props} />;
  return (
    <View style={{ gap }}>
      {items.map((item) => (
        <View key={keyOf(item)}>{row(item)}</View>
      ))}
    </View>
  );
}

function Windowed<T>(props: LongListProps<T>) {
  const { LongWindow } = usePiece(parts) ?? {};
  // Until it is there: the beginning, which is what is looked at first.
  return LongWindow ? (
    <LongWindow {...props} />
  ) : (
    <LongList {...props} items={props.items.slice(0, props.short ?? SHORT)} />
  );
}
