// Writes core/sky/landRows.ts: which cells of 2 degrees are land, from the land of Natural Earth at 1:110 million (public domain).
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { geoContains } from 'd3-geo';
import { feature } from 'topojson-client';
import type { Topology } from 'topojson-specification';
import atlas from 'world-atlas/land-110m.json';

const CELL = 2;
export const SOUTH = -60;
export const NORTH = 76;
const COLUMNS = 360 / CELL;

const topology = atlas as unknown as Topology;
const land = feature(topology, topology.objects.land as Topology['objects'][string]);

/** Whether half of a cell or more is land: of its four quarters, by their middles. */
export function isLand(south: number, west: number): boolean {
  const middles = [0.5, 1.5].flatMap((up) =>
    [0.5, 1.5].map((along) => [west + along, south + up] as [number, number]),
  );
  return middles.filter((at) => geoContains(land, at)).length >= 2;
}

/** The cells, row by row from the south, from 180 degrees west: a bit each, six to a character. */
function table(): string {
  const bits: number[] = [];
  for (let south = SOUTH; south < NORTH; south += CELL)
    for (let column = 0; column < COLUMNS; column++) bits.push(isLand(south, -180 + column * CELL) ? 1 : 0);
  const bytes = new Uint8Array(Math.ceil(bits.length / 8));
  bits.forEach((bit, i) => (bytes[i >> 3] = (bytes[i >> 3] as number) | (bit << (7 - (i & 7)))));
  return Buffer.from(bytes).toString('base64');
}

if (process.argv[1]?.endsWith('land.ts'))
  writeFileSync(
    join(__dirname, '../core/sky/landRows.ts'),
    `/* Land and sea in cells of ${CELL} degrees, by scripts/land.ts. Source: Natural Earth, land at 1:110 million (public domain). */\n
/** Base64 of a bit for each cell, 1 for land: row by row from ${-SOUTH} degrees south to ${NORTH} north, each from 180 degrees west. */
export const LAND =\n  '${table()}';\n`,
  );
