import { lights, type Colours } from './colours';

/** Relative luminance and contrast ratio as WCAG 2.2 defines them. */
function luminance(hex: string): number {
  const [r = 0, g = 0, b = 0] = [1, 3, 5].map((at) => {
    const part = parseInt(hex.slice(at, at + 2), 16) / 255;
    return part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}
function contrast(a: string, b: string): number {
  const [low = 0, high = 0] = [luminance(a), luminance(b)].sort((x, y) => x - y);
  return (high + 0.05) / (low + 0.05);
}

const PAIRS: readonly [keyof Colours, keyof Colours][] = [
  ['ink', 'paper'],
  ['ink', 'card'],
  ['muted', 'paper'],
  ['muted', 'card'],
  ['ink', 'leafSoft'],
  ['ink', 'pollenSoft'],
  ['ink', 'brickSoft'],
  ['ink', 'duskSoft'],
  ['brick', 'card'],
  ['leaf', 'card'],
  ['onAction', 'action'],
  ['onPollen', 'pollen'],
];

describe.each(Object.entries(lights))('%s', (_name, colours) => {
  test.each(PAIRS)('%s on %s reads (4.5 : 1 or better)', (text, ground) => {
    expect(contrast(colours[text], colours[ground])).toBeGreaterThanOrEqual(4.5);
  });
});

test('the reference pair of the standard: black on white is 21 : 1', () => {
  expect(contrast('#000000', '#FFFFFF')).toBeCloseTo(21, 5);
});
