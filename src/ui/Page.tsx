import { createContext, useCallback, useEffect, useRef, type ReactNode } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Txt, useColours, useIsWide } from './theme';

export interface PageProps {
  readonly title: string;
  readonly over?: string;
  /** A short word beside the line above the title. */
  readonly badge?: ReactNode;
  readonly corner?: ReactNode;
  readonly children: ReactNode;
  /** Second column on a wide screen; below the first on a phone. */
  readonly side?: ReactNode;
  /** What this page is one of, to go from one to the next: a narrow column before the others, on wide screens only. */
  readonly list?: ReactNode;
  /** Stays in thumb's reach at the bottom. */
  readonly foot?: ReactNode;
  /** Drawn edge to edge under the title. */
  readonly banner?: ReactNode;
}

/** What scrolls on the page about it, once it is drawn; long lists ask which of their rows are in sight. */
export const PageScroller = createContext<(() => HTMLElement | null) | null>(null);

/** One place: a title, what it holds, and its main action at the bottom. */
export function Page({ title, over, badge, corner, children, side, list, foot, banner }: PageProps) {
  const colours = useColours();
  const wide = useIsWide();
  const heading = useRef<View>(null);
  const scroller = useRef<ScrollView>(null);
  const scrolling = useCallback(
    () => scroller.current?.getScrollableNode() as unknown as HTMLElement | null,
    [],
  );
  useEffect(() => {
    document.title = `${title} · Steady Trowel`;
  }, [title]);
  useEffect(() => {
    // Who came here by a key or a reader goes on from the new screen's title, not from the top of a page that is gone.
    if (document.activeElement === document.body)
      (heading.current as unknown as HTMLElement | null)?.focus?.({ preventScroll: true });
  }, []);
  return (
    <View style={[styles.page, { backgroundColor: colours.paper }]} role="main">
      <PageScroller.Provider value={scrolling}>
        <ScrollView
          ref={scroller}
          style={styles.scroller}
          contentContainerStyle={styles.scroll}
          tabIndex={-1}
        >
          <View style={[styles.head, wide ? styles.wideHead : null]}>
            <View style={styles.words}>
              {over || badge ? (
                <View style={styles.over}>
                  <Txt size="label" tone="muted" style={styles.line}>
                    {over}
                  </Txt>
                  {badge}
                </View>
              ) : null}
              <View ref={heading} tabIndex={-1}>
                <Txt size="title">{title}</Txt>
              </View>
            </View>
            {corner}
          </View>
          {banner}
          {wide && (side || list) ? (
            <View style={styles.columns}>
              {list ? <View style={styles.list}>{list}</View> : null}
              <View style={styles.column}>{children}</View>
              {side ? <View style={styles.column}>{side}</View> : null}
            </View>
          ) : (
            <View style={[styles.body, wide ? styles.wideBody : null]}>
              {children}
              {side}
            </View>
          )}
        </ScrollView>
      </PageScroller.Provider>
      {foot ? (
        <View
          style={[
            styles.foot,
            wide ? styles.wideFoot : null,
            { borderTopColor: colours.rule, backgroundColor: colours.paper },
          ]}
        >
          <View
            style={[styles.footInside, wide && side ? (list ? styles.footByList : styles.footOfTwo) : null]}
          >
            {foot}
          </View>
        </View>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  page: { flex: 1 },
  // A field that the cursor is taken to keeps the line under it, which says what is wrong, clear of the foot.
  scroller: { scrollPaddingTop: 48, scrollPaddingBottom: 96 } as object,
  scroll: { paddingBottom: 28 },
  head: {
    flexDirection: 'row',
    // On a very narrow screen the corner goes below the title.
    flexWrap: 'wrap',
    alignItems: 'center',
    paddingHorizontal: 16,
    paddingTop: 12,
    paddingBottom: 8,
    gap: 8,
  },
  wideHead: { paddingHorizontal: 24, paddingTop: 20 },
  grow: { flex: 1 },
  line: { flexGrow: 1, flexShrink: 1, flexBasis: 120 },
  words: { flexGrow: 1, flexShrink: 1, flexBasis: 150 },
  over: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8 },
  body: { paddingHorizontal: 12, paddingTop: 6, gap: 12 },
  wideBody: { paddingHorizontal: 24, maxWidth: 860 },
  columns: { flexDirection: 'row', gap: 20, paddingHorizontal: 24, paddingTop: 10, alignItems: 'flex-start' },
  column: { flex: 1, gap: 12, minWidth: 0 },
  list: { width: 280, gap: 12 },
  foot: { padding: 12, borderTopWidth: 1 },
  wideFoot: { paddingHorizontal: 24 },
  footInside: { gap: 8, width: '100%', maxWidth: 812 },
  // Over two columns the keys stand under the first.
  footOfTwo: { maxWidth: 'calc(50% - 10px)' as unknown as number },
  footByList: { marginLeft: 300, maxWidth: 'calc(50% - 160px)' as unknown as number },
});
