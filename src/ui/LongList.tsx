import type { ReactNode } from 'react';
import { View } from 'react-native';
import { piece, usePiece } from '@/data/device/pieces';

/** Only those with long lists wait for the package that windows them. */
const parts = piece(() => import('./listParts'));

/** `short` where each row has a drawing and keys: a page of more is slow to open. */
export const FEW_CARDS = 24;

/** Up to so many rows a list is simply drawn: the browser finds words in it, and nothing has to be measured. */
const SHORT = 40;

export interface LongListProps<T> {
  readonly items: readonly T[];
  readonly keyOf: (item: T) => string;
  readonly row: (item: T) => ReactNode;
  /** Height of most rows, px, until they have been measured. */
  readonly about: number;
  /** From how many rows on those out of sight are left out: fewer where a row is a card with much in it. */
  readonly short?: number;
  /** Between rows, px. */
  readonly gap?: number;
}

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
