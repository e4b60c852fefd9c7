import { lazy, Suspense, type ComponentType } from 'react';
import { View } from 'react-native';
import { piece } from '@/data/device/pieces';

type Drawn = typeof import('./drawn');

/** The room a chart takes while its code is fetched. */
const ROOM = 190;

const drawn = piece(() => import('./drawn'));

/** The charts drawn with d3 come in a piece of their own: nobody who works a round waits for it. */
function later<Props extends object>(pick: (drawn: Drawn) => ComponentType<Props>): ComponentType<Props> {
  const Chart = lazy(() => {
    const here = drawn();
    // React takes whatever has `then`, and does not wait where that calls back at once.
    return here instanceof Promise
      ? here.then((charts) => ({ default: pick(charts) }))
      : ({ then: (take: (chart: object) => void) => take({ default: pick(here) }) } as never);
  });
  return function Later(props: Props) {
    return (
      <Suspense fallback={<View style={{ height: ROOM }} />}>
        <Chart {...props} />
      </Suspense>
    );
  };
}

export const DropChart = later((drawn) => drawn.DropChart);
export const FateChart = later((drawn) => drawn.FateChart);
export const GrowthChart = later((drawn) => drawn.GrowthChart);
export const ModelChart = later((drawn) => drawn.ModelChart);
