import type { ComponentType } from 'react';
import { View } from 'react-native';
import { piece, usePiece } from '@/data/device/pieces';

type Drawn = typeof import('./drawn');

/** The room a chart takes while its code is fetched. */
const ROOM = 190;

const drawn = piece(() => import('./drawn'));

/** The charts drawn with d3 come in a piece of their own: nobody who works a round waits for it. */
function later<Props extends object>(pick: (drawn: Drawn) => ComponentType<Props>): ComponentType<Props> {
  return function Later(props: Props) {
    const charts = usePiece(drawn);
    if (!charts) return <View style={{ height: ROOM }} />;
    const Chart = pick(charts);
    return <Chart {...props} />;
  };
}

export const DropChart = later((charts) => charts.DropChart);
export const FateChart = later((charts) => charts.FateChart);
export const GrowthChart = later((charts) => charts.GrowthChart);
export const ModelChart = later((charts) => charts.ModelChart);
