import { createContext, useContext, type ReactNode } from 'react';
import { StyleSheet, useWindowDimensions, type TextStyle } from 'react-native';
import { lights, type Colours, type LightName } from './colours';
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

const sizes = StyleSheet.create({
  title: { fontSize: 26, fontWeight: '700', lineHeight: 32 },
  heading: { fontSize: 20, fontWeight: '700', lineHeight: 26 },
  strong: { fontSize: 16, fontWeight: '700', lineHeight: 22 },
  body: { fontSize: 16, lineHeight: 22 },
  label: { fontSize: 14, lineHeight: 19 },
  number: { fontSize: 30, fontWeight: '700', lineHeight: 34, fontVariant: ['tabular-nums'] },
});

export type Size = keyof typeof sizes;

export interface TxtProps extends TextProps {
  readonly size?: Size;
  readonly tone?: keyof Colours;
}

/** All text of the app. Headings carry their level for screen readers. */
export function Txt({ size = 'body', tone = 'ink', style, ...rest }: TxtProps) {
  const colours = useColours();
  const sun = useLight() === 'sun';
  const base: TextStyle = sizes[size];
  const larger: TextStyle | null = sun
    ? {
        fontSize: (base.fontSize ?? 16) * 1.08,
        lineHeight: (base.lineHeight ?? 22) * 1.08,
        fontWeight: '700',
      }
    : null;
  const heading =
    size === 'title'
      ? { role: 'heading' as const, 'aria-level': 1 }
      : size === 'heading'
        ? { role: 'heading' as const, 'aria-level': 2 }
        : null;
  return (
    <RneText
      {...heading}
      {...rest}
      style={[{ fontFamily: FONT, color: colours[tone] }, base, larger, style]}
    />
  );
}
