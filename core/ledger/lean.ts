import type { SubjectId } from '../ids';
import type { Flower } from './flowerViews';
import type { ViewTable } from './subjects';
import type { Plant } from './views';

/** A view as it is kept: what says nothing is left out, which is more than half of the text of tens of thousands of flowers. */
export function lean(view: { readonly id: SubjectId }): { readonly id: SubjectId } {
  const kept = Object.entries(view).filter(
    ([, value]) => value !== null && !(Array.isArray(value) && value.length === 0),
  );
  return Object.fromEntries(kept) as { readonly id: SubjectId };
}

/** Which tables are kept lean: those of which there are thousands. */
export const isLean = (table: ViewTable): boolean => table === 'flowers' || table === 'plants';

/** A view of a table as it was before it was kept. */
export function revived(table: ViewTable, view: { readonly id: SubjectId }): { readonly id: SubjectId } {
  if (table === 'flowers') return wholeFlower(view as unknown as LeanFlower);
  return table === 'plants' ? wholePlant(view as unknown as LeanPlant) : view;
}

/** A flower as it is kept. */
export type LeanFlower = Partial<Flower> & Pick<Flower, 'id' | 'plant' | 'sex'>;
type LeanPlant = Partial<Plant> & Pick<Plant, 'id' | 'stand' | 'label' | 'xM' | 'yM' | 'event' | 'addedAt'>;

// Written out field by field, since all of them must have one shape to be quick to read.

/** A flower as it was before it was kept. */
export function wholeFlower(view: LeanFlower): Flower {
  return {
    id: view.id,
    plant: view.plant,
    sex: view.sex,
    node: view.node ?? null,
    sightings: view.sightings ?? [],
    shuttings: view.shuttings ?? [],
    checks: view.checks ?? [],
    reason: view.reason ?? null,
    missed: view.missed ?? null,
    left: view.left ?? null,
    thread: view.thread ?? null,
    emasculated: view.emasculated ?? null,
    pollinations: view.pollinations ?? [],
    mark: view.mark ?? null,
    marking: view.marking ?? null,
    markings: view.markings ?? [],
    markLost: view.markLost ?? null,
    coverOffAt: view.coverOffAt ?? null,
    pinchedAt: view.pinchedAt ?? null,
    looks: view.looks ?? [],
    propped: view.propped ?? null,
    lost: view.lost ?? null,
    harvested: view.harvested ?? null,
    notes: view.notes ?? [],
    putRight: view.putRight ?? [],
  };
}

function wholePlant(view: LeanPlant): Plant {
  return {
    id: view.id,
    stand: view.stand,
    label: view.label,
    xM: view.xM,
    yM: view.yM,
    plantedOn: view.plantedOn ?? null,
    event: view.event,
    addedAt: view.addedAt,
    ended: view.ended ?? null,
    health: view.health ?? null,
    healthAt: view.healthAt ?? null,
    reason: view.reason ?? null,
    passedAt: view.passedAt ?? null,
    offType: view.offType ?? null,
    strippedAt: view.strippedAt ?? null,
    sown: view.sown ?? null,
    cloneOf: view.cloneOf ?? null,
    males: view.males ?? [],
    tallies: view.tallies ?? [],
    keepers: view.keepers ?? [],
    notes: view.notes ?? [],
  };
}
