import type { Crop } from '@core/crops';
import { lobesOf } from '@core/rounds';
import { Card, Key, Tile, Tiles } from '../controls';

export interface Went {
  readonly lobes: number | null;
  readonly openS: number | null;
  readonly beeIn: boolean;
}

const OPEN = [
  { openS: 40, title: 'under a minute' },
  { openS: 120, title: '1-3 minutes' },
  { openS: 300, title: 'longer' },
] as const;

/** How well the flower was worked: lobes covered, how long it stood open, whether a bee got in. Best is assumed till tapped. */
export function HowItWent({
  crop,
  value,
  open,
  onOpen,
  onChange,
}: {
  crop: Crop;
  value: Went;
  open: boolean;
  onOpen: () => void;
  onChange: (part: Partial<Went>) => void;
}) {
  const all = lobesOf(crop);
  const lobes = value.lobes ?? all;
  const openS = value.openS ?? OPEN[0].openS;
  if (!open)
    return (
      <Key
        title={`${all ? `${lobes === all ? `All ${all} lobes` : `${lobes ?? 0} of ${all} lobes`}, ` : ''}open ${OPEN.find((each) => each.openS === openS)?.title ?? ''}, ${value.beeIn ? 'a bee got in' : 'no bee'}. Change`}
        look="quiet"
        small
        onPress={onOpen}
      />
    );
  return (
    <Card style={{ padding: 10 }}>
      {all ? (
        <Tiles question="Lobes of the stigma covered">
          {Array.from({ length: all }, (_, i) => i + 1).map((n) => (
            <Tile
              key={n}
              title={n === all ? `all ${n}` : String(n)}
              small
              chosen={lobes === n}
              onPress={() => onChange({ lobes: n })}
            />
          ))}
        </Tiles>
      ) : null}
      <Tiles question="It stood open">
        {OPEN.map((each) => (
          <Tile
            key={each.openS}
            title={each.title}
            small
            chosen={openS === each.openS}
            onPress={() => onChange({ openS: each.openS })}
            minWidth={88}
          />
        ))}
      </Tiles>
      <Tiles question="Did a bee get in?">
        <Tile title="no" small chosen={!value.beeIn} onPress={() => onChange({ beeIn: false })} />
        <Tile title="a bee got in" small chosen={value.beeIn} onPress={() => onChange({ beeIn: true })} />
      </Tiles>
    </Card>
  );
}
