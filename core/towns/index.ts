import { ROWS } from './rows';

/** A town to pick as a place. */
export interface Town {
  readonly name: string;
  readonly country: string;
  readonly latitude: number;
  readonly longitude: number;
  readonly zone: string;
}

/** Towns to pick a place from. */
export const towns: readonly Town[] = ROWS.map(([name, country, latitude, longitude, zone]) => ({
  name,
  country,
  latitude,
  longitude,
  zone,
}));

const plain = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

/**
 * Towns whose name, country or zone starts with or holds what was typed; those that start with it first.
 * @example findTowns('ljub')[0].name // 'Ljubljana'
 */
export function findTowns(typed: string, most = 8): Town[] {
  const wanted = plain(typed.trim());
  if (wanted === '') return [];
  const scored = towns.flatMap((town) => {
    const name = plain(town.name);
    const score = name.startsWith(wanted)
      ? 0
      : plain(`${town.country} ${town.zone}`).includes(wanted)
        ? 1
        : name.includes(wanted)
          ? 1
          : null;
    return score === null ? [] : [{ town, score }];
  });
  return scored
    .sort((a, b) => a.score - b.score)
    .slice(0, most)
    .map(({ town }) => town);
}

/**
 * The town of a zone, to start from the browser's own zone.
 * @example townOfZone('Europe/Ljubljana').name // 'Ljubljana'
 */
export function townOfZone(zone: string): Town | null {
  return towns.find((town) => town.zone === zone) ?? null;
}
