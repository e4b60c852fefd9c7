import type { Closure } from '@core/crops';
import { ellipse, filled, lined, type Shape } from './shapes';

export type ClosureState = 'whole' | 'torn' | 'holed';

/** A closure over a flower whose petals reach from `base` up to `top`. */
export function closureShapes(closure: Closure, state: ClosureState, base: number, top: number): Shape[] {
  const middle = (base + top) / 2;
  const hole = (y: number): Shape[] =>
    state === 'holed' ? [{ d: ellipse(49, y, 6, 7), fill: 'hole', line: 'ink', width: 1.2 }] : [];
  switch (closure) {
    case 'tape': {
      // Half on the petals, half above, the end folded into a tab to pull.
      const lid = top - 16;
      const strip =
        state === 'torn'
          ? `M33 ${middle} L67 ${middle} L68 ${lid + 10} L60 ${lid + 18} L56 ${lid + 4} L49 ${lid + 20} L43 ${lid + 5} L36 ${lid + 14} L32 ${lid + 8}Z`
          : `M33 ${middle} L33 ${lid + 14} Q34 ${lid + 6} 43 ${lid + 3} L57 ${lid + 3} Q66 ${lid + 6} 67 ${lid + 14} L67 ${middle}Z`;
      // Pinched at the top, both ends folded over into tabs.
      const tabs = `M43 ${lid + 3} L37 ${lid - 8} L47 ${lid - 7} L50 ${lid + 3}Z M57 ${lid + 3} L63 ${lid - 8} L53 ${lid - 7} L50 ${lid + 3}Z`;
      return [
        filled(strip, 'tape', 1.8),
        filled(tabs, 'tape', 1.5),
        lined(`M34 ${lid + 16} L66 ${lid + 16}`, 'withered', 0.9),
        ...hole(middle - 12),
      ];
    }
    case 'tie':
      return [
        lined(
          state === 'torn'
            ? `M35 ${middle} Q42 ${middle + 5} 46 ${middle + 1} M58 ${middle + 4} Q62 ${middle + 3} 65 ${middle} M64 ${middle - 3} L77 ${middle + 14}`
            : `M35 ${middle} Q50 ${middle + 6} 65 ${middle} M35 ${middle - 5} Q50 ${middle + 1} 65 ${middle - 5} M64 ${middle - 3} L76 ${middle - 12} M64 ${middle - 3} L77 ${middle + 4}`,
          'twine',
          3,
        ),
      ];
    case 'shoot-bag':
    case 'tassel-bag': {
      const lid = Math.max(4, top - 8);
      const body = `M32 ${base} L28 ${lid + 8} L36 ${lid} L64 ${lid} L72 ${lid + 8} L68 ${base} L58 ${base + 6} L42 ${base + 6}Z`;
      const torn =
        state === 'torn'
          ? [
              filled(
                `M28 ${lid + 8} L46 ${middle} L40 ${middle - 14} L52 ${middle - 20} L36 ${lid}Z`,
                'hole',
                1.2,
              ),
            ]
          : [];
      return [
        { ...filled(body, 'paper', 1.6), opacity: 0.96 },
        lined(`M50 ${lid} L50 ${base + 4} M33 ${base - 4} L67 ${base - 4}`, 'ink', 0.8),
        filled(`M44 ${base + 2} L56 ${base + 2} L56 ${base + 7} L44 ${base + 7}Z`, 'twine', 1),
        ...torn,
        ...hole(middle),
      ];
    }
    default: {
      const lid = top - 10;
      const bag: Shape = {
        d: `M38 ${base + 3} C16 ${base - 16} 20 ${lid + 6} 34 ${lid} Q50 ${lid - 7} 66 ${lid} C80 ${lid + 6} 84 ${base - 16} 62 ${base + 3}Z`,
        fill: 'bag',
        line: 'ink',
        width: 1.6,
        opacity: closure === 'mesh-bag' ? 0.62 : 0.95,
      };
      const string = lined(
        `M37 ${base + 3} L63 ${base + 3} M60 ${base + 3} L72 ${base + 14} M60 ${base + 3} L76 ${base + 6}`,
        'twine',
        2.4,
      );
      const mesh: Shape = {
        d: `M24 ${lid + 16} L60 ${base} M34 ${lid + 4} L70 ${base - 12} M76 ${lid + 16} L40 ${base} M66 ${lid + 4} L30 ${base - 12}`,
        fill: 'none',
        line: 'ink',
        width: 0.7,
        opacity: 0.7,
      };
      const torn =
        state === 'torn'
          ? [
              filled(
                `M62 ${lid + 2} L54 ${lid + 14} L60 ${lid + 20} L52 ${lid + 34} L68 ${lid + 22} L63 ${lid + 15} L72 ${lid + 8}Z`,
                'hole',
                1.2,
              ),
            ]
          : [];
      return [bag, string, ...(closure === 'mesh-bag' ? [mesh] : []), ...torn, ...hole(middle - 8)];
    }
  }
}
