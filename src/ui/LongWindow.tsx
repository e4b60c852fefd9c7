import { useContext, useEffect, useRef, useState, type ReactNode, type RefObject } from 'react';
import { View } from 'react-native';
import { useVirtualizer } from '@tanstack/react-virtual';
import { PageScroller } from './Page';

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

/** Only the rows in sight, and some about them. */
export function LongWindow<T>({ items, keyOf, row, about, gap = 0 }: LongListProps<T>) {
  const scroller = useContext(PageScroller);
  const host = useRef<View>(null);
  const [pane, setPane] = useState<HTMLElement | null>(null);
  // What scrolls is told of only after what stands in it.
  useEffect(() => setPane(scroller?.() ?? null), [scroller]);
  const top = useTop(host, pane);
  // eslint-disable-next-line react-hooks/incompatible-library -- this component alone is not memoized, and nothing of it is handed on
  const virtual = useVirtualizer({
    count: items.length,
    getScrollElement: () => pane,
    estimateSize: () => about,
    getItemKey: (i) => keyOf(items[i] as T),
    overscan: 8,
    gap,
    scrollMargin: top,
  });
  return (
    <View ref={host} role="list" style={{ height: virtual.getTotalSize() }}>
      {virtual.getVirtualItems().map(({ index, key, start }) => (
        <View
          key={key}
          ref={(node) => virtual.measureElement(node as unknown as HTMLElement | null)}
          role="listitem"
          {...({
            dataSet: { index },
            'aria-setsize': items.length,
            'aria-posinset': index + 1,
          } as object)}
          style={{ position: 'absolute', left: 0, right: 0, top: start - top }}
        >
          {row(items[index] as T)}
        </View>
      ))}
    </View>
  );
}

/** How far below the top of what scrolls an element stands, px: kept up with what grows or goes above it. */
function useTop(of: RefObject<View | null>, pane: HTMLElement | null): number {
  const [top, setTop] = useState(0);
  useEffect(() => {
    const element = of.current as unknown as HTMLElement | null;
    if (!pane || !element) return;
    const measure = () =>
      setTop(
        Math.round(element.getBoundingClientRect().top - pane.getBoundingClientRect().top + pane.scrollTop),
      );
    measure();
    const watch = new ResizeObserver(measure);
    for (const part of pane.children) watch.observe(part);
    return () => watch.disconnect();
  }, [of, pane]);
  return top;
}
