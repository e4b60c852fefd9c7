import { createContext, useContext, type ReactNode } from 'react';
import { useWindowDimensions, type TextStyle } from 'react-native';
import { lights, type Colours, type LightName } from './colours';
import { rem } from './rem';
import { createTheme, Text as RneText, ThemeProvider, type TextProps } from '@rneui/themed';

export { lights, type Colours, type LightName } from './colours';

const LightContext = createContext<LightName>('day');

/** Everything below is drawn in this light. A round before sunrise sets its own. */
export function LightProvider({ light, children }: { light: LightName; children: ReactNode }) {
  return <LightContext.Provider value={light}>{children}</LightContext.Provider>;
}

export function useLight(): LightName {
  return useContext(LightContext);
}

export function useColours(): Colours {
  return lights[useContext(LightContext)];
}

export const FONT = "'Atkinson', system-ui, sans-serif";
export const CORNER = 6;
/** Smallest side of anything to be tapped. */
export const TOUCH = 48;
export const WIDE = 900;

export function useIsWide(): boolean {
  return useWindowDimensions().width >= WIDE;
}

const rneTheme = createTheme({
  components: {
    Button: { titleStyle: { fontFamily: FONT, fontWeight: '700' } },
    Input: { inputStyle: { fontFamily: FONT }, labelStyle: { fontFamily: FONT } },
    ListItemTitle: { style: { fontFamily: FONT } },
  },
});

export function ControlsTheme({ children }: { children: ReactNode }) {
  return <ThemeProvider theme={rneTheme}>{children}</ThemeProvider>;
}

const sizes = {
  title: { size: 26, line: 32, style: { fontWeight: '700' } },
  heading: { size: 20, line: 26, style: { fontWeight: '700' } },
  strong: { size: 16, line: 22, style: { fontWeight: '700' } },
  body: { size: 16, line: 22, style: {} },
  label: { size: 14, line: 19, style: {} },
  number: { size: 30, line: 34, style: { fontWeight: '700', fontVariant: ['tabular-nums'] } },
} as const satisfies Readonly<Record<string, { size: number; line: number; style: TextStyle }>>;

/** Words with a key beside them in a row that wraps: where there is no room for both, the key goes below. */
export const BESIDE = { flexGrow: 1, flexShrink: 1, flexBasis: 110, minWidth: 0 } as const;

/** In the sun all is a little larger, and bold. */
const SUN = 1.08;

export type Size = keyof typeof sizes;

export interface TxtProps extends TextProps {
  readonly size?: Size;
  readonly tone?: keyof Colours;
}

/** All text of the app. Headings carry their level for screen readers. */
export function Txt({ size = 'body', tone = 'ink', style, ...rest }: TxtProps) {
  const colours = useColours();
  const sun = useLight() === 'sun';
  const { size: type, line, style: own } = sizes[size];
  const scale = sun ? SUN : 1;
  const base: TextStyle = {
    ...own,
    // A long word breaks at the edge of its box; it does not push out what stands beside it.
    minWidth: 0,
    fontSize: rem(type * scale),
    lineHeight: rem(line * scale),
    ...(sun ? { fontWeight: '700' } : null),
  };
  const heading =
    size === 'title'
      ? { role: 'heading' as const, 'aria-level': 1 }
      : size === 'heading'
        ? { role: 'heading' as const, 'aria-level': 2 }
        : null;
  return <RneText {...heading} {...rest} style={[{ fontFamily: FONT, color: colours[tone] }, base, style]} />;
}
