import type { CandidateReason, FindMark } from '@core/purity';

/** Why a mark leads nowhere, and what to look at. */
export function wrongWords(found: Exclude<FindMark, { kind: 'found' }>): string {
  if (found.kind === 'unknown')
    return `${found.mark} is a good mark, but on no fruit on this phone. It may be on another phone, or not given out yet.`;
  if (found.stray.length > 0)
    return `No mark of ours has ${listOf(found.stray)} in it: they look or sound too much like others. Look again.`;
  if (found.check) return 'There is no such mark: a character is wrong, or two are swapped. Look again.';
  return 'That is not a whole mark yet.';
}

const listOf = (items: readonly string[]) =>
  new Intl.ListFormat('en', { type: 'disjunction' }).format(items.slice(0, 6));

export const candidateWords: Readonly<Record<CandidateReason, string>> = {
  plant: 'on that plant',
  node: 'at that node',
  'near-node': 'a node or two off',
  'other-node': 'at another node',
  day: 'worked that day',
  'near-day': 'worked a day or two off',
  'other-day': 'worked on another day',
  size: 'about that size',
  'too-large': 'was much smaller',
  'was-larger': 'was larger already',
  'mark-gone': 'its mark was gone',
  'mark-read': 'its mark was read at the last look',
};
