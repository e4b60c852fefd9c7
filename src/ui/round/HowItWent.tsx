import type { Crop } from '@core/crops';
import { lobesOf } from '@core/rounds';
import { Card, Button, Tile, Tiles } from '../controls';
import { plural } from '../words';

export interface Went {
  readonly lobes: number | null;
  readonly openS: number | null;
  readonly beeIn: boolean | null;
  readonly maleInside?: boolean | null;
  readonly anthersOut?: boolean | null;
  readonly handsClean?: boolean | null;
}

const OPEN = [
  { openS: 40, title: 'under a minute' },
  { openS: 120, title: '1-3 minutes' },
  { openS: 300, title: 'longer' },
] as const;

/** How well the flower was worked: lobes covered, how long it stood open, whether a bee got in. What is not tapped is not recorded. */
export function HowItWent({
  crop,
  value,
  withAnthers = false,
  claimed = false,
  open,
  onOpen,
  onChange,
}: {
  crop: Crop;
  value: Went;
  /** A cross whose mother has anthers of her own (many melons): were they taken out? */
  withAnthers?: boolean;
  /** The main key says that nothing went wrong. */
  claimed?: boolean;
  open: boolean;
  onOpen: () => void;
  onChange: (part: Partial<Went>) => void;
}) {
  const all = lobesOf(crop);
  const { lobes, openS, beeIn, maleInside = null, anthersOut = null, handsClean = null } = value;
  if (!open) {
    const said = [
      ...(all && lobes !== null ? [plural(lobes, 'lobe')] : []),
      ...OPEN.filter((each) => each.openS === openS).map(({ title }) => `open ${title}`),
      ...(beeIn === null ? [] : [beeIn ? 'a bee got in' : 'no bee']),
      ...(handsClean === null ? [] : [handsClean ? 'hands clean' : 'hands not clean']),
      ...(maleInside ? ['male left inside'] : []),
      ...(anthersOut ? ['anthers out'] : []),
    ];
    return (
      <Button
        title={
          said.length > 0
            ? `How it went: ${said.join(', ')}. Change`
            : claimed
              ? 'Not quite so: say how it went'
              : 'How it went: say, if you like'
        }
        look="quiet"
        small
        onPress={onOpen}
      />
    );
  }
  return (
    <Card style={{ padding: 10 }}>
      {all ? (
        <Tiles question="Lobes of the stigma covered">
          {Array.from({ length: all.most }, (_, i) => i + 1).map((n) => (
            <Tile
              key={n}
              title={n === all.usual ? `${n}, usually all` : String(n)}
              small
              chosen={lobes === n}
              onPress={() => onChange({ lobes: lobes === n ? null : n })}
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
            onPress={() => onChange({ openS: openS === each.openS ? null : each.openS })}
            minWidth={88}
          />
        ))}
      </Tiles>
      <YesOrNo
        question="Did a bee get in?"
        value={beeIn}
        yes="a bee got in"
        no="no"
        onChange={(said) => onChange({ beeIn: said })}
      />
      {value.handsClean === undefined ? null : (
        <YesOrNo
          question="Hands and tool"
          value={handsClean}
          yes="clean"
          no="other pollen on them"
          onChange={(said) => onChange({ handsClean: said })}
        />
      )}
      {crop.id === 'melon' ? (
        <YesOrNo
          question="The male"
          value={maleInside}
          yes="left inside"
          no="taken out"
          onChange={(said) => onChange({ maleInside: said })}
        />
      ) : null}
      {withAnthers ? (
        <Tiles question="Her own anthers: nobody wrote that they came out last evening">
          <Tile
            title="taken out only now: she has selfed"
            small
            chosen={anthersOut === true}
            onPress={() => onChange({ anthersOut: anthersOut === true ? null : true })}
          />
        </Tiles>
      ) : null}
    </Card>
  );
}

/** Two answers and neither: the same tile again takes its answer back. */
function YesOrNo({
  question,
  value,
  yes,
  no,
  onChange,
}: {
  question: string;
  value: boolean | null;
  yes: string;
  no: string;
  onChange: (said: boolean | null) => void;
}) {
  const tile = (title: string, says: boolean) => (
    <Tile
      title={title}
      small
      chosen={value === says}
      onPress={() => onChange(value === says ? null : says)}
    />
  );
  return (
    <Tiles question={question}>
      {tile(no, false)}
      {tile(yes, true)}
    </Tiles>
  );
}
