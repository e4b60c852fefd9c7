import Svg, { Circle, G, Path } from 'react-native-svg';
import type { FruitShape } from '@core/crops';
import type { LossCause } from '@core/ledger';
import { useColours, useLight } from '../theme';
import { stuffColour } from './FlowerDrawing';
import { FLOWER_BOX, ovaryPath } from './geometry';

/** The whiskery mould that begins in the dead flower. */
function Whiskers({ top, colour }: { top: number; colour: string }) {
  const hairs = [-16, -10, -4, 3, 9, 15];
  return (
    <G>
      {hairs.map((x, i) => (
        <Path
          key={x}
          d={`M${50 + x * 0.8} ${top + 12} L${50 + x} ${top - 8 - (i % 2) * 6}`}
          stroke={colour}
          strokeWidth={1.4}
        />
      ))}
      {hairs.map((x, i) => (
        <Circle key={x} cx={50 + x} cy={top - 9 - (i % 2) * 6} r={2.2} fill={colour} />
      ))}
    </G>
  );
}

/** A fruit as each cause leaves it. Decorative: the word stands below. */
export function LossDrawing({ cause, shape, size }: { cause: LossCause; shape: FruitShape; size: number }) {
  const light = useLight();
  const colours = useColours();
  const paint = (stuff: Parameters<typeof stuffColour>[0]) => stuffColour(stuff, light, colours, 'yellow');
  const small =
    cause === 'not-pollinated' || cause === 'heat' || cause === 'too-much-fruit' || cause === 'unknown';
  const height = small ? 46 : 84;
  const bottom = small ? 112 : 122;
  const top = bottom - height;
  const yellow = small || cause === 'poorly-pollinated';
  const ink = colours.ink;
  return (
    <Svg
      width={(size * FLOWER_BOX.width) / FLOWER_BOX.height}
      height={size}
      viewBox="0 0 100 140"
      aria-hidden
    >
      {cause === 'knocked-off' ? (
        <G>
          <Path
            d="M48 140 L49 112 L46 106 L54 108 L52 112 L52 140Z"
            fill={paint('stalk')}
            stroke={ink}
            strokeWidth={1.5}
          />
          <G transform="translate(18 20) rotate(38 50 60) scale(0.7)">
            <Path d={ovaryPath(shape, 110, 60)} fill={paint('ovary')} stroke={ink} strokeWidth={2.4} />
          </G>
        </G>
      ) : (
        <G>
          <Path
            d={`M48 140 L48.5 ${bottom - 3} H51.5 L52 140Z`}
            fill={paint(yellow ? 'withered' : 'stalk')}
            stroke={ink}
            strokeWidth={1.4}
          />
          <G
            transform={
              // Bent over to one side, and small enough to stay within the frame; its foot stays on the stalk.
              cause === 'poorly-pollinated'
                ? 'translate(13 27) scale(0.78) rotate(10 50 120) skewX(-10) translate(19 0)'
                : undefined
            }
          >
            <Path
              d={ovaryPath(shape, bottom, height)}
              fill={paint(yellow ? 'yellowed' : 'fruit')}
              stroke={ink}
              strokeWidth={2.2}
              strokeDasharray={small ? '4 3' : undefined}
            />
            {cause === 'blossom-end-rot' ? (
              <Path
                d={`M${50 - height * 0.26} ${top + height * 0.2} Q50 ${top + height * 0.42} ${50 + height * 0.26} ${top + height * 0.2} Q50 ${top - 8} ${50 - height * 0.26} ${top + height * 0.2}Z`}
                fill={paint('tip')}
                stroke={ink}
                strokeWidth={1.6}
              />
            ) : null}
            {cause === 'poorly-pollinated' ? (
              <Path
                d={`M42 ${top + 12} Q50 ${top + 22} 58 ${top + 12} Q50 ${top - 4} 42 ${top + 12}Z`}
                fill={paint('tip')}
                stroke={ink}
                strokeWidth={1.4}
              />
            ) : null}
            {cause === 'wet-rot' ? <Whiskers top={top} colour={ink} /> : null}
            {cause === 'borer' ? (
              <G>
                <Circle cx={56} cy={top + 46} r={7} fill={paint('hole')} stroke={ink} strokeWidth={1.6} />
                <Path
                  d={`M55 ${top + 58} h0.1 M61 ${top + 62} h0.1 M54 ${top + 66} h0.1 M60 ${top + 71} h0.1`}
                  stroke={paint('tip')}
                  strokeWidth={6}
                  strokeLinecap="round"
                />
              </G>
            ) : null}
            {cause === 'drought' ? (
              <Path
                d={`M40 ${top + 22} q6 18 -2 40 M52 ${top + 16} q7 24 -1 52 M62 ${top + 26} q4 18 -2 36`}
                fill="none"
                stroke={ink}
                strokeWidth={2}
              />
            ) : null}
            {cause === 'pest' ? (
              <Path
                d={`M40 ${top + 40} a9 10 0 1 0 18 2 a8 7 0 0 0 -18 -2Z M56 ${top + 62} a5 6 0 1 0 9 1 a5 5 0 0 0 -9 -1Z`}
                fill={paint('hole')}
              />
            ) : null}
            {cause === 'rot' ? (
              <Path
                d={`M34 ${top + 52} q8 -14 20 -6 q14 2 12 16 q-4 14 -18 10 q-16 -4 -14 -20Z`}
                fill={paint('tip')}
                opacity={0.85}
              />
            ) : null}
          </G>
          {cause === 'heat' ? (
            <G>
              <Circle cx={74} cy={26} r={13} fill={colours.pollen} stroke={ink} strokeWidth={1.6} />
              <Path
                d="M74 4 V10 M74 42 V48 M52 26 H58 M90 26 H96 M59 11 L63 15 M85 37 L89 41"
                stroke={ink}
                strokeWidth={2.4}
              />
            </G>
          ) : null}
          {cause === 'frost' ? (
            <Path
              d="M74 6 V46 M57 16 L91 36 M91 16 L57 36 M69 10 L74 15 L79 10 M69 42 L74 37 L79 42"
              fill="none"
              stroke={colours.dusk}
              strokeWidth={3}
              strokeLinecap="round"
            />
          ) : null}
          {cause === 'picked-by-mistake' ? (
            <Path d="M34 132 L66 122" stroke={colours.brick} strokeWidth={5} strokeLinecap="round" />
          ) : null}
          {cause === 'weather' ? (
            <Path
              d="M22 18 l-6 14 M42 10 l-6 14 M70 14 l-6 14 M86 24 l-6 14"
              stroke={colours.dusk}
              strokeWidth={4}
              strokeLinecap="round"
            />
          ) : null}
          {cause === 'too-much-fruit' ? (
            <G>
              <Path
                d="M6 120 a16 16 0 1 1 32 0 a16 16 0 1 1 -32 0Z M62 118 a18 18 0 1 1 36 0 a18 18 0 1 1 -36 0Z"
                fill={paint('fruit')}
                stroke={ink}
                strokeWidth={2}
              />
            </G>
          ) : null}
          {cause === 'unknown' ? (
            <Path
              d="M40 36 q0 -16 12 -16 q13 0 12 12 q0 8 -12 14 v8 M52 60 v4"
              fill="none"
              stroke={ink}
              strokeWidth={5}
              strokeLinecap="round"
            />
          ) : null}
        </G>
      )}
    </Svg>
  );
}
