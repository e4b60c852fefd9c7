import { useMemo } from 'react';
import { cornChain, unlinked } from '@core/corn';
import { walkOrder } from '@core/patch';
import { useGarden } from '@/data/garden/garden';
import { Card } from '../controls';
import { Txt } from '../theme';
import { plural } from '../words';

/** More names than this are not listed one by one. */
const NAMED = 12;

/** How far each stand's chain of mothers and fathers has come. Nothing before the first ear was poured. */
export function ChainCard() {
  const { state } = useGarden();
  const stands = useMemo(
    () =>
      [
        ...new Map(
          walkOrder(state)
            .filter(({ crop, stand }) => crop.family === 'corn' && stand.reason === 'seed')
            .map((each) => [each.stand.id, each]),
        ).values(),
      ].map((each) => {
        const chain = cornChain(state, each.stand.id);
        return { each, chain, free: unlinked(state, chain) };
      }),
    [state],
  );
  const begun = stands.filter(({ chain }) => chain.mothers.size > 0);
  if (begun.length === 0) return null;
  return (
    <Card>
      <Txt size="heading">The chain</Txt>
      <Txt size="label" tone="muted">
        Each plant once a mother and once a father, never its own: 1 × 2, 2 × 3, and the last × 1. Swaps are
        offered so. To conserve a kind some 200 plants are wanted.
      </Txt>
      {begun.map(({ each, chain, free }) => (
        <Txt key={each.stand.id}>
          {`${each.variety.name}, ${plural(chain.plants.length, 'plant')}: ${plural(chain.mothers.size, 'mother')} and ${plural(chain.fathers.size, 'father')} so far.`}
          {free.length > 0 && free.length <= NAMED ? ` Neither yet: ${free.join(', ')}.` : ''}
          {free.length > NAMED ? ` ${free.length} are neither yet.` : ''}
        </Txt>
      ))}
    </Card>
  );
}
