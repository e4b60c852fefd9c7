import { malesToAFemale, type Crop, type SexSystem } from '@core/crops';
import type { Flower } from '@core/ledger';
import { limitsOf } from '@/data/forms/limits';
import { Row, Stepper, Tile } from '../controls';
import { Txt } from '../theme';
import type { Looking } from './useWalkEntry';

/** Nodes on record that a tap chooses. */
const OFFERED = 3;

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
  sight: Looking;
  /** Of the plant, for the node that comes next. */
  flowers: readonly Flower[];
  onChange: (part: Partial<Looking>) => void;
}) {
  const known = [...new Set(flowers.flatMap(({ node }) => node ?? []))].sort((a, b) => a - b);
  const last = known.at(-1) ?? 0;
  // Flowers come from the root outwards: tonight's is on one of the last nodes, or on the next.
  const offered = known.length === 0 ? [] : [...known.slice(-OFFERED), last + 1];
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
        value={sight.node ?? last + 1}
        unset={sight.node === null}
        {...limitsOf('flowerSeen', 'node')}
        onChange={(node) => onChange({ node })}
      />
      {offered.length > 0 ? (
        <Row gap={6}>
          {offered.map((node) => (
            <Tile
              key={node}
              title={node > last ? `${node}, new` : String(node)}
              label={node > last ? `Node ${node}, the next one` : `Node ${node}, on record`}
              small
              chosen={sight.node === node}
              onPress={() => onChange({ node: sight.node === node ? null : node })}
              minWidth={56}
            />
          ))}
        </Row>
      ) : null}
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
