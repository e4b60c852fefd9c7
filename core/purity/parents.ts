import type { Flower, State } from '../ledger';
import type { ProofLink } from './proofLink';

/** A mother, or a father, found later not to be true to the variety: that says more of the seed than any other link. `null`: none was. */
export function untrueParent(
  { pollinations, plant }: Flower,
  { plants }: Pick<State, 'plants'>,
): ProofLink | null {
  const mother = plants.get(plant)?.offType ?? null;
  const father = pollinations
    .flatMap(({ fathers }) => fathers)
    .map((each) => plants.get(each.plant)?.offType ?? null)
    .find((found) => found !== null);
  const found = mother ?? father;
  if (!found) return null;
  return {
    link: 'fathers',
    state: 'broken',
    says: mother ? 'mother-off-type' : 'father-off-type',
    events: [found.event],
    until: null,
    otherVariety: true,
    untrue: true,
  };
}
