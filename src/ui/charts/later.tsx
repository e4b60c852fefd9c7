import { lazy, Suspense, type ComponentType } from 'react';
import { View } from 'react-native';

type Drawn = typeof import('./drawn');

/** The room a chart takes while its code is fetched. */
const ROOM = 190;

/** The charts drawn with d3 come in a piece of their own: nobody who works a round waits for it. */
function later<Props extends object>(pick: (drawn: Drawn) => ComponentType<Props>): ComponentType<Props> {
  const Chart = lazy(async () => ({ default: pick(await import('./drawn')) }));
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
