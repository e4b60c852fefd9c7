import { useState } from 'react';
import Svg, { Circle } from 'react-native-svg';
import { Button, Field, Tile, Tiles } from '../controls';
import { useColours } from '../theme';

/** Things everybody knows the size of, mm (common practice). */
const THINGS = [
  { name: 'pea', mm: 8 },
  { name: 'cherry', mm: 22 },
  { name: 'walnut', mm: 38 },
  { name: 'egg', mm: 55 },
  { name: 'apple', mm: 75 },
  { name: 'fist', mm: 95 },
  { name: 'ball', mm: 220 },
] as const;

const MM_PER_INCH = 25.4;
const PICTURE = 44;
const MOST_MM = 5000;

/** Asks for the size only when somebody wants to say it. */
export function SizeAsk(props: SizeProps) {
  const [open, setOpen] = useState(false);
  return open ? (
    <SizeTiles {...props} />
  ) : (
    <Button title="Say its size first" look="quiet" small onPress={() => setOpen(true)} />
  );
}

interface SizeProps {
  readonly us: boolean;
  readonly sizeMm: number | null;
  readonly onSize: (sizeMm: number | null) => void;
}

/** About how big: as big as something known, or by the tape. `null`: not said. */
export function SizeTiles({ us, sizeMm, onSize }: SizeProps) {
  const colours = useColours();
  const [tape, setTape] = useState(false);
  const [typed, setTyped] = useState('');
  const read = (text: string) => {
    setTyped(text);
    const value = Number(text.replace(',', '.'));
    onSize(text.trim() === '' || !(value > 0) ? null : Math.min(MOST_MM, us ? value * MM_PER_INCH : value));
  };
  const written = (mm: number) => (us ? `${Math.round((mm / MM_PER_INCH) * 10) / 10} in` : `${mm} mm`);
  return (
    <>
      <Tiles question="About as big as">
        {THINGS.map(({ name, mm }) => (
          <Tile
            key={name}
            title={name}
            note={written(mm)}
            small
            minWidth={66}
            chosen={!tape && sizeMm === mm}
            onPress={() => {
              setTape(false);
              setTyped('');
              onSize(sizeMm === mm ? null : mm);
            }}
            picture={
              <Svg width={PICTURE} height={PICTURE} aria-hidden>
                <Circle
                  cx={PICTURE / 2}
                  cy={PICTURE / 2}
                  r={Math.max(1.5, Math.min(PICTURE / 2 - 1, (mm / 100) * (PICTURE / 2 - 1)))}
                  fill={mm > 100 ? colours.leafSoft : colours.leaf}
                  stroke={colours.ink}
                />
              </Svg>
            }
          />
        ))}
      </Tiles>
      {tape ? (
        <Field
          label={`By the tape, ${us ? 'inches' : 'mm'}`}
          value={typed}
          onChange={read}
          keyboard="decimal-pad"
        />
      ) : (
        <Button title="By the tape" look="quiet" small onPress={() => setTape(true)} />
      )}
    </>
  );
}
