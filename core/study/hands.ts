import type { Pair } from './report';

/** Insects that set this much less than hands are as good [M]: ten flowers of a hundred. */
const AS_GOOD = 0.1;

/**
 * Whether hand work is needed. keep: hands set more, and it is more than luck. stop: at most ten flowers of a hundred are to be had by
 * hand. unsettled: the flowers so far leave room for both.
 */
export type HandsAnswer = 'keep' | 'stop' | 'unsettled';

/**
 * What the flowers left to the insects say; `pair` is hands against insects, as 95 % bounds of the difference.
 * @example handsAnswer({ verdict: 'luck', low: -0.1, high: 0.08 }) // 'stop'
 */
export function handsAnswer({ verdict, low, high }: Pick<Pair, 'verdict' | 'low' | 'high'>): HandsAnswer {
  if (verdict === 'too-few' || verdict === 'one-plant') return 'unsettled';
  return low > 0 ? 'keep' : high < AS_GOOD ? 'stop' : 'unsettled';
}
