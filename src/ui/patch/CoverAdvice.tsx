import { coversFor, insectsKeptOut, wantsHands, type Growing } from '@core/patch';
import { useGarden } from '@/data/garden/garden';
import { Notice } from '../controls';
import { shelterWords } from '../words';

/** What a shelter changes for what grows under it: whether its flowers want covers, and hands. Nothing in the open air. */
export function CoverAdvice({ growing }: { growing: Growing }) {
  const { state, today } = useGarden();
  const { bed, crop, variety, stand } = growing;
  const { needed, others, wideMesh, shelter } = coversFor(state, growing, today);
  if (!shelter?.shelter) return null;
  const name = variety.name;
  const under = `${shelter.shelter === 'indoors' ? '' : 'under '}${shelterWords[shelter.shelter]}`;
  if (stand.reason === 'fruit') {
    if (!wantsHands(growing, today)) return null;
    return (
      <Notice
        tone="leaf"
        text={`${name} stands ${under} and no insect gets in: every ${crop.flowers.perfect ? 'flower' : 'female'} that opens is yours to pollinate, each morning.`}
      />
    );
  }
  if (wideMesh)
    return (
      <Notice
        tone="pollen"
        text={`${name} stands ${under} with a mesh wider than 1 mm, which small bees go through: for seed its flowers are shut as in the open.`}
      />
    );
  if (!needed && shelter.insects === 'put-in')
    return (
      <Notice
        tone="leaf"
        text={`${name} is alone of its species ${under}, with bees of its own: they do the work, and every flower that opens while it is shut is pure. Another variety of the species in there would change that.`}
      />
    );
  if (shelter.insects === 'in-turn')
    return (
      <Notice
        tone={needed ? 'pollen' : 'leaf'}
        text={
          needed
            ? `${others.join(', ')} can cross with ${name} and ${others.length === 1 ? 'stands' : 'stand'} in the open: caged in turn, all that cross must be.`
            : `${name} is caged in turn: on its day the bees do the work, while the others are shut in. Move the cages before the bees fly, and write it down on Today: only such days count.`
        }
      />
    );
  if (!insectsKeptOut(bed, today) && shelter.insects !== 'put-in')
    return (
      <Notice
        tone="pollen"
        text={`${name} stands ${under} that insects can get into: for seed its flowers are shut as in the open.`}
      />
    );
  if (!needed)
    return (
      <Notice
        tone="leaf"
        text={`${name} stands alone of its species ${under}, and no insect gets in: its flowers need no covers. Every female is yours to pollinate, and to mark. Another variety of the species under cover would change that.`}
      />
    );
  return (
    <Notice
      tone="pollen"
      text={
        others.length > 0
          ? `${others.join(', ')} of the same species ${others.length === 1 ? 'is' : 'are'} under cover too: for seed the flowers of ${name} are shut as in the open.`
          : `Pollen of ${crop.name} flies on the wind, and ${shelterWords[shelter.shelter]} does not stop it: cover ears and tassels as in the open.`
      }
    />
  );
}
