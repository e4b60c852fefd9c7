import { lotShare, type GradedLink, type ProofInput, type ProofLinkKind } from '../purity';
import { seededRandom, type Random } from '../random';
import { openMorning, Stigma } from './stigma';

/** A lot of made-up fruits: what was written down of each, and the share of its seeds whose father truly was foreign. */
export interface MadeUpLot {
  readonly fruits: readonly { readonly chain: ProofInput; readonly seeds: number }[];
  readonly truth: number;
}

/** How the people of the simulation write things down. all: every link seen. three: three links of each fruit nobody wrote down. */
export type Diligence = 'all' | 'three';

// All numbers of this file are invented, and stand in none of the grader's: pollen is counted grain by grain here, insect by insect.
const MINUTES_OPEN = 240;
/** Grains a brush or male leaves. */
const HAND_GRAINS = 900;

/** Those by which foreign pollen comes in. */
type LetsIn = Exclude<ProofLinkKind, 'anthers-out'>;
type Broken = Readonly<Record<LetsIn, boolean>>;

/** How often each goes wrong in truth where nobody watches, and how often it does in spite of somebody who looks. */
const WRONG: Readonly<Record<LetsIn, readonly [unwatched: number, watched: number]>> = {
  'shut-before': [0.2, 0.001],
  whole: [0.07, 0.003],
  fathers: [0.03, 0.002],
  clean: [0.05, 0.003],
  'no-insect': [0.06, 0.004],
  'shut-again': [0.08, 0.002],
  'kept-shut': [0.05, 0.003],
  marked: [0.02, 0.001],
  'mark-read': [0.02, 0.001],
};
const LINKS = Object.keys(WRONG) as LetsIn[];

/** One lot of one to six fruits from one garden. */
export function madeUpLot(random: Random, diligence: Diligence): MadeUpLot {
  // What insects carry over there, and what the plan's reckoning takes it for: wrong by up to four times either way.
  const strange = 0.005 * 80 ** random();
  const reckoned = Math.min(0.8, strange * 4 ** (2 * random() - 1));
  const odds = reckoned / (1 - reckoned);
  const pressure = {
    low: odds / 4 / (1 + odds / 4),
    likely: reckoned,
    high: (odds * 4) / (1 + odds * 4),
  };
  const fruits = Array.from({ length: 1 + Math.floor(6 * random()) }, () => {
    const unwritten = new Set<LetsIn>();
    while (diligence === 'three' && unwritten.size < 3)
      unwritten.add(LINKS[Math.floor(random() * LINKS.length)] as LetsIn);
    const broken = Object.fromEntries(
      LINKS.map((link) => [link, random() < WRONG[link][unwritten.has(link) ? 0 : 1]]),
    ) as Broken;
    const links = LINKS.map((link): GradedLink => ({
      link,
      state: unwritten.has(link) ? 'not-recorded' : 'seen',
    }));
    const seeds = 60 + Math.floor(240 * random());
    const chain: ProofInput = { links, way: 'by-hand', pressure };
    return { chain, seeds, foreign: foreignIn(random, broken, strange) };
  });
  const all = fruits.reduce((sum, { seeds }) => sum + seeds, 0);
  const truth = fruits.reduce((sum, { seeds, foreign }) => sum + seeds * foreign, 0) / all;
  return { fruits: fruits.map(({ chain, seeds }) => ({ chain, seeds })), truth };
}

/** The share of foreign fathers in one fruit, from the grains that reached its stigma and when. */
function foreignIn(random: Random, broken: Broken, strange: number): number {
  // The wrong fruit was picked: one that stood open all morning.
  if (broken.marked || broken['mark-read']) return openMorning(random, strange);
  const stigma = new Stigma(random, strange);
  const worked = 30;
  if (broken['shut-before']) stigma.visited(1 + Math.floor(5 * random()), 0, worked);
  if (broken.whole) stigma.visited(1 + Math.floor(3 * random()), 0, worked);
  // Of two or three males one was of another kind, or had a bee in it.
  const ofHand = broken.fathers ? (random() < 0.3 ? 0.4 : strange * random()) : 0;
  const carried = broken.clean ? 0.1 * random() : 0;
  stigma.lands(HAND_GRAINS * (0.5 + random()), Math.min(1, ofHand + carried), worked);
  if (broken['no-insect']) stigma.visited(1, worked, worked + 1);
  if (broken['shut-again']) stigma.visited(Math.floor(8 * random()), worked + 5, MINUTES_OPEN);
  if (broken['kept-shut']) stigma.visited(1 + Math.floor(2 * random()), worked + 60, MINUTES_OPEN);
  return stigma.share ?? 0;
}

/** How often the truth of made-up lots lies outside of the range that the grader gives, and how wide that is. */
export function calibration(diligence: Diligence, lots = 2000, seed = 16) {
  const random = seededRandom(seed);
  let [above, below, width] = [0, 0, 0];
  for (let i = 0; i < lots; i++) {
    const { fruits, truth } = madeUpLot(random, diligence);
    const { low, high } = lotShare(fruits);
    if (truth > high + 1e-9) above++;
    if (truth < low - 1e-9) below++;
    width += high - low;
  }
  return { above: above / lots, below: below / lots, width: width / lots };
}
