import type { Closure } from '@core/crops';
import type { LedgerEvent, State } from '@core/ledger';
import { growing, plantName } from '@core/patch';
import {
  causeWords,
  checkWords,
  closureWords,
  lookWords,
  missedWords,
  propWords,
  plural,
  reasonWords,
  sexWords,
  shelterWords,
  shutWords,
  stageWords,
  toolWords,
} from '../words';

/** All that one entry of a flower's story says, in words: what nobody said is not in it. */
export function storyWords(state: State, event: LedgerEvent): string {
  switch (event.kind) {
    case 'flowerSeen':
      return join(
        `Seen: ${sexWords[event.sex]}, ${stageWords[event.stage]}`,
        event.node === null ? null : `node ${event.node}`,
        event.ovaryMm ? `ovary ${event.ovaryMm} mm` : null,
      );
    case 'flowerShut':
      return join(
        `Shut with ${closureWords[event.closure]}`,
        event.stillShut ? 'still shut when covered' : null,
      );
    case 'closureChecked':
      return event.result === 'no-pollen'
        ? 'Looked at: no loose pollen'
        : `Closure: ${checkWords[event.result]}`;
    case 'emasculated':
      return 'Petals and anthers taken out';
    case 'pollinated': {
      const fathers = event.fathers.map(({ plant, males }) => {
        const father = growing(state, plant);
        return `${father ? plantName(father) : 'a plant'} (${plural(males, 'male')})`;
      });
      const { tool, shutAgain, lobes, openS, beeIn, puff, maleInside, clean, purpose } = event;
      return join(
        `Pollinated from ${fathers.join(', ') || 'no father written down'}${tool ? ` with ${toolWords[tool]}` : ''}`,
        shutAgain === undefined ? 'shut again or not: not recorded' : shutWords(shutAgain ?? 'open'),
        lobes === undefined ? null : `${plural(lobes, 'lobe')} covered`,
        openS === undefined
          ? null
          : `open for ${openS < 90 ? `${openS} s` : `${Math.round(openS / 60)} min`}`,
        beeIn === undefined ? null : beeIn ? 'a bee got in' : 'no bee got in',
        puff === undefined ? null : puff ? 'a puff of pollen seen' : 'no puff of pollen seen',
        maleInside === undefined ? null : maleInside ? 'the male left inside' : 'no male left inside',
        clean === undefined ? null : clean ? 'hands and tool clean' : 'other pollen on hands or tool',
        purpose === 'kitchen' ? 'for the kitchen' : null,
      );
    }
    case 'leftOpen':
      return 'Left to the insects on purpose';
    case 'missed':
      return `Not worked: ${missedWords[event.why]}`;
    case 'reasonSet':
      return `For ${reasonWords[event.reason]} from now on`;
    case 'marked':
      return `Marked ${event.mark}`;
    case 'markLost':
      return event.mark === undefined ? 'Its mark was gone' : `The mark ${event.mark} was gone`;
    case 'threaded':
      return `A ${event.colour} thread tied on`;
    case 'pinched':
      return 'The rest of its truss pinched off';
    case 'settled':
      return 'Two entries looked over: both are true';
    case 'coverOff':
      return 'Cover taken off';
    case 'lookedAt':
      return join(
        `Looked at: ${lookWords[event.result]}${event.sizeMm === null ? '' : `, ${Math.round(event.sizeMm)} mm`}`,
        readWords(event.markRead),
      );
    case 'propped': {
      const words = propWords[event.prop];
      return words.charAt(0).toUpperCase() + words.slice(1);
    }
    case 'lost':
      return `Lost: ${causeWords[event.cause]}`;
    case 'harvested':
      return join(
        `Harvested for ${event.harvestFor === 'seed' ? 'seed' : 'the kitchen'}`,
        event.weightG === null ? null : `${event.weightG} g`,
        readWords(event.markRead),
      );
    case 'noted':
      return event.text;
    case 'corrected':
      return correctedWords(state, event.changes);
    // What stood over its bed, and its plant, are no entries of its own.
    case 'cageOpened':
      return 'Its cage off for the day';
    case 'shelterSet':
      return event.shelter === null ? 'Nothing over its bed' : `Over its bed: ${shelterWords[event.shelter]}`;
    case 'offTypeFound':
      return 'A plant not true to the variety';
    case 'grownOut':
      return `${plural(event.grown, 'plant')} grown out of its seed`;
    default:
      return event.kind;
  }
}

/** What was put right, or added to an entry that did not say it. */
function correctedWords(state: State, changes: Readonly<Record<string, unknown>>): string {
  const plant = typeof changes.plant === 'string' ? growing(state, changes.plant) : null;
  if (plant) return `Put right: it grows on ${plantName(plant)}`;
  const { clean, beeIn, shutAgain, stillShut, markRead } = changes;
  const added = [
    ...(clean === undefined ? [] : [clean ? 'hands and tool clean' : 'other pollen on hands or tool']),
    ...(beeIn === undefined ? [] : [beeIn ? 'a bee got in' : 'no bee got in']),
    ...(shutAgain === undefined ? [] : [shutWords((shutAgain as Closure | null) ?? 'open')]),
    ...(stillShut === true ? ['still shut when covered'] : []),
    ...(markRead === undefined ? [] : [markRead ? 'its mark read' : 'its mark could not be read']),
  ];
  return added.length > 0 ? `Added: ${added.join('; ')}` : 'Put right';
}

const readWords = (read: boolean | undefined) =>
  read === undefined ? null : read ? 'its mark read' : 'its mark could not be read';

function join(...parts: readonly (string | null)[]): string {
  return parts.filter((part) => part !== null).join('; ');
}
