import { studentReach } from '../distributions';
import {
  logisticRegression,
  predictedShare,
  proportionInterval,
  type LogisticFit,
  type Predicted,
} from '../fruitset';
import type { Case } from './cases';
import { NUMBERS, type CaseNumber } from './numbers';

/** One thing in the model: how the odds of setting change with so much more of it. */
export interface ModelTerm {
  readonly what: CaseNumber;
  /** So much more of it: an hour, five degrees, one male, one lobe, one fruit. */
  readonly step: number;
  readonly oddsRatio: number;
  readonly low: number;
  readonly high: number;
}

/** Flowers alike in what the curve is drawn along, and how many of them set. */
export interface ModelDot {
  readonly from: number;
  readonly to: number;
  readonly set: number;
  readonly judged: number;
  readonly low: number;
  readonly high: number;
}

/** Set against one thing, the others held at their means. */
export interface SetModel {
  readonly along: CaseNumber;
  readonly flowers: number;
  readonly plants: number;
  /** Of these flowers so many set. */
  readonly share: number;
  readonly terms: readonly ModelTerm[];
  readonly dots: readonly ModelDot[];
  readonly curve: readonly ({ readonly at: number } & Predicted)[];
}

/** Why there is no curve. too-few: too little was noted. same: it never differed. parted: all that set lies on one side of all that dropped. */
export type NoModel = { readonly none: 'too-few' | 'same' | 'parted'; readonly known: number };

/** So much more of each is one step. */
export const STEP: Readonly<Record<CaseNumber, number>> = {
  minutes: 60,
  maxC: 5,
  dewPointC: 5,
  males: 1,
  lobes: 1,
  load: 1,
};
/** Verdicts of the rarer kind for each thing in the model (Peduzzi and others 1996). */
const PER_TERM = 10;
/** A thing known of fewer flowers than this share stays out, lest it throw away the rest [M]. */
const KNOWN = 0.8;
const POINTS = 40;
const BINS = 6;

/**
 * How set hangs on one thing with the others beside it: logistic regression, errors robust to flowers of one plant going together,
 * Student's t of plants - terms. Other things join while there are ten verdicts of the rarer kind for each.
 */
export function setModel(cases: readonly Case[], along: CaseNumber): SetModel | NoModel {
  const known = cases.filter((each) => each.judged > 0 && each[along] !== null);
  const flowers = known.reduce((sum, { judged }) => sum + judged, 0);
  const set = known.reduce((sum, each) => sum + each.set, 0);
  const room = Math.floor(Math.min(set, flowers - set) / PER_TERM);
  if (room < 1) return { none: 'too-few', known: flowers };
  const others = NUMBERS.filter(
    (what) => what !== along && known.filter((each) => each[what] !== null).length >= KNOWN * known.length,
  );
  const asked = [along, ...others].slice(0, room);
  const varied = usable(known, asked);
  const terms = asked.filter((what) => differs(varied, what));
  if (terms[0] !== along) return { none: 'same', known: flowers };
  const used = terms.length < asked.length ? usable(known, terms) : varied;
  const fit = fitted(used, terms);
  if (!fit || fit.separation !== 'none') return { none: 'parted', known: flowers };
  return drawn(used, along, terms, fit);
}

/** Those of which all these things are known. */
function usable(cases: readonly Case[], terms: readonly CaseNumber[]): readonly Case[] {
  return cases.filter((each) => terms.every((what) => each[what] !== null));
}

function differs(cases: readonly Case[], what: CaseNumber): boolean {
  return cases.some((each) => each[what] !== cases[0]?.[what]);
}

/** `null` where the things hang on each other. */
function fitted(cases: readonly Case[], terms: readonly CaseNumber[]): LogisticFit | null {
  const rows = cases.map((each) => ({
    successes: each.set,
    trials: each.judged,
    covariates: terms.map((what) => each[what] as number),
  }));
  const fewer = () => (terms.length > 1 ? fitted(cases, terms.slice(0, -1)) : null);
  try {
    const fit = logisticRegression(rows, { cluster: cases.map(({ cluster }) => cluster) });
    // Where another thing parts set from dropped, it is that one which can't be told.
    return fit.separation === 'none' ? fit : (fewer() ?? fit);
  } catch {
    return fewer();
  }
}

function drawn(
  cases: readonly Case[],
  along: CaseNumber,
  terms: readonly CaseNumber[],
  fit: LogisticFit,
): SetModel {
  const plants = new Set(cases.map(({ cluster }) => cluster)).size;
  const used = terms.slice(0, fit.coefficients.length - 1);
  const reach = studentReach(0.95, Math.max(1, plants - used.length - 1));
  const values = cases.map((each) => each[along] as number);
  const [least, most] = [Math.min(...values), Math.max(...values)];
  const means = used.map(
    (what) => cases.reduce((sum, each) => sum + (each[what] as number), 0) / cases.length,
  );
  return {
    along,
    flowers: cases.reduce((sum, { judged }) => sum + judged, 0),
    plants,
    share: cases.reduce((sum, { set }) => sum + set, 0) / cases.reduce((sum, { judged }) => sum + judged, 0),
    terms: used.map((what, i) => {
      const [slope, error] = [fit.coefficients[i + 1] as number, fit.robustErrors?.[i + 1] as number];
      const times = (b: number) => Math.exp(b * STEP[what]);
      return {
        what,
        step: STEP[what],
        oddsRatio: times(slope),
        low: times(slope - reach * error),
        high: times(slope + reach * error),
      };
    }),
    dots: dotsOf(cases, along),
    curve: Array.from({ length: POINTS + 1 }, (_, i) => {
      const at = least + ((most - least) * i) / POINTS;
      return { at, ...predictedShare(fit, [at, ...means.slice(1)], reach) };
    }),
  };
}

/** Some bins of about as many flowers each, with the plain interval of the share. */
function dotsOf(cases: readonly Case[], along: CaseNumber): ModelDot[] {
  const sorted = [...cases].sort((a, b) => (a[along] as number) - (b[along] as number));
  const size = Math.ceil(sorted.length / BINS);
  const bins: Case[][] = [];
  for (const each of sorted) {
    const bin = bins.at(-1);
    // Flowers alike stay together.
    const alike = bin?.at(-1)?.[along] === each[along];
    if (bin && (bin.length < size || alike)) bin.push(each);
    else bins.push([each]);
  }
  return bins.map((bin) => {
    const set = bin.reduce((sum, each) => sum + each.set, 0);
    const judged = bin.reduce((sum, each) => sum + each.judged, 0);
    return {
      from: bin[0]?.[along] as number,
      to: bin.at(-1)?.[along] as number,
      set,
      judged,
      ...proportionInterval(set, judged, { method: 'wilson', confidence: 0.95 }),
    };
  });
}
