import type { ReactNode } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { mdiFruitCherries, mdiSchool, mdiSeed, mdiSprout, mdiWeatherSunsetUp } from '@/ui/controls/iconPaths';
import { Icon } from './controls/Icon';
import { Txt, useColours, useIsWide } from './theme';

export interface FramePlace {
  readonly name: string;
  readonly path: '/' | '/patch' | '/fruit' | '/seed' | '/practice';
  readonly icon: string;
}

export const PLACES: readonly FramePlace[] = [
  { name: 'Today', path: '/', icon: mdiWeatherSunsetUp },
  { name: 'Patch', path: '/patch', icon: mdiSprout },
  { name: 'Fruit', path: '/fruit', icon: mdiFruitCherries },
  { name: 'Seed', path: '/seed', icon: mdiSeed },
  { name: 'Practice', path: '/practice', icon: mdiSchool },
];

/** The screens that belong to a place and do not begin with its path; everything else belongs to none. */
const WITHIN: Readonly<Record<string, FramePlace['path']>> = {
  '/looks': '/',
  '/search': '/',
  '/goals': '/',
  '/weather': '/',
  '/corn': '/',
  '/scout': '/',
  '/crosses': '/',
  '/trusses': '/',
  '/kitchen': '/',
  '/card': '/',
  '/plant': '/patch',
  '/plan': '/patch',
  '/plan-sheet': '/patch',
  '/crossing': '/patch',
  '/week': '/fruit',
  '/label': '/fruit',
  '/proof': '/seed',
  '/purity': '/seed',
  '/purity-sheet': '/seed',
  '/lot': '/seed',
  '/lineage': '/seed',
  '/mixing': '/seed',
  '/generations': '/seed',
  '/find': '/fruit',
  '/tags': '/fruit',
};

/**
 * The place of the bar that a screen belongs to; `null` for none.
 * @example placeOf('/plant/plant:1') // '/patch'
 */
export function placeOf(current: string): FramePlace['path'] | null {
  const first = `/${current.split('/')[1] ?? ''}`;
  return PLACES.find(({ path }) => path === first)?.path ?? WITHIN[first] ?? null;
}

export interface FrameProps {
  readonly current: string;
  readonly onGo: (path: FramePlace['path']) => void;
  readonly notices: ReactNode;
  /** A walk or a round takes the whole screen. */
  readonly bare: boolean;
  readonly children: ReactNode;
}

/** The bar at the bottom of a phone, the rail at the side of a wide screen, and notices above everything. */
export function Frame({ current, onGo, notices, bare, children }: FrameProps) {
  const colours = useColours();
  const wide = useIsWide();
  const nav = (
    <View
      role="navigation"
      aria-label="Places"
      style={[wide ? styles.rail : styles.bar, { backgroundColor: colours.card, borderColor: colours.rule }]}
    >
      {wide ? (
        <Txt size="strong" tone="muted" style={styles.brand}>
          Steady Trowel
        </Txt>
      ) : null}
      {PLACES.map(({ name, path, icon }) => {
        const here = placeOf(current) === path;
        return (
          <Pressable
            key={path}
            role="link"
            aria-label={name}
            aria-current={here ? 'page' : undefined}
            onPress={() => onGo(path)}
            style={[
              wide ? styles.railItem : styles.barItem,
              wide
                ? { borderLeftColor: here ? colours.pollen : 'transparent' }
                : { borderTopColor: here ? colours.pollen : 'transparent' },
            ]}
          >
            <Icon path={icon} tone={here ? 'ink' : 'muted'} />
            <Txt size="label" tone={here ? 'ink' : 'muted'} style={here ? styles.bold : null}>
              {name}
            </Txt>
          </Pressable>
        );
      })}
    </View>
  );
  return (
    <View style={[styles.frame, { backgroundColor: colours.paper, flexDirection: wide ? 'row' : 'column' }]}>
      {wide && !bare ? nav : null}
      <View style={styles.main}>
        {notices}
        {children}
      </View>
      {!wide && !bare ? nav : null}
    </View>
  );
}

const styles = StyleSheet.create({
  frame: { flex: 1 },
  main: { flex: 1, minWidth: 0 },
  bar: { flexDirection: 'row', flexWrap: 'wrap', borderTopWidth: 1 },
  barItem: {
    // Five in a row, or in two where there is no room for their names.
    flexGrow: 1,
    minWidth: 58,
    paddingHorizontal: 2,
    minHeight: 60,
    alignItems: 'center',
    justifyContent: 'center',
    gap: 2,
    borderTopWidth: 4,
  },
  rail: { width: 168, borderRightWidth: 1, paddingTop: 18, gap: 4 },
  railItem: {
    minHeight: 56,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 12,
    paddingHorizontal: 16,
    borderLeftWidth: 5,
  },
  brand: { paddingHorizontal: 20, paddingBottom: 12 },
  bold: { fontWeight: '700' },
});
