import { malesToAFemale, type Crop, type SexSystem } from '@core/crops';
import type { Flower } from '@core/ledger';
import type { EveningSight } from '@core/rounds';
import { Stepper } from '../controls';
import { Txt } from '../theme';

/** How many, at which node, how long the ovary: what can be counted of a flower on the walk. */
export function SightSteppers({
  crop,
  system,
  sight,
  flowers,
  onChange,
}: {
  crop: Crop;
  /** The variety's, where it says so. */
  system: SexSystem | null;
  sight: EveningSight;
  /** Of the plant, for the node that comes next. */
  flowers: readonly Flower[];
  onChange: (part: Partial<EveningSight>) => void;
}) {
  const next = flowers.reduce((most, { node }) => Math.max(most, node ?? 0), 0) + 1;
  const usual = malesToAFemale(crop, system)?.value;
  return (
    <>
      {sight.sex === 'male' ? (
        <Stepper
          label="How many like this"
          value={sight.count}
          least={1}
          most={40}
          onChange={(count) => onChange({ count })}
        />
      ) : null}
      {sight.sex === 'male' && usual ? (
        <Txt size="label" tone="muted">
          {`Usual: ${usual[0]} to ${usual[1]} males for one female, and at first no female at all.`}
        </Txt>
      ) : null}
      <Stepper
        label={sight.node === null ? 'Node from the root (may be left out)' : 'Node from the root'}
        value={sight.node ?? next}
        unset={sight.node === null}
        least={0}
        most={200}
        onChange={(node) => onChange({ node })}
      />
      {sight.sex === 'female' && crop.family === 'cucurbit' && sight.stage !== 'spent' ? (
        <Stepper
          label={sight.ovaryMm === null ? 'Ovary, mm (may be left out)' : 'Ovary, mm'}
          value={sight.ovaryMm ?? 25}
          unset={sight.ovaryMm === null}
          least={1}
          most={200}
          onChange={(ovaryMm) => onChange({ ovaryMm })}
        />
      ) : null}
    </>
  );
}
