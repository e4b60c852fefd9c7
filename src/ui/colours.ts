export type LightName = 'day' | 'sun' | 'before-dawn';

export interface Colours {
  readonly paper: string;
  readonly card: string;
  readonly ink: string;
  readonly muted: string;
  readonly rule: string;
  readonly leaf: string;
  readonly leafSoft: string;
  readonly onLeaf: string;
  readonly pollen: string;
  readonly pollenSoft: string;
  readonly onPollen: string;
  readonly brick: string;
  readonly brickSoft: string;
  readonly dusk: string;
  readonly duskSoft: string;
  /** The main action of a screen. */
  readonly action: string;
  readonly onAction: string;
  readonly veil: string;
}

const day: Colours = {
  paper: '#F6F1E6',
  card: '#FFFDF7',
  ink: '#2A2118',
  muted: '#685C4C',
  rule: '#DDD3BF',
  leaf: '#2E6A3F',
  leafSoft: '#DFE9D7',
  onLeaf: '#FFFFFF',
  pollen: '#E8A90C',
  pollenSoft: '#FBEBC0',
  onPollen: '#2A2118',
  brick: '#A63A22',
  brickSoft: '#F8DFD5',
  dusk: '#2F3561',
  duskSoft: '#DEE0EE',
  action: '#2E6A3F',
  onAction: '#FFFFFF',
  veil: 'rgba(42,33,24,0.55)',
};

export const lights: Readonly<Record<LightName, Colours>> = {
  day,
  sun: {
    ...day,
    paper: '#FFFFFF',
    card: '#FFFFFF',
    ink: '#000000',
    muted: '#2B2B2B',
    rule: '#6B6B6B',
    leaf: '#0F4A22',
    brick: '#7F1D0A',
    dusk: '#161B4A',
    action: '#0F4A22',
  },
  'before-dawn': {
    paper: '#15141C',
    card: '#201E29',
    ink: '#F3DFB6',
    muted: '#B9A888',
    rule: '#4A4556',
    leaf: '#8FC79B',
    leafSoft: '#22362A',
    onLeaf: '#15141C',
    pollen: '#F0B429',
    pollenSoft: '#3A2D10',
    onPollen: '#221A08',
    brick: '#F0907A',
    brickSoft: '#41211A',
    dusk: '#A9B0E6',
    duskSoft: '#2A2C47',
    action: '#F0B429',
    onAction: '#221A08',
    veil: 'rgba(0,0,0,0.7)',
  },
};
