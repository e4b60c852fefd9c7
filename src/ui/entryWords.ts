import { kindName, SCHOOLS } from '@core/crops';
import { isKnown, type AnyEvent, type LedgerEvent, type State } from '@core/ledger';
import { growing, lotName, plantName } from '@core/patch';
import { shortDayText } from '@core/time';
import {
  careWords,
  causeWords,
  checkWords,
  flowerName,
  healthWords,
  lookWords,
  plural,
  propWords,
  reasonWords,
  shelterWords,
} from './words';
import { rogueWords } from './fruit/rogueWords';

/** Of the events of one tap, the one that says most about what was done. */
const TELLING: readonly LedgerEvent['kind'][] = [
  'patchBegun',
  'plantAdded',
  'pollinated',
  'leftOpen',
  'lost',
  'harvested',
  'flowerShut',
];

/** What one tap wrote down, for the line that offers to take it back. */
export function entryWords(state: State, tap: readonly AnyEvent[]): string {
  const events = tap.filter(isKnown);
  const event =
    TELLING.map((kind) => events.find((each) => each.kind === kind)).find((each) => each !== undefined) ??
    events[0];
  return event ? wordsOf(state, event, events) : tap.length > 0 ? 'an entry of a newer version' : 'nothing';
}

function wordsOf(state: State, event: LedgerEvent, events: readonly LedgerEvent[]): string {
  const flowerAt = (id: string) => {
    const flower = state.flowers.get(id);
    if (flower) return flowerName(state, flower);
    const seen = events.find((each) => each.kind === 'flowerSeen' && each.flower === id);
    return seen?.kind === 'flowerSeen' ? plantAt(seen.plant) : 'a flower';
  };
  const plantAt = (id: string) => {
    const found = growing(state, id);
    return found ? plantName(found) : 'a plant';
  };
  const standAt = (id: string) => {
    const stand = state.stands.get(id);
    return (stand && state.varieties.get(stand.variety)?.name) ?? 'a stand';
  };
  const bedAt = (id: string) => state.beds.get(id)?.name ?? 'a bed';
  switch (event.kind) {
    case 'patchBegun':
      return `the patch ${event.name}`;
    case 'placeSet':
      return `the place: ${event.place.name}`;
    case 'schoolChosen':
      return `a way of working: ${SCHOOLS.find(({ key }) => key === event.school)?.question ?? event.school}`;
    case 'frostExpected':
      return 'the first frost';
    case 'morningsSet':
      return 'my mornings';
    case 'morningTold':
      return `${shortDayText(event.date)}: ${event.comes ? 'I can come' : 'away'}`;
    case 'weatherNoted': {
      const [first, ...more] = event.days;
      return more.length > 0
        ? `the weather of ${events.reduce((sum, each) => sum + (each.kind === 'weatherNoted' ? each.days.length : 0), 0)} days`
        : `the weather of ${first ? shortDayText(first.date) : 'a day'}`;
    }
    case 'bedAdded':
      return `the bed ${event.name}`;
    case 'shelterSet':
      return `${event.shelter ? shelterWords[event.shelter] : 'open air'} over ${bedAt(event.bed)}`;
    case 'bedPlaced':
      return `where ${bedAt(event.bed)} lies`;
    case 'standPlaced':
      return `where ${standAt(event.stand)} stands`;
    case 'outlineSet':
      return `the ground of ${standAt(event.stand)}`;
    case 'obstacleNoted':
      return `${event.what === 'water' ? 'water' : `a ${event.what}`} on the plan`;
    case 'obstacleGone': {
      const gone = state.obstacles.get(event.obstacle);
      return `gone from the plan: ${gone ? (gone.what === 'water' ? 'water' : `a ${gone.what}`) : 'something'}`;
    }
    case 'weightSet':
      return 'how much a reason for distance weighs';
    case 'neighbourNoted':
      return `what grows next door: ${kindName(event.crop)}`;
    case 'neighbourGone': {
      const gone = state.neighbours.get(event.neighbour);
      return `gone next door: ${gone ? kindName(gone.crop) : 'a planting'}`;
    }
    case 'varietyAdded':
      return `the variety ${event.name}`;
    case 'standAdded':
      return `a stand of ${state.varieties.get(event.variety)?.name ?? 'a variety'}`;
    case 'goalSet':
      return event.goal ? `the goal of ${standAt(event.stand)}` : `no goal for ${standAt(event.stand)}`;
    case 'reasonSet': {
      const { subject, reason } = event;
      const what = state.flowers.has(subject)
        ? flowerAt(subject)
        : state.plants.has(subject)
          ? plantAt(subject)
          : standAt(subject);
      return `${what}: for ${reasonWords[reason]}`;
    }
    case 'clockNoted':
      return event.what === 'insects'
        ? 'insects about'
        : `flowers of ${standAt(event.stand)} ${event.what === 'opened' ? 'open' : 'shut'}`;
    case 'plantAdded': {
      const planted = events.filter((each) => each.kind === 'plantAdded').length;
      const named = events.find((each) => each.kind === 'varietyAdded');
      const stand = events.find((each) => each.kind === 'standAdded');
      const name =
        named?.kind === 'varietyAdded'
          ? named.name
          : stand?.kind === 'standAdded'
            ? (state.varieties.get(stand.variety)?.name ?? 'a variety')
            : standAt(event.stand);
      return `${plural(planted, 'plant')} of ${name}`;
    }
    case 'plantRemoved': {
      const removed = events.filter((each) => each.kind === 'plantRemoved').length;
      return removed > 1 ? `${plural(removed, 'plant')} cleared` : `removed: ${plantAt(event.plant)}`;
    }
    case 'plantDied':
      return `died: ${plantAt(event.plant)}`;
    case 'plantChecked':
      return `${healthWords[event.health]}: ${plantAt(event.plant)}`;
    case 'plantPassed':
      return `nothing to write on ${plantAt(event.plant)}`;
    case 'lotBegun':
      return `the lot ${state.varieties.get(event.variety)?.name ?? 'of a variety'} ${event.year}`;
    case 'sownFrom': {
      const lot = event.lot === null ? undefined : state.lots.get(event.lot);
      const what = state.plants.has(event.subject) ? plantAt(event.subject) : standAt(event.subject);
      return `${what}: sown from ${lot ? lotName(lot, state) : 'nobody knows what'}`;
    }
    case 'clonedFrom':
      return event.parent === null
        ? `no cutting: ${plantAt(event.plant)}`
        : `${plantAt(event.plant)} is from ${plantAt(event.parent)}`;
    case 'grownOut':
      return `${plural(event.grown, 'plant')} grown out, ${event.off.reduce((sum, { count }) => sum + count, 0)} off`;
    case 'careGiven':
      return `${careWords[event.care]}${event.product ? ` with ${event.product}` : ''}${event.on ? ` on ${shortDayText(event.on)}` : ''}: ${standAt(event.stand)}`;
    case 'cageOpened':
      return `open today, the others caged: ${state.beds.get(event.bed)?.name ?? 'a bed'}`;
    case 'lookedOver':
      return `looked over ${rogueWords[event.stage]}, all true: ${standAt(event.stand)}`;
    case 'propped':
      return `${propWords[event.prop]}: ${flowerAt(event.flower)}`;
    case 'keeperChosen':
      return `kept for ${event.trait}: ${plantAt(event.plant)}`;
    case 'offTypeFound':
      return `not true to its variety: ${plantAt(event.plant)}`;
    case 'stripped':
      return `open flowers and fruit off: ${plantAt(event.plant)}`;
    case 'malesCounted':
      return `counted ${plural(event.count, 'male')}, ${plantAt(event.plant)}`;
    case 'tallied': {
      const tallies = events.filter((each) => each.kind === 'tallied');
      return tallies.length > 1
        ? `${plural(event.flowers, 'flower')} worked on each of ${plural(tallies.length, 'plant')}`
        : `${plural(event.flowers, 'flower')} worked, ${plantAt(event.plant)}`;
    }
    case 'groupCounted':
      return `${event.set} of ${event.worked} set, ${event.plant ? plantAt(event.plant) : standAt(event.stand)}`;
    case 'fruitsPicked':
      return `picked ${plural(event.count, 'fruit', 'fruits')}, ${event.plant ? plantAt(event.plant) : standAt(event.stand)}`;
    case 'malesPicked':
      return `picked ${plural(event.count, 'male')} for the kitchen, ${standAt(event.stand)}`;
    case 'flowerSeen':
      return `noted ${flowerAt(event.flower)}`;
    case 'flowerShut': {
      const shut = events.filter((each) => each.kind === 'flowerShut').length;
      const seen = events.find((each) => each.kind === 'flowerSeen');
      const plant = seen?.kind === 'flowerSeen' ? plantAt(seen.plant) : flowerAt(event.flower);
      return shut > 1 ? `shut ${shut} flowers, ${plant}` : `shut ${flowerAt(event.flower)}`;
    }
    case 'closureChecked': {
      const looked = events.filter((each) => each.kind === 'closureChecked').length;
      return looked > 1
        ? `picked ${plural(looked, 'male')}, ${checkWords[event.result]}`
        : `${checkWords[event.result]}: ${flowerAt(event.flower)}`;
    }
    case 'leftOpen':
      return `left to the insects: ${flowerAt(event.flower)}`;
    case 'leaveSet':
      return event.every === null
        ? `none of ${standAt(event.stand)} left to the insects any more`
        : `one in ${event.every} of ${standAt(event.stand)} left to the insects`;
    case 'beesCounted':
      return `${plural(event.visits, 'visit')} counted at ${standAt(event.stand)}`;
    case 'missed':
      return `not worked: ${flowerAt(event.flower)}`;
    case 'emasculated':
      return `anthers out: ${flowerAt(event.flower)}`;
    case 'pollinated':
      return `pollinated ${flowerAt(event.flower)}`;
    case 'marked':
      return `mark ${event.mark} on ${flowerAt(event.flower)}`;
    case 'coverOff':
      return `cover off ${flowerAt(event.flower)}`;
    case 'pinched':
      return `rest of the truss pinched off: ${flowerAt(event.flower)}`;
    case 'threaded':
      return `${event.colour} thread on ${flowerAt(event.flower)}`;
    case 'lookedAt': {
      const looked = events.filter((each) => each.kind === 'lookedAt').length;
      return looked > 1
        ? `${lookWords[event.result]}: ${looked} fruits`
        : `${lookWords[event.result]}: ${flowerAt(event.flower)}`;
    }
    case 'lost':
      return `lost (${causeWords[event.cause]}): ${flowerAt(event.flower)}`;
    case 'markLost':
      return `the mark ${event.mark === undefined ? '' : `${event.mark} `}is gone: ${flowerAt(event.flower)}`;
    case 'harvested':
      return `harvested ${flowerAt(event.flower)}`;
    case 'noted':
      return 'a note';
    case 'settled':
      return 'two entries, both true';
    case 'corrected':
      return 'a correction';
    case 'withdrawn':
      return 'an entry taken back';
  }
}
