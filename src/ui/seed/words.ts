import type { LotFrom, GrowOutStage, Rogued, State } from '@core/ledger';
import { generationCode, type Generation, type LineageOddity } from '@core/lineage';
import type { Share } from '@core/purity';
import type { LotOddity } from '@core/seed';

/** Where a lot is from, as an answer and in a sentence. */
export const fromWords: Readonly<Record<LotFrom, string>> = {
  fruits: 'own fruits',
  bought: 'bought',
  given: 'given',
  unknown: 'not known',
};

/** What a generation is, in a sentence. */
export function generationText(state: Pick<State, 'varieties'>, generation: Generation): string {
  const name = (variety: string) => state.varieties.get(variety)?.name ?? 'a variety not on this phone';
  switch (generation.kind) {
    case 'pure':
      return name(generation.variety);
    case 'f1':
      return generation.selfings === 0
        ? `${name(generation.variety)}, an F1 hybrid`
        : `${name(generation.variety)}, ${generationCode(generation) ?? ''} of an F1 hybrid`;
    case 'cross': {
      const cross = `${name(generation.mother)} × ${name(generation.father)}`;
      const code = generationCode(generation) ?? '';
      return generation.to === null
        ? `${code} of ${cross}`
        : `${code} of ${cross}, crossed back to ${name(generation.to)}`;
    }
    case 'mixed':
      return 'a mixture: its parents are of several kinds';
    case 'unknown':
      return 'not known: a father was not noted, or a parent is not on record';
  }
}

export const lotOddityText: Readonly<Record<LotOddity, string>> = {
  'no-fruits': 'No fruit is named for it, so nobody can say who its parents are.',
  'missing-fruit': 'A fruit of it is not on this phone. Another phone’s file may bring it.',
  'fruit-twice': 'A fruit of it is in another lot as well.',
  'two-varieties': 'Its mothers are of more than one variety.',
  'year-before': 'By its year it would be older than the work on one of its fruits.',
  'lost-fruit': 'A fruit of it was lost, by what was written.',
  'sown-before-ripe':
    'Plants that stood in the ground before its seed was ripe are said to be sown from it. They don’t count as its own.',
};

export const lineageOddityText: Readonly<Record<LineageOddity, string>> = {
  cycle: 'By what was written it would be its own ancestor. Its parents count as not known.',
  'sown-before-ripe':
    'It stood in the ground before the seed of the lot that it is said to be from was ripe. Its parents count as not known.',
  'no-fruits': 'Its lot is from own fruits, but none is named.',
  'no-mother': 'The mother of a fruit of its lot was never planted here, or is on another phone.',
  'own-clone': 'It would be a cutting of itself.',
};

export const stageTitles: Readonly<Record<GrowOutStage, string>> = {
  seedling: 'seedlings',
  leaf: 'leaf and vine',
  flower: 'in flower',
  fruit: 'in fruit',
};

export const roguedWords: Readonly<Record<Rogued, string>> = {
  before: 'pulled before they shed pollen',
  after: 'pulled after they shed pollen',
};

/** What is written of an F1 plant that came out like its mother. */
export const SELFED_REASON = 'like its mother';

/** What a counted growing out says of a lot. */
export function offWords({ low, likely, high }: Share): string {
  return `Off-types, as they were counted: ${percentText(likely)} of its plants, ${percentText(low)} to ${percentText(high)} by the count.`;
}

/** A share as a percentage a gardener would say. */
export function percentText(share: number): string {
  const points = share * 100;
  return `${points < 9.95 ? points.toFixed(1).replace('.0', '') : Math.round(points)} %`;
}

/** A count of plants that need not be whole. */
export const plantsText = (size: number): string =>
  size < 10 ? size.toFixed(1).replace('.0', '') : String(Math.round(size));
