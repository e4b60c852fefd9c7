import type { Bed, Corner, Plant, Stand } from '../ledger';
import type { OnPlan } from './earth';

/** Where a bed lies and how it is turned. */
type Lying = Pick<Bed, 'xM' | 'yM' | 'lengthM' | 'widthM' | 'turnedDeg' | 'first'>;

/**
 * Where a point of a bed lies on the plan now. Plants and outlines are measured as the bed first lay, so that whatever grows in a bed
 * comes along when it is moved or turned. Metres.
 * @example onPlan({ xM: 5, yM: 0, lengthM: 4, widthM: 2, turnedDeg: 90, first: { xM: 0, yM: 0 } }, [0, 1]).map(Math.round) // [7, -1]
 */
export function onPlan(bed: Lying, [x, y]: Corner): Corner {
  return turned(bed, [x - bed.first.xM + bed.xM, y - bed.first.yM + bed.yM], bed.turnedDeg);
}

/**
 * The other way round: a point of the plan as it would have been measured when the bed first lay.
 * @example inBed({ xM: 5, yM: 0, lengthM: 4, widthM: 2, turnedDeg: 90, first: { xM: 0, yM: 0 } }, [7, -1]).map(Math.round) // [0, 1]
 */
export function inBed(bed: Lying, point: Corner): Corner {
  const [x, y] = turned(bed, point, -bed.turnedDeg);
  return [x - bed.xM + bed.first.xM, y - bed.yM + bed.first.yM];
}

/** Clockwise about the middle of the bed; y runs south. */
function turned(bed: Lying, [x, y]: Corner, degrees: number): Corner {
  if (degrees === 0) return [x, y];
  const [middleX, middleY] = middleOfBed(bed);
  const [east, south] = turnedBy([x - middleX, y - middleY], degrees);
  return [middleX + east, middleY + south];
}

/**
 * A step on the plan turned clockwise; y runs south.
 * @example turnedBy([2, 0], 90).map(Math.round) // [0, 2]
 */
export function turnedBy([east, south]: Corner, degrees: number): Corner {
  if (degrees === 0) return [east, south];
  const angle = (degrees * Math.PI) / 180;
  return [east * Math.cos(angle) - south * Math.sin(angle), east * Math.sin(angle) + south * Math.cos(angle)];
}

/** The middle of a bed, which stays where it is when the bed is turned. */
export function middleOfBed({ xM, yM, lengthM, widthM }: Omit<Lying, 'turnedDeg' | 'first'>): Corner {
  return [xM + lengthM / 2, yM + widthM / 2];
}

/** The corners of a bed on the plan, clockwise from the one nearest the origin when unturned. */
export function bedCorners(bed: Lying): readonly Corner[] {
  const { xM, yM, lengthM, widthM, turnedDeg } = bed;
  return (
    [
      [xM, yM],
      [xM + lengthM, yM],
      [xM + lengthM, yM + widthM],
      [xM, yM + widthM],
    ] as const
  ).map((corner) => turned(bed, corner, turnedDeg));
}

/** A point measured with the plants of a stand, where it lies on the plan now: the stand may have been moved, and its bed. */
export function standPoint(stand: Pick<Stand, 'moved'>, bed: Lying, [x, y]: Corner): Corner {
  return onPlan(bed, [x + stand.moved.alongM, y + stand.moved.acrossM]);
}

/** Where a plant stands on the plan, m. */
export function plantPlace({
  plant,
  stand,
  bed,
}: {
  readonly plant: Pick<Plant, 'xM' | 'yM'>;
  readonly stand: Pick<Stand, 'moved'>;
  readonly bed: Lying;
}): OnPlan {
  const [xM, yM] = standPoint(stand, bed, [plant.xM, plant.yM]);
  return { xM, yM };
}
