import { fateOf, tally } from '../fruitset';
import { flowersOn, growing, mainPatch, plantName, walkOrder } from '../patch';
import type { State } from '../ledger';
import { csvText, type Cell } from './csv';

export const TABLES = ['flowers', 'plants'] as const;
export type Table = (typeof TABLES)[number];

/** One table as CSV for a spreadsheet; formulas in names are defused. Times are UTC instants. */
export function toCsv(state: State, table: Table): string {
  const zone = mainPatch(state)?.place?.zone ?? 'UTC';
  return csvText(table === 'flowers' ? flowerRows(state, zone) : plantRows(state, zone), {
    guardFormulas: true,
  });
}

function flowerRows(state: State, zone: string): Cell[][] {
  const rows: Cell[][] = [
    [
      'flower',
      'bed',
      'variety',
      'plant',
      'node',
      'sex',
      'first seen',
      'stage',
      'shut',
      'closure',
      'at dawn',
      'pollinated',
      'by',
      'fathers',
      'males',
      'tool',
      'purpose',
      'shut again',
      'mark',
      'fate',
      'cause',
      'harvested',
    ],
  ];
  for (const flower of state.flowers.values()) {
    const found = growing(state, flower.plant);
    if (!found) continue;
    const shut = flower.shuttings[0];
    const worked = flower.pollinations[0];
    const fathers = worked?.fathers.map(({ plant }) => {
      const father = growing(state, plant);
      return father ? plantName(father) : plant;
    });
    rows.push([
      flower.id,
      found.bed.name,
      found.variety.name,
      found.plant.label,
      flower.node,
      flower.sex,
      flower.sightings[0]?.at,
      flower.sightings[flower.sightings.length - 1]?.stage,
      shut?.at,
      shut?.closure,
      flower.checks.map(({ result }) => result).join(' '),
      worked?.at,
      worked?.by,
      fathers?.join('; '),
      worked?.fathers.reduce((sum, { males }) => sum + males, 0),
      worked?.tool,
      worked?.purpose,
      worked?.shutAgain,
      flower.mark,
      fateOf(flower, found.crop, zone),
      flower.lost?.cause,
      flower.harvested?.at,
    ]);
  }
  return rows;
}

function plantRows(state: State, zone: string): Cell[][] {
  const rows: Cell[][] = [
    [
      'bed',
      'variety',
      'plant',
      'crop',
      'x (m)',
      'y (m)',
      'worked',
      'set',
      'dropped',
      'waiting',
      'set share',
      'low 95 %',
      'high 95 %',
    ],
  ];
  for (const { plant, bed, variety, crop } of walkOrder(state)) {
    const flowers = flowersOn(state, plant.id).map((flower) => [flower, crop] as const);
    const { worked, set, dropped, waiting, share, interval } = tally(flowers, zone);
    rows.push([
      bed.name,
      variety.name,
      plant.label,
      crop.name,
      plant.xM,
      plant.yM,
      worked,
      set,
      dropped,
      waiting,
      rounded(share),
      rounded(interval?.low),
      rounded(interval?.high),
    ]);
  }
  return rows;
}

function rounded(share: number | null | undefined): number | null {
  return share === null || share === undefined ? null : Math.round(share * 1000) / 1000;
}
